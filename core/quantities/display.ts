import type { DimensionName } from './dimension';

/** The units that a project shows, and what it calls axes; what is stored stays SI, with the axes of the model file. */
export interface DisplayUnits {
  readonly length: string;
  readonly force: string;
  readonly moment: string;
  readonly stress: string;
  readonly deflection: string;
  readonly section: string;
  /** Which axis of the structure points up. */
  readonly up: 'Y' | 'Z';
  /** What the axis is called about which a section is strong. */
  readonly strong: 'z' | 'y';
}
export type Units = Omit<DisplayUnits, 'up' | 'strong'>;

export const defaultDisplay: DisplayUnits = {
  length: 'm',
  force: 'kN',
  moment: 'kN·m',
  stress: 'MPa',
  deflection: 'mm',
  section: 'cm',
  up: 'Y',
  strong: 'z',
};

const unitsOf = ({ up: _, strong: __, ...units }: DisplayUnits): Units => units;

/** Choices that set all units at once. */
export const unitSystems: readonly { readonly id: string; readonly words: string; readonly units: Units }[] = [
  { id: 'metric', words: 'Metric: m, kN, MPa', units: unitsOf(defaultDisplay) },
  {
    id: 'imperial',
    words: 'Imperial: ft, kip, ksi',
    units: { length: 'ft', force: 'kip', moment: 'kip·ft', stress: 'ksi', deflection: 'in', section: 'in' },
  },
];

/** Which units each display choice may name, and how axes may be called. */
export const displayChoices: Record<keyof DisplayUnits, readonly string[]> = {
  length: ['m', 'mm', 'cm', 'ft', 'in'],
  force: ['N', 'kN', 'MN', 'lbf', 'kip'],
  moment: ['N·m', 'kN·m', 'MN·m', 'kN·cm', 'lbf·ft', 'kip·ft', 'kip·in'],
  stress: ['Pa', 'kPa', 'MPa', 'GPa', 'psi', 'ksi'],
  deflection: ['mm', 'cm', 'm', 'in', 'ft'],
  section: ['cm', 'mm', 'm', 'in'],
  up: ['Y', 'Z'],
  strong: ['z', 'y'],
};

/** All units of a project: its own, or those that are meant where it says nothing. */
export const displayOf = ({ display }: { readonly display?: Partial<DisplayUnits> | undefined }): DisplayUnits => ({
  ...defaultDisplay,
  ...display,
});

/** The unit in which lengths of a project are shown, and which a bare number means. */
export const lengthUnit = ({ display }: { readonly display?: Partial<DisplayUnits> | undefined }): string =>
  display?.length ?? defaultDisplay.length;

/** Whether a project counts in feet and pounds: what has no choice of its own follows its lengths. */
export const isImperial = ({ length }: Pick<DisplayUnits, 'length'>): boolean => length === 'ft' || length === 'in';
export const massUnit = (display: DisplayUnits): string => (isImperial(display) ? 'lb' : 'kg');
/** Of surfaces that are painted or clad. */
export const surfaceUnit = (display: DisplayUnits): string => (isImperial(display) ? 'ft2' : 'm2');
/** The length of the drawing that a scale is told for. */
export const drawnUnit = (display: DisplayUnits): 'm' | 'ft' => (isImperial(display) ? 'ft' : 'm');

/** Of a pressure on a floor or a roof. */
export const pressureUnit = (display: DisplayUnits): string => `${display.force}/${display.length}²`;
export const intensityUnit = (display: DisplayUnits): string => `${display.force}/${display.length}`;

/** The unit in which a project shows a dimension; displacements of its structure are shown in `display.deflection` instead. */
export function unitOf(dimension: DimensionName, display: DisplayUnits): string {
  switch (dimension) {
    case 'length':
    case 'force':
    case 'moment':
    case 'stress':
      return display[dimension];
    case 'intensity':
      return intensityUnit(display);
    case 'area':
      return `${display.section}2`;
    case 'modulus':
      return `${display.section}3`;
    case 'inertia':
      return `${display.section}4`;
    case 'angle':
      return 'mrad';
    case 'temperature':
      return 'K';
    case 'gradient':
      return `K/${display.length}`;
    case 'spring':
      return `${display.force}/${display.length}`;
    case 'rotationalSpring':
      return `${display.moment}/rad`;
    case 'density':
      return isImperial(display) ? 'lb/ft³' : 'kg/m³';
    case 'mass':
      return massUnit(display);
    case 'massPerLength':
      return isImperial(display) ? 'lb/ft' : 'kg/m';
    case 'acceleration':
      return 'm/s2';
    case 'expansion':
      return '1/K';
    case 'number':
      return '';
  }
}
