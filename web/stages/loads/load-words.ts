import { counted } from '@rigid-beam/core/counted';
import { phraseKinds, SIDES, WAYS, type LoadPhrase, type Measured, type PhraseKind } from '@rigid-beam/core/phrases/phrase';
import { actsOn } from '@rigid-beam/core/phrases/phrase-loads';
import { categoryOf, type Category } from '@rigid-beam/core/model/categories';
import type { Model } from '@rigid-beam/core/model/model';
import { dot, type Point } from '@rigid-beam/core/model/point';
import { isImperial, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { PictureName } from '../../ui/pictures';

/** A kind of load as an instrument: its picture and its name, in as little room as there is and in full. */
interface LoadKind {
  readonly id: PhraseKind;
  readonly picture: PictureName;
  readonly short: string;
  readonly text: string;
}

const KINDS: Readonly<Record<PhraseKind, Omit<LoadKind, 'id'>>> = {
  line: { picture: 'line', short: 'Line', text: 'Line load' },
  force: { picture: 'point', short: 'Force', text: 'Force' },
  couple: { picture: 'couple', short: 'Couple', text: 'Couple' },
  area: { picture: 'area', short: 'Area', text: 'Pressure on an area' },
  temperature: { picture: 'warmth', short: 'Temperature', text: 'Temperature' },
  fit: { picture: 'fit', short: 'Lack of fit', text: 'Lack of fit' },
  settlement: { picture: 'settlement', short: 'Settlement', text: 'Settlement of a support' },
};
export const loadKinds: readonly LoadKind[] = phraseKinds.map((id) => ({ id, ...KINDS[id] }));

/** What is said of a kind before anything else was, in the units of the project. */
export function firstWords(kind: PhraseKind, display: DisplayUnits, space: Model['space'], category?: Category): string {
  const { deflection } = display;
  const small = deflection === 'mm' ? '10 mm' : `0.1 ${deflection}`;
  // Wind blows on walls, snow lies on plan.
  const { acts: way, pressure } = categoryOf(category ?? 'other');
  const size = isImperial(display) ? `20 lbf/ft2` : `${pressure / 1e3} kN/m2`;
  const area = `${size} ${way}${space === 'plane' ? ` over 5 ${display.length}` : ''}`;
  return {
    line: way === 'right' ? '10 right' : '10',
    force: '10',
    couple: '10',
    area,
    temperature: '20',
    fit: `${small} too long`,
    settlement: `${small} down`,
  }[kind];
}

/** Whether a phrase acts against its own direction or sense; and the same size the other way. */
export const isTurned = ({ from, to, across }: LoadPhrase): boolean => (from + to || (across?.[0]?.size ?? 0)) < 0;
export const oppositeOf = (phrase: LoadPhrase): LoadPhrase => ({
  ...phrase,
  from: -phrase.from + 0,
  to: -phrase.to + 0,
  ...(phrase.across && { across: phrase.across.map((one) => ({ ...one, size: -one.size })) }),
});

/** A phrase after a change, with what it says of parameters. */
export function changed(phrase: LoadPhrase, change: (one: LoadPhrase) => LoadPhrase): LoadPhrase {
  const { varied, ...own } = phrase;
  return { ...change(own), ...(varied && { varied: { ...varied, phrase: change(varied.phrase) } }) };
}

/** Where a temperature acts: all through a member, or on a side of it. */
export const ALL_THROUGH = 'all through';
export const sidesOf = (space: Model['space']): readonly string[] => [
  ALL_THROUGH,
  ...Object.keys(SIDES).filter((side) => space === 'space' || WAYS[SIDES[side]!]![2] === 0),
];

/** The side that a phrase speaks of; undefined where it speaks of several. */
export function sideOf({ from, across = [] }: LoadPhrase): string | undefined {
  if (across.length === 0) return ALL_THROUGH;
  if (from !== 0 || across.length > 1) return undefined;
  return Object.keys(SIDES).find((side) => dot(WAYS[SIDES[side]!]!, across[0]!.towards) > 1 - 1e-9);
}

/** The same size on a side: between its faces, where it was the size of the whole. */
export function onSide({ across, ...phrase }: LoadPhrase, side: string): LoadPhrase {
  const [first] = across ?? [];
  const size = phrase.from || (first?.size ?? 0);
  if (side === ALL_THROUGH) return { ...phrase, from: size, to: size };
  const per = phrase.from === 0 && first ? first.per : 'depth';
  return { ...phrase, from: 0, to: 0, across: [{ size, per, towards: WAYS[SIDES[side]!]! }] };
}

/** A direction as a button. */
export interface Way {
  readonly id: string;
  readonly sign: string;
  readonly label: string;
  readonly way: Point;
}

const ARROWS: Readonly<Record<string, readonly [sign: string, label: string]>> = {
  down: ['↓', 'Down'],
  up: ['↑', 'Up'],
  right: ['→', 'To the right'],
  left: ['←', 'To the left'],
  forward: ['↙', 'Forward'],
  back: ['↗', 'To the back'],
};

/** The directions of a space, in the order in which Tab goes through them. */
export const waysOf = (space: Model['space']): readonly Way[] =>
  Object.entries(WAYS).flatMap(([id, way]) =>
    way[2] !== 0 && space === 'plane' ? [] : [{ id, sign: ARROWS[id]![0], label: ARROWS[id]![1], way }],
  );

/** The direction in which a phrase acts, where it has a word. */
export const wayOf = (phrase: LoadPhrase, space: Model['space']): Way | undefined =>
  waysOf(space).find(({ way }) => dot(way, phrase.direction) * (isTurned(phrase) ? -1 : 1) > 1 - 1e-9);

/** For what has no direction: the two ways it can go. */
export const SENSES: Readonly<Partial<Record<PhraseKind, readonly (readonly [sign: string, label: string])[]>>> = {
  couple: [
    ['↺', 'Anticlockwise'],
    ['↻', 'Clockwise'],
  ],
  temperature: [
    ['+', 'Warmer'],
    ['−', 'Colder'],
  ],
  fit: [
    ['+', 'Too long'],
    ['−', 'Too short'],
  ],
};

export const measures: readonly {
  readonly id: Measured;
  readonly picture: PictureName;
  readonly short: string;
  readonly label: string;
}[] = [
  { id: 'member', picture: 'line', short: 'Along', label: 'Measured along the member' },
  { id: 'plan', picture: 'plan', short: 'On plan', label: 'Measured on plan' },
  { id: 'across', picture: 'pressure', short: 'Across', label: 'Square to the member' },
];

/** What happens to what is understood. */
export const understoodWords = (phrase: LoadPhrase, words: string): string =>
  `${words}, on ${{ node: 'nodes', member: 'members', either: 'nodes or members', panel: 'a panel between members' }[actsOn(phrase)]}`;

export const PUT = {
  heading: 'Put on the structure',
  kinds: 'Loads to place',
  field: 'What acts',
  sense: 'Sense',
  side: 'Where it is warmer or colder',
  direction: 'Direction',
  measured: 'Measured',
  refused: (reason: string): string => `Nothing was put: ${reason}.`,
  nodes: (count: number): string => `Put it on the ${count === 1 ? 'selected node' : `${count} selected nodes`}`,
  members: (count: number): string => `Put it on the ${count === 1 ? 'selected member' : `${count} selected members`}`,
  panel: (corners: string): string => `Put it on the panel ${corners}`,
  panels: (count: number): string => `Put it on these ${count} panels`,
  loadedAlready: (count: number, caseId: string): string =>
    count === 1
      ? `One of the selected panels has a pressure in ${caseId} already.`
      : `${count} of the selected panels have a pressure in ${caseId} already.`,
  besides: (count: number): string => (count === 1 ? 'Put it there besides' : 'Put it on those besides'),
  run: (count: number): string => `Put it along the run of ${count} as one`,
  spread: 'Carried',
  twoWay: 'two ways',
  oneWay: 'one way',
  label: (words: string, count: number, what: string): string => `Put ${words} on ${counted(count, what)}`,
};
