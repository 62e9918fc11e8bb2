import { senseOf } from './grammar';
import { findDefects } from '@rigid-beam/core/model/defects';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import { readingNames } from '@rigid-beam/core/model/edits/reading-order';
import type { Model } from '@rigid-beam/core/model/model';
import { lengthOf, placesOf } from '@rigid-beam/core/model/places';
import { COINCIDENT, times } from '@rigid-beam/core/model/point';
import { runOf } from '@rigid-beam/core/model/runs';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { defaultDisplay, intensityUnit, lengthUnit } from '@rigid-beam/core/quantities/display';
import type { SheetController } from '../sheet/controller';
import { removalOf } from '../sheet/removal';
import { DrawTool } from '../sheet/tools/draw-tool';
import { changeCommands, splitCommands } from './change-edits';
import { editCommand, make, type Command } from './command';
import { NORMALS, readTurn, readVector, repeatOf, transformOf } from './motions';

const modelOf = (sheet: SheetController): Model => sheet.editor.state.model;

export const geometryCommands: readonly Command[] = [
  {
    name: 'Draw members',
    run: (sheet) => {
      const take = (): void => sheet.take(new DrawTool(sheet));
      if (sheet.editor.state.stage === 'geometry') take();
      else {
        // Another stage puts down whatever is in hand; this is taken up after it.
        sheet.editor.go({ stage: 'geometry' });
        setTimeout(take);
      }
      return undefined;
    },
  },
  ...changeCommands,
  editCommand({
    name: 'Repeat',
    arguments: {
      count: { kind: 'count', words: 'how often' },
      way: { kind: 'text', after: 'times', words: 'across by up by forward, or degrees' },
      axis: { kind: 'axis', after: 'about', words: 'for a turn about an axis through the origin', optional: true },
      linked: { kind: 'flag', after: 'linked', words: 'members to each copy', optional: true },
    },
    needs: 'nodes or members',
    edit: ({ count, way: by, axis, linked }, { model }, chosen) => {
      const motion = axis ? readTurn(by!, [0, 0, 0], { axis, sign: senseOf(model, axis) }) : readVector(by!, lengthUnit(model));
      if (typeof motion === 'string') return motion;
      const like = model.members.at(-1);
      return repeatOf(chosen, 'kind' in motion ? motion : { kind: 'move', by: motion }, {
        times: count!,
        ...(linked && like && { link: { section: like.section, material: like.material } }),
      });
    },
  }),
  editCommand({
    name: 'Stretch',
    arguments: {
      axis: { kind: 'axis', words: 'along which axis' },
      beyond: { kind: 'length', after: 'beyond', words: 'all from there on moves', optional: true },
      at: { kind: 'length', after: 'at', words: 'only what stands there moves', optional: true },
      by: { kind: 'length', after: 'by', words: 'how far' },
    },
    edit: ({ axis, beyond, at, by }, { model }) => {
      const given = beyond ?? at;
      if (given === undefined) return 'Write from where: x beyond 5.4 by 0.6, or: x at 5.4 by 0.6';
      const sense = senseOf(model, axis!);
      const [place, way] = [sense * given, sense * by!];
      const there = model.nodes.filter((node) => sense * ((node[axis!] ?? 0) - place) >= -COINCIDENT);
      if (there.length === 0) return 'No node stands there or beyond.';
      // What lies beyond in the reader's sense, the other way round in the file's, is moved by itself.
      if (sense < 0 && beyond !== undefined)
        return transformOf(
          model,
          { nodes: there.map(({ id }) => id), members: [] },
          { kind: 'move', by: times(NORMALS[axis!], way) },
        );
      return { type: 'stretch', axis: axis!, beyond: place, by: way, what: beyond === undefined ? 'line' : 'beyond' };
    },
  }),
  editCommand({
    name: 'Split at',
    arguments: { place: { kind: 'length', words: 'from the start' } },
    needs: 'members',
    edit: ({ place }, { model }, { members }) => {
      const places = placesOf(model);
      const cuts = model.members
        .filter(({ id }) => members.includes(id))
        .map((member) => ({ member: member.id, at: [place! / lengthOf(member, places)] }));
      return { type: 'split', cuts };
    },
  }),
  ...splitCommands,
  editCommand({
    name: 'Merge nodes',
    arguments: {},
    needs: 'two nodes',
    inMenu: true,
    edit: (_, __, { nodes: [keep, ...rest] }) => ({ type: 'merge', pairs: rest.map((drop) => [keep!, drop] as const) }),
  }),
  editCommand({
    name: 'Remove',
    arguments: {},
    needs: 'anything',
    inMenu: true,
    edit: (_, { model, selection }) => removalOf(model, selection) ?? 'Nothing of this is left to remove.',
  }),
  editCommand({
    name: 'Load along the selection',
    arguments: {
      from: { kind: 'text', words: 'intensity where it begins' },
      to: { kind: 'text', after: 'to', words: 'where it ends, the same unless told', optional: true },
      axis: { kind: 'axis', after: 'along', words: '{Y} unless told', optional: true },
      plan: { kind: 'flag', after: 'plan', words: 'per metre on plan', optional: true },
    },
    needs: 'members',
    edit: ({ from, to = from, axis = 'y', plan }, { model, acting }, { members }) => {
      const unit = intensityUnit({ ...defaultDisplay, ...model.display });
      const loadCase = model.cases.find(({ id }) => id === acting) ?? model.cases[0];
      const run = runOf(model, members);
      if (!run) return 'The selected members do not follow each other.';
      if (!loadCase) return 'There is no load case. Add one first.';
      const ends = [from!, to!].map((text) => parseQuantity(text, 'intensity', unit));
      const bad = ends.findIndex((end) => !end.ok);
      if (bad >= 0) return `“${bad === 0 ? from : to}” is no load per length: write ${unit}.`;
      const [begin, end] = ends.map((one) => ({ [`w${axis}`]: one.ok ? senseOf(model, axis) * one.value + 0 : 0 }));
      const entry = { case: loadCase.id, type: 'chain', members: run, ...(plan && { axes: 'projected' }), from: begin, to: end };
      return { type: 'put', list: 'loads', entry };
    },
  }),
  {
    name: 'Clean up everything that is found',
    fits: (sheet) => modelOf(sheet).members.length <= 5000 && findDefects(modelOf(sheet)).length > 0,
    changes: true,
    run: cleanUp,
  },
  ...(['nodes', 'members'] as const).map((list) =>
    editCommand({
      name: `Renumber ${list} in reading order`,
      arguments: {},
      label: `Renumber ${list}`,
      edit: (_, { model }) => {
        const names = readingNames(model, list);
        return Object.keys(names).length === 0 ? 'They are in reading order already.' : { type: 'rename', list, names };
      },
    }),
  ),
  editCommand({
    name: 'Make it a space model',
    arguments: {
      clamped: {
        kind: 'flag',
        after: 'clamped',
        words: 'feet clamped out of the plane; held in place unless told',
        optional: true,
      },
    },
    label: 'From plane to space',
    fits: (sheet) => modelOf(sheet).space === 'plane',
    edit: ({ clamped }, { model }) => intoSpace(model, clamped ? 'clamped' : 'in place'),
    then: (sheet) => sheet.view.lookAt('corner'),
  }),
  editCommand({
    name: 'Group the selection',
    arguments: { name: { kind: 'text', words: 'its name', optional: true } },
    needs: 'nodes or members',
    inMenu: true,
    edit: ({ name }, { model }, what) => {
      const taken = (model.groups ?? []).map((group) => group.id);
      return { type: 'put', list: 'groups', entry: { id: name ?? freeName('group', taken), ...what } };
    },
  }),
  editCommand({
    name: 'Remove group',
    arguments: { name: { kind: 'text', words: 'its name; what it holds stays' } },
    fits: (sheet) => (modelOf(sheet).groups ?? []).length > 0,
    edit: ({ name }, { model }) => {
      const group = model.groups?.find(({ id }) => id.toLowerCase() === name!.toLowerCase());
      return group ? { type: 'remove', list: 'groups', keys: [group.id] } : `There is no group “${name}”.`;
    },
  }),
];

