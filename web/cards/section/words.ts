import { counted } from '@rigid-beam/core/counted';
import type { Dimension } from '@rigid-beam/core/shapes/kind';

/** All that is said where a section is described: read it through and correct it here. */

export const DIMENSION_WORDS: Record<Dimension, string> = {
  h: 'Depth h',
  b: 'Width b',
  tw: 'Web tw',
  tf: 'Flange tf',
  r: 'Root radius r',
  bTop: 'Upper width',
  tfTop: 'Upper flange',
  t: 'Wall t',
  ro: 'Outer radius',
  ri: 'Inner radius',
  d: 'Diameter d',
  rt: 'Toe radius rt',
  slope: 'Flange slope',
};

export const sectionDrawing = {
  dimensions: 'Dimensions of the section',
  /** What stands where an optional dimension is not given. */
  none: (key: Dimension): string => (key === 'bTop' ? '= b' : key === 'tfTop' ? '= tf' : key === 'ri' ? 'ro − t' : '0'),
};

export const sectionEditor = {
  areaA: 'Area A',
  strongI: 'Strong I',
  weakI: 'Weak I',
  shearArea: 'Shear area',
  torsion: 'Torsion J',
  section: 'Section',
  shape: 'Shape',
  relative: 'Relative: so many I',
  times: 'How many I',
  reference: 'I itself, for all',
  endless: 'rigid',
  notSound: (fault: string): string => `This shape cannot be built: ${fault}.`,
  notGiven: 'not given',
  fromMesh: 'from its mesh',
};

export const meshed = {
  title: 'Torsion, warping, shear centre',
  looking: 'Being solved on a mesh of the section…',
  J: 'Torsion constant J',
  Iw: 'Warping constant',
  Ay: 'Shear area along {y}',
  Az: 'Shear area along {z}',
  centre: 'Shear centre from the centroid',
  principal: 'Principal I',
  turned: (degrees: string): string => `turned by ${degrees}°`,
  claims: (triangles: number, size: string, digits: number): string =>
    `Finite elements: ${triangles.toLocaleString('en')} triangles of ${size}; two meshes share ${counted(digits, 'digit')} of J.`,
  pieces: 'In several pieces, each twists by itself: what ties them together is left out.',
};

export const parts = {
  title: 'Parts, placed by their centroid',
  of: (n: number): string => `Part ${n}`,
  plate: 'Plate',
  shape: 'Standard shape',
  outline: 'Outline',
  designation: 'Designation',
  unknown: (text: string): string => `The catalogue has no shape “${text}”`,
  comes: 'The catalogue is still being fetched',
  right: 'Right',
  up: 'Up',
  turned: 'Turned',
  mirrored: 'Mirrored',
  remove: 'Remove',
  copy: 'Copy, mirrored',
  width: 'Width',
  depth: 'Depth',
  corners: (unit: string): string => `Corners: right, up and radius in ${unit}, one to a line; a blank line begins a hole`,
  cornersWrong: (line: number, reason: string): string => `Line ${line}: ${reason}`,
  cornersThree: 'A closed line has at least three corners',
  cornersNumbers: 'two or three numbers were expected',
  cornersRadius: 'a radius cannot be negative',
  use: 'Use these corners',
  pair: 'Make it a pair',
  pairGap: 'Gap of the pair',
  back: 'back to back',
  extents: (width: string, depth: string): string => `${width} wide, ${depth} deep`,
};

export const stressSheet = {
  title: 'Stress in the section',
  from: 'From the start',
  shown: 'Stress that is drawn',
  normal: 'σ',
  shear: 'τ',
  equivalent: 'Equivalent',
  looking: 'Being solved on a mesh of the section…',
  onlyNormal: 'The section is in several pieces: shear stresses depend on what ties them, and are not given.',
  right: 'Right of the centroid',
  up: 'Above the centroid',
  outside: 'That place lies outside the section.',
  drawing: (what: string, most: string, least: string): string => `${what} over the section: from ${least} to ${most}`,
  at: 'Here',
  extremes: (least: string, most: string): string => `${least} to ${most}`,
  yields: (part: string): string => `${part} of the yield stress`,
  forces: (list: string): string => `With ${list}`,
  statement: 'St Venant’s torsion, no restrained warping.',
};

export const orientation = {
  group: 'How the section stands',
  roll: 'Roll about its axis',
  dial: 'Roll, drawn as one looks from the start to the end',
  degrees: (roll: number): string => `${roll}°`,
  quarterTurn: 'Quarter turn',
  inwards: 'Open inwards',
  towards: 'Open towards…',
  towardsHint: 'Click a node or a place that they open towards.',
  opened: 'Open towards a place',
  liesOnTheAxis: 'That place lies on the axis of the members: there is no way to open towards it.',
  mirror: 'Mirror left to right',
};
