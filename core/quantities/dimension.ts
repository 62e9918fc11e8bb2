/** Exponents of metre, kilogram, second, kelvin and radian. */
export type Dimension = readonly [number, number, number, number, number];

const dimension = (...exponents: [number, number, number, number, number]): Dimension => exponents;

/** The dimensions that a field of the model can ask for. Angles count, so that `850 kN·m/rad` is a rotational spring. */
export const dimensions = {
  number: dimension(0, 0, 0, 0, 0),
  length: dimension(1, 0, 0, 0, 0),
  area: dimension(2, 0, 0, 0, 0),
  modulus: dimension(3, 0, 0, 0, 0),
  inertia: dimension(4, 0, 0, 0, 0),
  force: dimension(1, 1, -2, 0, 0),
  moment: dimension(2, 1, -2, 0, 0),
  intensity: dimension(0, 1, -2, 0, 0),
  stress: dimension(-1, 1, -2, 0, 0),
  density: dimension(-3, 1, 0, 0, 0),
  mass: dimension(0, 1, 0, 0, 0),
  massPerLength: dimension(-1, 1, 0, 0, 0),
  acceleration: dimension(1, 0, -2, 0, 0),
  expansion: dimension(0, 0, 0, -1, 0),
  temperature: dimension(0, 0, 0, 1, 0),
  gradient: dimension(-1, 0, 0, 1, 0),
  angle: dimension(0, 0, 0, 0, 1),
  spring: dimension(0, 1, -2, 0, 0),
  rotationalSpring: dimension(2, 1, -2, 0, -1),
} as const;

export type DimensionName = keyof typeof dimensions;

/** How a message names a dimension, with an example of a unit that has it. */
export const dimensionWords: Record<DimensionName, string> = {
  number: 'a plain number',
  length: 'a length, such as m or mm',
  area: 'an area, such as cm2',
  modulus: 'a section modulus, such as cm3',
  inertia: 'a second moment of area, such as cm4',
  force: 'a force, such as kN',
  moment: 'a moment, such as kN·m',
  intensity: 'a load per length, such as kN/m',
  stress: 'a stress, such as MPa',
  density: 'a density, such as kg/m3',
  mass: 'a mass, such as 200 kg',
  massPerLength: 'a mass per length, such as kg/m',
  acceleration: 'an acceleration, such as m/s²',
  expansion: 'an expansion per temperature, such as 1.2e-5 /K',
  temperature: 'a temperature difference, such as K',
  gradient: 'a temperature gradient, such as K/m',
  angle: 'an angle, such as deg or rad',
  spring: 'a spring stiffness, such as kN/m',
  rotationalSpring: 'a rotational stiffness, such as kN·m/rad',
};

export const combine = (a: Dimension, b: Dimension, sign: 1 | -1): Dimension =>
  dimension(a[0] + sign * b[0], a[1] + sign * b[1], a[2] + sign * b[2], a[3] + sign * b[3], a[4] + sign * b[4]);

export const power = (a: Dimension, n: number): Dimension => dimension(a[0] * n, a[1] * n, a[2] * n, a[3] * n, a[4] * n);

export const sameDimension = (a: Dimension, b: Dimension): boolean => a.every((exponent, i) => exponent === b[i]);
