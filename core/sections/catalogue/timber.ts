import type { Family } from './family';

/** Dressed sizes of sawn timber, depth by width. */
export const timber: readonly Family[] = [
  {
    id: 'Lumber',
    words: 'Dressed lumber, by its nominal size',
    standard: 'ANSI/ALSC PS 20-20',
    made: 'timber',
    type: 'rectangle',
    unit: 'in',
    columns: 'h b',
    rows: `
      Lumber 2x3: 2.5 1.5
      Lumber 2x4: 3.5 1.5
      Lumber 2x6: 5.5 1.5
      Lumber 2x8: 7.25 1.5
      Lumber 2x10: 9.25 1.5
      Lumber 2x12: 11.25 1.5
      Lumber 3x4: 3.5 2.5
      Lumber 3x6: 5.5 2.5
      Lumber 3x8: 7.25 2.5
      Lumber 3x10: 9.25 2.5
      Lumber 3x12: 11.25 2.5
      Lumber 4x4: 3.5 3.5
      Lumber 4x6: 5.5 3.5
      Lumber 4x8: 7.25 3.5
      Lumber 4x10: 9.25 3.5
      Lumber 4x12: 11.25 3.5`,
  },
  {
    id: 'Sawn AU',
    words: 'Seasoned softwood, Australian',
    standard: 'AS 1684.2-2021',
    made: 'timber',
    type: 'rectangle',
    columns: 'h b',
    rows: `
      Sawn AU 70x35: 70 35
      Sawn AU 90x35: 90 35
      Sawn AU 120x35: 120 35
      Sawn AU 140x35: 140 35
      Sawn AU 190x35: 190 35
      Sawn AU 240x35: 240 35
      Sawn AU 290x35: 290 35
      Sawn AU 70x45: 70 45
      Sawn AU 90x45: 90 45
      Sawn AU 120x45: 120 45
      Sawn AU 140x45: 140 45
      Sawn AU 190x45: 190 45
      Sawn AU 240x45: 240 45
      Sawn AU 290x45: 290 45`,
  },
];
