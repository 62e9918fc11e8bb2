import { dimensions, power, sameDimension, type Dimension } from './dimension';
import { parseFault } from './parse-fault';

/** A number in SI with its dimension. */
export interface Measured {
  readonly value: number;
  readonly dimension: Dimension;
}

const plain = (value: number): Measured => ({ value, dimension: dimensions.number });
const isPlain = ({ dimension }: Measured): boolean => sameDimension(dimension, dimensions.number);
const isAngle = ({ dimension }: Measured): boolean => sameDimension(dimension, dimensions.angle);

/** Of one quantity of any dimension, which the result has too. */
const same =
  (name: string, of: (value: number) => number) =>
  (all: readonly Measured[]): Measured => {
    const one = single(name, all);
    return { value: of(one.value), dimension: one.dimension };
  };
const whole =
  (name: string, of: (value: number) => number) =>
  (all: readonly Measured[]): Measured => {
    const one = single(name, all);
    if (!isPlain(one)) throw parseFault(`${name} takes a plain number: divide by a unit, as in ${name}(span/(1 m))`);
    return plain(of(one.value));
  };
const ofAngle =
  (name: string, of: (radians: number) => number) =>
  (all: readonly Measured[]): Measured => {
    const one = single(name, all);
    if (!isAngle(one)) throw parseFault(`${name} takes an angle with its unit, as in ${name}(30 deg)`);
    return plain(of(one.value));
  };
const toAngle =
  (name: string, of: (value: number) => number) =>
  (all: readonly Measured[]): Measured => {
    const one = single(name, all);
    if (!isPlain(one)) throw parseFault(`${name} takes a plain number`);
    const value = of(one.value);
    if (Number.isNaN(value)) throw parseFault(`there is no ${name} of ${one.value}`);
    return { value, dimension: dimensions.angle };
  };
const chosen =
  (name: string, of: (...values: number[]) => number) =>
  (all: readonly Measured[]): Measured => {
    if (all.some(({ dimension }) => !sameDimension(dimension, all[0]!.dimension)))
      throw parseFault(`${name} compares quantities of one dimension`);
    return { value: of(...all.map(({ value }) => value)), dimension: all[0]!.dimension };
  };

function single(name: string, all: readonly Measured[]): Measured {
  if (all.length !== 1) throw parseFault(`${name} takes one value`);
  return all[0]!;
}

function root(all: readonly Measured[]): Measured {
  const { value, dimension } = single('sqrt', all);
  if (value < 0) throw parseFault('there is no root of a negative number');
  if (dimension.some((exponent) => exponent % 2 !== 0)) throw parseFault('the root of this quantity has no dimension');
  return { value: Math.sqrt(value), dimension: power(dimension, 0.5) };
}

/** What may stand before a bracket, of the values in it. */
export const functions: ReadonlyMap<string, (all: readonly Measured[]) => Measured> = new Map([
  ['sqrt', root],
  ['abs', same('abs', Math.abs)],
  ['min', chosen('min', Math.min)],
  ['max', chosen('max', Math.max)],
  ['round', whole('round', Math.round)],
  ['floor', whole('floor', Math.floor)],
  ['ceil', whole('ceil', Math.ceil)],
  ['sin', ofAngle('sin', Math.sin)],
  ['cos', ofAngle('cos', Math.cos)],
  ['tan', ofAngle('tan', Math.tan)],
  ['asin', toAngle('asin', Math.asin)],
  ['acos', toAngle('acos', Math.acos)],
  ['atan', toAngle('atan', Math.atan)],
]);

/** What is known without being given. */
export const constants: ReadonlyMap<string, Measured> = new Map([
  ['pi', plain(Math.PI)],
  ['π', plain(Math.PI)],
]);
