interface CategoryRow {
  /** What its cases are named with, after EN 1990 and EN 1991 where these have one, and what they are called. */
  readonly letter: string;
  readonly title: string;
  /** Whether it acts throughout, and carries the self weight. */
  readonly isPermanent: boolean;
  /** Its factor in a first sum for strength: γ of EN 1990, table A1.2(B), unfavourable. */
  readonly factor: number;
  /** What its loads begin with: how they act, and a pressure, N/m². */
  readonly acts: 'down' | 'down on plan' | 'right';
  readonly pressure: number;
}

const variable = { isPermanent: false, factor: 1.5, acts: 'down', pressure: 2e3 } as const;

/** What everybody needs to know of the kinds of cases: a new one is a row here. */
export const categoryTable = {
  permanent: { ...variable, letter: 'G', title: 'Permanent', isPermanent: true, factor: 1.35 },
  imposed: { ...variable, letter: 'Q', title: 'Imposed' },
  roof: { ...variable, letter: 'QR', title: 'Imposed on roofs' },
  storage: { ...variable, letter: 'QS', title: 'Storage' },
  traffic: { ...variable, letter: 'QT', title: 'Traffic' },
  snow: { ...variable, letter: 'S', title: 'Snow', acts: 'down on plan' },
  wind: { ...variable, letter: 'W', title: 'Wind', acts: 'right', pressure: 800 },
  thermal: { ...variable, letter: 'T', title: 'Temperature' },
  settlement: { ...variable, letter: 'U', title: 'Settlement' },
  construction: { ...variable, letter: 'QC', title: 'Construction' },
  accidental: { ...variable, letter: 'A', title: 'Accidental' },
  seismic: { ...variable, letter: 'E', title: 'Seismic' },
  other: { ...variable, letter: 'L', title: 'Other' },
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
