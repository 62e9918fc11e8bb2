import american from './data/american.csv';
import australian from './data/australian.csv';
import bars from './data/bars.csv';
import british from './data/british.csv';
import european from './data/european.csv';
import europeanAngles from './data/european-angles.csv';
import hollow from './data/hollow.csv';
import indian from './data/indian.csv';
import timber from './data/timber.csv';
import { readData, rowsOf } from './data-file';
import type { Family, Series } from './family';

/** What stands in the files, read once. */
export const data = {
  american: readData(american),
  australian: readData(australian),
  bars: readData(bars),
  british: readData(british),
  european: readData(european),
  europeanAngles: readData(europeanAngles),
  hollow: readData(hollow),
  indian: readData(indian),
  timber: readData(timber),
};

/** All families, in the order in which they are listed. Their shapes stand in the files of `data/`, line by line. */
export const families: readonly (Family | Series)[] = [
  /* Hot rolled European shapes; mm, kg/m. */
  { id: 'IPE', words: 'I-beams with parallel flanges', standard: 'EN 10365:2017', type: 'i', rows: rowsOf(data.european, 'IPE') },
  {
    id: 'IPE A',
    words: 'I-beams with parallel flanges, light',
    standard: 'EN 10365:2017',
    type: 'i',
    rows: rowsOf(data.european, 'IPE A'),
  },
  {
    id: 'IPE O',
    words: 'I-beams with parallel flanges, heavy',
    standard: 'EN 10365:2017',
    type: 'i',
    rows: rowsOf(data.european, 'IPE O'),
  },
  { id: 'HEA', words: 'Wide flange beams, light', standard: 'EN 10365:2017', type: 'i', rows: rowsOf(data.european, 'HEA') },
  { id: 'HEB', words: 'Wide flange beams', standard: 'EN 10365:2017', type: 'i', rows: rowsOf(data.european, 'HEB') },
  { id: 'HEM', words: 'Wide flange beams, heavy', standard: 'EN 10365:2017', type: 'i', rows: rowsOf(data.european, 'HEM') },
  {
    id: 'HEAA',
    words: 'Wide flange beams, very light',
    standard: 'EN 10365:2017',
    type: 'i',
    rows: rowsOf(data.european, 'HEAA'),
  },
  {
    id: 'UPE',
    words: 'Channels with parallel flanges',
    standard: 'EN 10365:2017',
    type: 'channel',
    rows: rowsOf(data.european, 'UPE'),
  },
  {
    id: 'UPN',
    words: 'Channels with tapered flanges',
    standard: 'EN 10365:2017',
    type: 'channel',
    slope: 0.08,
    rows: rowsOf(data.european, 'UPN'),
  },
  {
    id: 'UPN deep',
    words: 'Channels with tapered flanges, over 300 mm',
    standard: 'EN 10365:2017',
    type: 'channel',
    slope: 0.05,
    measured: 'outstand',
    rows: rowsOf(data.european, 'UPN deep'),
  },
  {
    id: 'IPN',
    words: 'I-beams with tapered flanges',
    standard: 'EN 10365:2017',
    type: 'i',
    slope: 0.14,
    rows: rowsOf(data.european, 'IPN'),
  },
  /* European angles; mm. */
  {
    id: 'L',
    words: 'Angles with equal legs',
    standard: 'EN 10056-1:2017',
    type: 'angle',
    rows: rowsOf(data.europeanAngles, 'L'),
  },
  {
    id: 'L unequal',
    words: 'Angles with unequal legs',
    standard: 'EN 10056-1:2017',
    type: 'angle',
    rows: rowsOf(data.europeanAngles, 'L unequal'),
  },
  /* Hot rolled British shapes; mm. Designations end in kg/m, those of channels roughly. */
  { id: 'UB', words: 'Universal beams', standard: 'BS 4-1:2005', type: 'i', rows: rowsOf(data.british, 'UB') },
  { id: 'UC', words: 'Universal columns', standard: 'BS 4-1:2005', type: 'i', rows: rowsOf(data.british, 'UC') },
  {
    id: 'PFC',
    words: 'Channels with parallel flanges',
    standard: 'BS 4-1:2005',
    type: 'channel',
    rows: rowsOf(data.british, 'PFC'),
  },
  /*
   * * Hollow sections: each size with its walls; mm. Hot finished ones have an outer radius of 1.5 t (EN 10210-2, table A.1); cold formed ones
   * of 2 t up to 6 mm, 2.5 t up to 10 mm and 3 t beyond (EN 10219-2). American ones are made of 0.93 of the wall that they are named by
   * (ASTM A500), with an outer radius of twice that.
   */
  {
    id: 'CHS',
    words: 'Round tubes, hot finished',
    standard: 'EN 10210-2:2019',
    type: 'chs',
    finish: 'hot',
    rows: rowsOf(data.hollow, 'CHS'),
  },
  {
    id: 'SHS',
    words: 'Square tubes, hot finished',
    standard: 'EN 10210-2:2019',
    type: 'rhs',
    finish: 'hot',
    rows: rowsOf(data.hollow, 'SHS'),
  },
  {
    id: 'RHS',
    words: 'Rectangular tubes, hot finished',
    standard: 'EN 10210-2:2019',
    type: 'rhs',
    finish: 'hot',
    rows: rowsOf(data.hollow, 'RHS'),
  },
  {
    id: 'SHS cold',
    words: 'Square tubes, cold formed',
    standard: 'EN 10219-2:2019',
    type: 'rhs',
    finish: 'cold',
    rows: rowsOf(data.hollow, 'SHS cold'),
  },
  {
    id: 'RHS cold',
    words: 'Rectangular tubes, cold formed',
    standard: 'EN 10219-2:2019',
    type: 'rhs',
    finish: 'cold',
    rows: rowsOf(data.hollow, 'RHS cold'),
  },
  {
    id: 'HSS',
    words: 'Square and rectangular tubes, American',
    standard: 'ASTM A500/A500M-21',
    type: 'rhs',
    finish: 'american',
    wall: 0.93,
    rows: rowsOf(data.hollow, 'HSS'),
  },
  /* Hot rolled American wide flange shapes; inches. Their designations end in lb/ft. */
  { id: 'W', words: 'Wide flange shapes', standard: 'ASTM A6/A6M-21', type: 'i', unit: 'in', rows: rowsOf(data.american, 'W') },
  {
    id: 'Pipe',
    words: 'Pipes of standard, extra strong and double extra strong wall (designed with 0.93 of it)',
    standard: 'ASTM A53/A53M-22',
    type: 'chs',
    unit: 'in',
    wall: 0.93,
    rows: rowsOf(data.american, 'Pipe'),
  },
  /* Hot rolled Australian shapes; mm. Designations of beams and columns end in kg/m. */
  {
    id: 'UB (AU)',
    words: 'Universal beams, Australian',
    standard: 'AS/NZS 3679.1:2016',
    type: 'i',
    rows: rowsOf(data.australian, 'UB (AU)'),
  },
  {
    id: 'UC (AU)',
    words: 'Universal columns, Australian',
    standard: 'AS/NZS 3679.1:2016',
    type: 'i',
    rows: rowsOf(data.australian, 'UC (AU)'),
  },
  {
    id: 'PFC (AU)',
    words: 'Channels with parallel flanges, Australian',
    standard: 'AS/NZS 3679.1:2016',
    type: 'channel',
    rows: rowsOf(data.australian, 'PFC (AU)'),
  },
  /* Hot rolled Indian shapes as the edition of 1964 has them, which are still rolled and designed with; later editions are heavier. mm, kg/m. */
  {
    id: 'ISMB',
    words: 'Medium weight beams, Indian',
    standard: 'IS 808:1964',
    type: 'i',
    slope: 0.14054,
    measured: 'outstand',
    rows: rowsOf(data.indian, 'ISMB'),
  },
  {
    id: 'ISMC',
    words: 'Medium weight channels, Indian',
    standard: 'IS 808:1964',
    type: 'channel',
    slope: 0.1051,
    measured: 'outstand',
    rows: rowsOf(data.indian, 'ISMC'),
  },
  /* Solid bars; mm. */
  { id: 'Round', words: 'Round bars', standard: 'EN 10060:2003', type: 'round', rows: rowsOf(data.bars, 'Round') },
  { id: 'Flat', words: 'Flat bars', standard: 'EN 10058:2018', type: 'rectangle', rows: rowsOf(data.bars, 'Flat') },
  { id: 'Square', words: 'Square bars', standard: 'EN 10059:2003', type: 'rectangle', rows: rowsOf(data.bars, 'Square') },
  /* Dressed sizes of sawn timber, depth by width. */
  {
    id: 'Lumber',
    words: 'Dressed lumber, by its nominal size',
    standard: 'ANSI/ALSC PS 20-20',
    made: 'timber',
    type: 'rectangle',
    unit: 'in',
    rows: rowsOf(data.timber, 'Lumber'),
  },
  {
    id: 'Sawn AU',
    words: 'Seasoned softwood, Australian',
    standard: 'AS 1684.2-2021',
    made: 'timber',
    type: 'rectangle',
    rows: rowsOf(data.timber, 'Sawn AU'),
  },
];
