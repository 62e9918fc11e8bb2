import { senseOf } from './grammar';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Motion } from '@rigid-beam/core/model/edits/motion';
import type { Repetition } from '@rigid-beam/core/model/edits/repeat';
import type { Model } from '@rigid-beam/core/model/model';
import { axisNames, times as timesOf, type AxisName, type Point } from '@rigid-beam/core/model/point';
import { middleOf, nodesOf, type Chosen } from '@rigid-beam/core/model/selecting';
import { editCommand, type Command, type Edit } from './command';
import type { Arguments, Values } from './grammar';
import { NORMALS, repeatOf, transformOf } from './motions';

// Moving, turning and mirroring what is selected, itself or as copies: the command field reads these tables, and the bench shows them as forms.

const moved = {
  way: { kind: 'vector', words: 'across by up by forward', label: 'Way', shown: 'way' },
} as const satisfies Arguments;

const turned = {
  angle: { kind: 'angle', words: 'degrees', label: 'By', default: 90 },
  axis: { kind: 'axis', after: 'about', words: '{Z} unless told', label: 'About', optional: true, default: 'z', inSpace: true },
  around: {
    kind: 'vector',
    after: 'around',
    words: 'the point that stays, the middle of the selection unless told',
    label: 'Around',
    optional: true,
    shown: 'point',
  },
} as const satisfies Arguments;

const mirrored = {
  at: { kind: 'length', after: 'at', words: 'where the mirror stands', label: 'Mirror stands at', shown: 'point' },
  along: {
    kind: 'axis',
    after: 'along',
    words: 'the axis across it, {X} unless told',
    label: 'Mirror across',
    optional: true,
    default: 'x',
  },
} as const satisfies Arguments;

const copied = {
  bare: { kind: 'flag', after: 'bare', words: 'without loads and supports', label: 'Structure only', optional: true },
  link: {
    kind: 'section',
    after: 'linked',
    words: 'section of members to the copy',
    label: 'Members to the copy',
    optional: true,
  },
} as const satisfies Arguments;
const often = {
  times: { kind: 'count', after: 'times', words: 'how often', label: 'Times', optional: true, default: 1 },
} as const satisfies Arguments;

const about = (model: Model, chosen: Chosen): Point => middleOf(model, nodesOf(model, chosen));

const motions = {
  move: ({ way }: Values<typeof moved>): Motion | string =>
    way!.some((part) => part !== 0) ? { kind: 'move', by: way! } : 'The way leads nowhere.',
  turn: ({ angle, axis, around }: Values<typeof turned>, model: Model, chosen: Chosen): Motion => ({
    kind: 'turn',
    about: around ?? about(model, chosen),
    axis: axis!,
    degrees: senseOf(model, axis!) * angle!,
  }),
  mirror: ({ at, along }: Values<typeof mirrored>, model: Model): Motion => ({
    kind: 'mirror',
    at: timesOf(NORMALS[along!], senseOf(model, along!) * at!),
    normal: NORMALS[along!],
  }),
} as const;

const itself = (motion: Motion | string, model: Model, chosen: Chosen): Intent | string =>
  typeof motion === 'string' ? motion : transformOf(model, chosen, motion);

function asCopy(
  motion: Motion | string,
  model: Model,
  chosen: Chosen,
  { bare, link, times = 1 }: Values<typeof copied> & Partial<Values<typeof often>>,
): Intent | string {
  if (typeof motion === 'string') return motion;
  const material = model.members.at(-1)?.material ?? model.materials[0]?.id ?? '';
  const kept: Pick<Repetition, 'supports' | 'loads'> = bare
    ? { supports: 'left', loads: 'left' }
    : { supports: 'copied', loads: 'copied' };
  return repeatOf(chosen, motion, { times, ...kept, ...(link && { link: { section: link, material } }) });
}

const needs = 'nodes or members';
const edit = <A extends Arguments>(one: Edit<A>): Edit<A> => one;

/** What a form begins with where the table does not say it: the point that stays, and where the mirror stands. */
export function beginning(model: Model, chosen: Chosen): { readonly around: Point; readonly at: number } {
  const middle = about(model, chosen);
  return { around: middle, at: middle[0] };
}

/** The part of a point along an axis. */
export const along = (point: Point, axis: AxisName): number => point[axisNames.indexOf(axis)]!;

const moveEdit = edit({
  name: 'Move',
  arguments: moved,
  needs,
  done: 'Move it',
  edit: (values, { model }, chosen) => itself(motions.move(values), model, chosen),
});
const turnEdit = edit({
  name: 'Turn',
  arguments: turned,
  needs,
  done: 'Turn it',
  edit: (values, { model }, chosen) => itself(motions.turn(values, model, chosen), model, chosen),
});
const mirrorEdit = edit({
  name: 'Mirror',
  arguments: mirrored,
  needs,
  done: 'Mirror it',
  edit: (values, { model }, chosen) => itself(motions.mirror(values, model), model, chosen),
});
const copyEdit = edit({
  name: 'Copy',
  arguments: { ...moved, ...often, ...copied },
  needs,
  done: 'Make the copy',
  edit: (values, { model }, chosen) => asCopy(motions.move(values), model, chosen, values),
});
const copyTurnedEdit = edit({
  name: 'Copy turned',
  arguments: { ...turned, ...often, ...copied },
  needs,
  done: 'Make the copy',
  edit: (values, { model }, chosen) => asCopy(motions.turn(values, model, chosen), model, chosen, values),
});
const copyMirroredEdit = edit({
  name: 'Copy mirrored',
  arguments: { ...mirrored, ...copied },
  needs,
  done: 'Make the copy',
  edit: (values, { model }, chosen) => asCopy(motions.mirror(values, model), model, chosen, values),
});

export const splitEdit = edit({
  name: 'Split into',
  arguments: { parts: { kind: 'count', words: 'equal parts', label: 'Equal parts', default: 2 } },
  needs: 'members',
  done: 'Split',
  edit: ({ parts }, _, { members }) => {
    if (parts! < 2 || parts! > 200) return 'A member is split into 2 to 200 parts.';
    const at = Array.from({ length: parts! - 1 }, (__, i) => (i + 1) / parts!);
    return { type: 'split', cuts: members.map((member) => ({ member, at })) };
  },
});
export const joinEdit = edit({
  name: 'Join members in one line',
  arguments: {},
  needs: 'two members',
  done: 'Join in one line',
  inMenu: true,
  edit: (_, __, { members }) => ({ type: 'join', members }),
});
export const jointsEdit = edit({
  name: 'Make joints where members cross',
  arguments: {},
  needs: 'members',
  done: 'Joints at crossings',
  inMenu: true,
  edit: (_, __, { members }) => ({ type: 'joints', members }),
});

/** By how and what: the edits whose tables are the forms of the geometry bench. */
export const changeEdits = {
  move: { itself: moveEdit, copy: copyEdit },
  turn: { itself: turnEdit, copy: copyTurnedEdit },
  mirror: { itself: mirrorEdit, copy: copyMirroredEdit },
} as const;

export const changeCommands: readonly Command[] = [
  editCommand(moveEdit),
  editCommand(turnEdit),
  editCommand(mirrorEdit),
  editCommand(copyEdit),
  editCommand(copyTurnedEdit),
  editCommand(copyMirroredEdit),
];
export const splitCommands: readonly Command[] = [editCommand(splitEdit), editCommand(joinEdit), editCommand(jointsEdit)];