/** One repair after the other, since each may change the next, as one step. */
function cleanUp(sheet: SheetController): string | undefined {
  const intents: Intent[] = [];
  const seen = new Set<string>();
  let [first] = findDefects(modelOf(sheet));
  for (let i = 0; first && i < 500; i++) {
    if (seen.has(JSON.stringify(first.intent))) break;
    seen.add(JSON.stringify(first.intent));
    intents.push(first.intent);
    const applied = sheet.editor.tried({ type: 'batch', intents });
    if (!applied) return first.words;
    [first] = findDefects(applied);
  }
  if (intents.length === 0) return 'Nothing is found that needs mending.';
  return make(sheet, { type: 'batch', intents, label: `Clean up: ${intents.length} repairs` });
}

/** How supports hold a structure out of its plane once it stands in space: in place alone, or turning about no axis either. */
export type OutOfPlane = 'in place' | 'clamped';

/**
 * A plane model becomes one in space. Its supports are held in place across the plane; clamped they hold it upright by themselves, which only
 * whoever asks for it can mean.
 */
export function intoSpace(model: Model, feet: OutOfPlane): Intent {
  const held = feet === 'clamped' ? { uz: 'fixed', rx: 'fixed', ry: 'fixed' } : { uz: 'fixed' };
  const intents: Intent[] = [
    { type: 'set', settings: { space: 'space' } },
    ...model.supports.map((support): Intent => ({ type: 'put', list: 'supports', entry: { ...support, ...held } })),
  ];
  return { type: 'batch', intents, label: `From plane to space, feet ${feet === 'clamped' ? 'clamped' : 'held in place'}` };
}

/** A plane frame, made the first of so many in a row behind each other, all nodes but the feet linked from frame to frame. */
export function asHall(
  model: Model,
  feet: OutOfPlane,
  { frames, spacing }: { readonly frames: number; readonly spacing: number },
): Intent {
  const like = model.members.at(-1);
  const repeated: Intent = {
    type: 'repeat',
    nodes: model.nodes.map(({ id }) => id),
    members: model.members.map(({ id }) => id),
    motion: { kind: 'move', by: [0, 0, -spacing] },
    times: frames - 1,
    ...(like && { link: { section: like.section, material: like.material } }),
    supports: 'copied',
    loads: 'copied',
  };
  return { type: 'batch', intents: [intoSpace(model, feet), repeated], label: `From a frame to a hall of ${frames}` };
}
