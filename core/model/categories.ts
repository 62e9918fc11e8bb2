interface CategoryRow {
  /** What its cases are named with, after EN 1990 and EN 1991 where these have one, and what they are called. */
  readonly letter: string;
  readonly title: string;
  /** Whether it acts throughout, and carries the self weight. */
  readonly isPermanent: boolean;
  /** Its factor in a first sum for strength: γ of EN 1990, table A1.2(B), unfavourable. */
  readonly factor: number;
  /** What ISO 16739-1 calls its actions, by type and source; what has no source of its own there is told by its name. */
  readonly action: readonly [type: string, source: string];
  /** What its loads begin with: how they act, and a pressure, N/m². */
  readonly acts: 'down' | 'down on plan' | 'right';
  readonly pressure: number;
}

const variable = {
  isPermanent: false,
  factor: 1.5,
  action: ['VARIABLE_Q', 'NOTDEFINED'],
  acts: 'down',
  pressure: 2e3,
} as const;

/** What everybody needs to know of the kinds of cases: a new one is a row here. */
export const categoryTable = {
  permanent: {
    ...variable,
    letter: 'G',
    title: 'Permanent',
    isPermanent: true,
    factor: 1.35,
    action: ['PERMANENT_G', 'DEAD_LOAD_G'],
  },
  imposed: { ...variable, letter: 'Q', title: 'Imposed', action: ['VARIABLE_Q', 'LIVE_LOAD_Q'] },
  roof: { ...variable, letter: 'QR', title: 'Imposed on roofs', action: ['VARIABLE_Q', 'LIVE_LOAD_Q'] },
  storage: { ...variable, letter: 'QS', title: 'Storage', action: ['VARIABLE_Q', 'LIVE_LOAD_Q'] },
  traffic: { ...variable, letter: 'QT', title: 'Traffic', action: ['VARIABLE_Q', 'TRANSPORT'] },
  snow: { ...variable, letter: 'S', title: 'Snow', acts: 'down on plan', action: ['VARIABLE_Q', 'SNOW_S'] },
  wind: { ...variable, letter: 'W', title: 'Wind', acts: 'right', pressure: 800, action: ['VARIABLE_Q', 'WIND_W'] },
  thermal: { ...variable, letter: 'T', title: 'Temperature', action: ['VARIABLE_Q', 'TEMPERATURE_T'] },
  settlement: { ...variable, letter: 'U', title: 'Settlement', action: ['VARIABLE_Q', 'SETTLEMENT_U'] },
  construction: { ...variable, letter: 'QC', title: 'Construction', action: ['VARIABLE_Q', 'ERECTION'] },
  accidental: { ...variable, letter: 'A', title: 'Accidental', action: ['EXTRAORDINARY_A', 'NOTDEFINED'] },
  seismic: { ...variable, letter: 'E', title: 'Seismic', action: ['EXTRAORDINARY_A', 'EARTHQUAKE_E'] },
  other: { ...variable, letter: 'L', title: 'Other', action: ['NOTDEFINED', 'NOTDEFINED'] },
} as const satisfies Readonly<Record<string, CategoryRow>>;

export type Category = keyof typeof categoryTable;
export const categories = Object.keys(categoryTable) as readonly Category[];
export const categoryOf = (category: Category): CategoryRow => categoryTable[category];

/** What a combination is for. */
export const limitStateTable = {
  strength: { title: 'Strength' },
  service: { title: 'Service' },
  other: { title: 'Other' },
} as const;
export type LimitState = keyof typeof limitStateTable;
export const limitStates = Object.keys(limitStateTable) as readonly LimitState[];
