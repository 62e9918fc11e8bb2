import { axisKeys, structureAxis } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';
import { showNumber } from '../quantities/show';
import type { FollowingFreedom, Numbered, WorkedFreedom } from './freedoms';
import { scaledIn, WORKINGS_DIGITS } from './units';
import { words as WORDS } from './words';

/** A freedom as it stands on the sheet: one that follows another bears its number. */
export interface SheetFreedom extends Pick<WorkedFreedom, 'node' | 'component'> {
  readonly state: WorkedFreedom['state'] | 'follows';
  readonly label: string;
  /** Its row is pointed at. */
  readonly isLit?: boolean;
}

type Axis = Pick<WorkedFreedom, 'component'>;

/** What a freedom moves with, in the reader's units and senses: `3`, `−3`, `0.6·d3 + 0.8·d4`, `0`. */
export function followWords({ component, shares, besides }: FollowingFreedom, { all }: Numbered, display: DisplayUnits): string {
  const scaled = scaledIn(display);
  const senseOf = (one: Axis): number => structureAxis(display, axisKeys[one.component % 3]!).sign;
  const turns = (one: Axis): number => Number(one.component >= 3);
  const sense = senseOf({ component });
  const isAlone = shares.length === 1 && besides === 0;
  const terms = [...shares]
    .sort(([one], [other]) => one - other)
    .map(([place, factor]) => {
      const of = all[place]!;
      return {
        value: sense * senseOf(of) * scaled(factor, 0, turns(of) - turns({ component })),
        name: `${isAlone ? '' : 'd'}${of.number}`,
      };
    });
  if (Math.abs(besides) > 0) terms.push({ value: sense * scaled(besides, 0, 1 - turns({ component })), name: '' });
  if (terms.length === 0) return WORDS.still;
  return terms
    .map(({ value, name }, i) => {
      const size = showNumber(Math.abs(value), WORKINGS_DIGITS);
      const word = name === '' ? size : size === '1' ? name : `${size}·${isAlone ? `d${name}` : name}`;
      return i === 0 ? (value < 0 ? `−${word}` : word) : `${value < 0 ? '−' : '+'} ${word}`;
    })
    .join(' ');
}

/** Whether it follows held freedoms alone. */
export const isHeldStill = ({ shares }: FollowingFreedom, { all }: Numbered): boolean =>
  shares.every(([place]) => all[place]!.state === 'held');

/** Freedoms as they stand on the sheet: those that have numbers, and those that follow them. `nodes`: of a part, which nodes of the whole they are at. */
export const sheetFreedoms = (numbered: Numbered, display: DisplayUnits, nodes?: Int32Array): readonly SheetFreedom[] =>
  [
    ...numbered.all.map(({ node, component, state, number }) => ({ node, component, state, label: String(number) })),
    // What cannot move is drawn nowhere.
    ...[...numbered.followers.values()].flatMap((one): SheetFreedom[] =>
      one.shares.length === 0
        ? []
        : [
            {
              node: one.node,
              component: one.component,
              state: isHeldStill(one, numbered) ? 'held' : 'follows',
              label: followWords(one, numbered, display),
            },
          ],
    ),
  ].map((one) => (nodes ? { ...one, node: nodes[one.node]! } : one));
