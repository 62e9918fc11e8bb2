import { phraseKinds, WAYS, type LoadPhrase, type Measured, type PhraseKind } from '@rigid-beam/core/model/loads/phrase';
import { actsOn } from '@rigid-beam/core/model/loads/phrase-loads';
import type { Model } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import type { PictureName } from '../../ui/pictures';

/** A kind of load as an instrument: its picture, its name, and what is said when it is first taken in hand. */
interface LoadKind {
  readonly id: PhraseKind;
  readonly picture: PictureName;
  readonly short: string;
  readonly text: string;
  readonly first: string;
}

const KINDS: Readonly<Record<PhraseKind, Omit<LoadKind, 'id'>>> = {
  line: { picture: 'line', short: 'Line', text: 'Line load', first: '10 kN/m down' },
  force: { picture: 'point', short: 'Force', text: 'Force', first: '10 kN down' },
  couple: { picture: 'couple', short: 'Couple', text: 'Couple', first: '10 kN·m anticlockwise' },
  temperature: { picture: 'warmth', short: 'Warmth', text: 'Temperature', first: '20 K warmer' },
  fit: { picture: 'fit', short: 'Fit', text: 'Lack of fit', first: '3 mm too long' },
  settlement: { picture: 'settlement', short: 'Settles', text: 'Settlement of a support', first: '10 mm down' },
};
export const loadKinds: readonly LoadKind[] = phraseKinds.map((id) => ({ id, ...KINDS[id] }));

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
  `${words}, on ${{ node: 'nodes', member: 'members', either: 'nodes or members' }[actsOn(phrase)]}`;

export const PUT = {
  heading: 'Put on the structure',
  field: 'What acts',
  nodes: (count: number): string => `Put it on the ${count === 1 ? 'selected node' : `${count} selected nodes`}`,
  members: (count: number): string => `Put it on the ${count === 1 ? 'selected member' : `${count} selected members`}`,
  run: (count: number): string => `Put it along the run of ${count} as one`,
  label: (words: string, count: number, what: string): string => `Put ${words} on ${count} ${what}${count === 1 ? '' : 's'}`,
};
