import { axisKeys, inReaderOrder, structureAxis, type CalledAxis } from '../../quantities/axis-names';
import type { DisplayUnits } from '../../quantities/display';

/** A component of a nodal force or movement (0 to 5): what it is called, and the sense in which readers count it. */
export interface Component extends Pick<CalledAxis, 'sign'> {
  readonly name: string;
}

/** The axis that a component is along, or about. */
export const axisOfComponent = (k: number, display: DisplayUnits): CalledAxis => structureAxis(display, axisKeys[k % 3]!);

/** X, Y, Z, and the couples about them; a plane structure (`active` freedoms 0, 1, 5) has one couple. */
export function forceComponent(k: number, active: readonly number[], display: DisplayUnits): Component {
  const { letter, sign } = axisOfComponent(k, display);
  return k < 3 ? { name: letter, sign } : active.length === 3 ? { name: 'M', sign: 1 } : { name: `M${letter}`, sign };
}

/** The same of movements: along the axes, and turns about them. */
export function movementComponent(k: number, active: readonly number[], display: DisplayUnits): Component {
  const { letter, sign } = axisOfComponent(k, display);
  return k < 3
    ? { name: `u${letter}`, sign }
    : active.length === 3
      ? { name: 'turn', sign: 1 }
      : { name: `turn ${letter}`, sign };
}

/** Components in the order in which readers have their axes: along them, then about them. */
export const inComponentOrder = (active: readonly number[], display: DisplayUnits): readonly number[] =>
  [0, 3].flatMap((first) =>
    inReaderOrder(axisKeys, display)
      .map((key) => first + axisKeys.indexOf(key))
      .filter((k) => active.includes(k)),
  );
