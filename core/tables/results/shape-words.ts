/** What is written above shapes of no size: critical loads, natural modes, and what follows from these. */

export const criticalLoads = {
  title: 'Critical loads',
  name: 'Mode',
  of: 'Of',
  factor: 'Factor on its loads',
};

export const bucklingLengths = {
  title: 'Buckling lengths',
  about: 'About',
  length: 'Length',
  effective: 'Buckling length',
  ratio: 'Ratio',
  share: 'In this mode',
  takesPart: (share: number): string => `stores ${Math.round(100 * share)} %`,
  takesNoPart: 'takes no part',
};

export const harmonic = {
  title: 'Harmonic response',
  frequency: 'Frequency',
  displacement: 'Displacement',
  velocity: 'Velocity',
  acceleration: 'Acceleration',
  phase: 'Phase',
};

export const naturalModes = {
  title: 'Natural modes',
  mode: 'Mode',
  frequency: 'Frequency',
  period: 'Period',
  circular: 'ω',
  generalised: 'Generalised mass',
  share: (axis: string): string => `Along ${axis}`,
  sum: (axis: string): string => `Σ along ${axis}`,
  masses: 'Masses',
  of: 'What counts',
  own: 'Members themselves',
  nodes: 'At nodes',
  total: 'Total',
  mass: 'Mass',
  centre: (axis: string): string => `Centre ${axis}`,
};

export const baseShear = {
  title: 'Base shear',
  mode: 'Mode',
  period: 'Period',
  acceleration: (axis: string): string => `Spectrum along ${axis}`,
  shear: (axis: string): string => `Base shear along ${axis}`,
  rows: { rest: 'What they leave out', together: 'All together', static: 'All mass with the main mode' },
  standard: (shape: string, ground: string, acceleration: string, importance: string): string =>
    `EN 1998-1, ${shape}, ground ${ground}, agR = ${acceleration} m/s², γI = ${importance}`,
  table: 'Spectrum by a table',
  design: (behaviour: string): string => `, q = ${behaviour}`,
  elastic: ', elastic',
  together: (modes: 'cqc' | 'srss', damping: string): string =>
    modes === 'cqc'
      ? `Modes by their correlation (CQC) with ${damping} % of the critical damping.`
      : 'Modes by the root of the sum of squares (SRSS).',
};
