import type { Family } from './family';

/** Hot rolled Indian shapes as the edition of 1964 has them, which are still rolled and designed with; later editions are heavier. mm, kg/m. */
export const indian: readonly Family[] = [
  {
    id: 'ISMB',
    words: 'Medium weight beams, Indian',
    standard: 'IS 808:1964',
    type: 'i',
    columns: 'h b tw tf r rt mass',
    // 98° between the web and the inner face of a flange.
    slope: 0.14054,
    measured: 'outstand',
    rows: `
      ISMB 100: 100 75 4.0 7.2 9 4.5 11.5
      ISMB 125: 125 75 4.4 7.6 9 4.5 13.0
      ISMB 150: 150 80 4.8 7.6 9 4.5 14.9
      ISMB 175: 175 90 5.5 8.6 10 5 19.3
      ISMB 200: 200 100 5.7 10.8 11 5.5 25.4
      ISMB 225: 225 110 6.5 11.8 12 6 31.2
      ISMB 250: 250 125 6.9 12.5 13 6.5 37.3
      ISMB 300: 300 140 7.5 12.4 14 7 44.2
      ISMB 350: 350 140 8.1 14.2 14 7 52.4
      ISMB 400: 400 140 8.9 16.0 14 7 61.6
      ISMB 450: 450 150 9.4 17.4 15 7.5 72.4
      ISMB 500: 500 180 10.2 17.2 17 8.5 86.9
      ISMB 550: 550 190 11.2 19.3 18 9 104
      ISMB 600: 600 210 12.0 20.8 20 10 123`,
  },
  {
    id: 'ISMC',
    words: 'Medium weight channels, Indian',
    standard: 'IS 808:1964',
    type: 'channel',
    columns: 'h b tw tf r rt mass',
    // 96° between the web and the inner face of a flange.
    slope: 0.1051,
    measured: 'outstand',
    rows: `
      ISMC 75: 75 40 4.4 7.3 8.5 4.5 6.8
      ISMC 100: 100 50 4.7 7.5 9 4.5 9.2
      ISMC 150: 150 75 5.4 9.0 10 5 16.4
      ISMC 175: 175 75 5.7 10.2 10.5 5.5 19.1
      ISMC 200: 200 75 6.1 11.4 11 5.5 22.1
      ISMC 225: 225 80 6.4 12.4 12 6 25.9
      ISMC 250: 250 80 7.1 14.1 12 6 30.4
      ISMC 300: 300 90 7.6 13.6 13 6.5 35.8
      ISMC 350: 350 100 8.1 13.5 14 7 42.1
      ISMC 400: 400 100 8.6 15.3 15 7.5 49.4`,
  },
];
