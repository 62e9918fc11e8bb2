import type { Family } from './family';

/** Solid bars; mm. */
export const bars: readonly Family[] = [
  {
    id: 'Round',
    words: 'Round bars',
    standard: 'EN 10060:2003',
    type: 'round',
    columns: 'd',
    rows: `
      Round 10: 10
      Round 12: 12
      Round 13: 13
      Round 14: 14
      Round 15: 15
      Round 16: 16
      Round 18: 18
      Round 20: 20
      Round 22: 22
      Round 24: 24
      Round 25: 25
      Round 26: 26
      Round 28: 28
      Round 30: 30
      Round 32: 32
      Round 35: 35
      Round 36: 36
      Round 38: 38
      Round 40: 40
      Round 42: 42
      Round 45: 45
      Round 48: 48
      Round 50: 50
      Round 52: 52
      Round 55: 55
      Round 60: 60
      Round 63: 63
      Round 65: 65
      Round 70: 70
      Round 75: 75
      Round 80: 80
      Round 85: 85
      Round 90: 90
      Round 95: 95
      Round 100: 100
      Round 110: 110
      Round 120: 120
      Round 130: 130
      Round 140: 140
      Round 150: 150
      Round 160: 160
      Round 180: 180
      Round 200: 200`,
  },
  {
    id: 'Flat',
    words: 'Flat bars',
    standard: 'EN 10058:2018',
    type: 'rectangle',
    columns: 'h b',
    rows: `
      Flat 20x5: 20 5
      Flat 20x6: 20 6
      Flat 20x8: 20 8
      Flat 20x10: 20 10
      Flat 25x5: 25 5
      Flat 25x6: 25 6
      Flat 25x8: 25 8
      Flat 25x10: 25 10
      Flat 25x12: 25 12
      Flat 30x5: 30 5
      Flat 30x6: 30 6
      Flat 30x8: 30 8
      Flat 30x10: 30 10
      Flat 30x12: 30 12
      Flat 40x5: 40 5
      Flat 40x6: 40 6
      Flat 40x8: 40 8
      Flat 40x10: 40 10
      Flat 40x12: 40 12
      Flat 40x15: 40 15
      Flat 40x20: 40 20
      Flat 50x5: 50 5
      Flat 50x6: 50 6
      Flat 50x8: 50 8
      Flat 50x10: 50 10
      Flat 50x12: 50 12
      Flat 50x15: 50 15
      Flat 50x20: 50 20
      Flat 60x5: 60 5
      Flat 60x6: 60 6
      Flat 60x8: 60 8
      Flat 60x10: 60 10
      Flat 60x12: 60 12
      Flat 60x15: 60 15
      Flat 60x20: 60 20
      Flat 70x6: 70 6
      Flat 70x8: 70 8
      Flat 70x10: 70 10
      Flat 70x12: 70 12
      Flat 70x15: 70 15
      Flat 70x20: 70 20
      Flat 80x6: 80 6
      Flat 80x8: 80 8
      Flat 80x10: 80 10
      Flat 80x12: 80 12
      Flat 80x15: 80 15
      Flat 80x20: 80 20
      Flat 90x8: 90 8
      Flat 90x10: 90 10
      Flat 90x12: 90 12
      Flat 90x15: 90 15
      Flat 90x20: 90 20
      Flat 100x6: 100 6
      Flat 100x8: 100 8
      Flat 100x10: 100 10
      Flat 100x12: 100 12
      Flat 100x15: 100 15
      Flat 100x20: 100 20
      Flat 100x25: 100 25
      Flat 120x8: 120 8
      Flat 120x10: 120 10
      Flat 120x12: 120 12
      Flat 120x15: 120 15
      Flat 120x20: 120 20
      Flat 120x25: 120 25
      Flat 150x8: 150 8
      Flat 150x10: 150 10
      Flat 150x12: 150 12
      Flat 150x15: 150 15
      Flat 150x20: 150 20
      Flat 150x25: 150 25`,
  },
  {
    id: 'Square',
    words: 'Square bars',
    standard: 'EN 10059:2003',
    type: 'rectangle',
    columns: 'h b',
    rows: `
      Square 8: 8 8
      Square 10: 10 10
      Square 12: 12 12
      Square 14: 14 14
      Square 15: 15 15
      Square 16: 16 16
      Square 18: 18 18
      Square 20: 20 20
      Square 22: 22 22
      Square 25: 25 25
      Square 30: 30 30
      Square 35: 35 35
      Square 40: 40 40
      Square 50: 50 50
      Square 60: 60 60
      Square 80: 80 80
      Square 100: 100 100`,
  },
];
