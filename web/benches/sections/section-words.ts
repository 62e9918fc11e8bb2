import type { ShapeType } from '@rigid-beam/core/model/model';

/** Shapes that can be begun, in as little room as there is. */
export const SHORT_SHAPES: Readonly<Record<ShapeType, string>> = {
  i: 'I',
  channel: 'Channel',
  angle: 'Angle',
  tee: 'Tee',
  rhs: 'Box',
  chs: 'Tube',
  rectangle: 'Rectangle',
  round: 'Bar',
  general: 'Typed',
};

export const STOCK = {
  begin: 'Begin a section',
  sections: 'Sections of this model',
  materials: 'Materials',
  addMaterial: 'Add a material',
  none: 'None yet.',
  members: (count: number): string => (count === 1 ? '1 member' : `${count} members`),
  hint: (name: string): string => `Click the members that get ${name}. Escape ends.`,
  assign: (name: string, count: number): string =>
    `Give ${name} to the ${count === 1 ? 'selected member' : `${count} selected members`}`,
  assigned: (name: string, count: number): string => `${name} for ${count === 1 ? '1 member' : `${count} members`}`,
  select: (count: number): string => `Select its ${count === 1 ? 'member' : `${count} members`}`,
  remove: (name: string): string => `Remove ${name}`,
};
