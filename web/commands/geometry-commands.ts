import { findDefects } from '@rigid-beam/core/model/defects';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import { readingNames } from '@rigid-beam/core/model/edits/reading-order';
import { lengthOf, placesOf } from '@rigid-beam/core/model/places';
import type { Model } from '@rigid-beam/core/model/model';
import { middleOf, nodesOf, type Chosen } from '@rigid-beam/core/model/selecting';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { COINCIDENT, type AxisName } from '@rigid-beam/core/model/point';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import type { SheetController } from '../sheet/controller';
import { removalOf } from '../sheet/removal';
import { DrawTool } from '../sheet/tools/draw-tool';
import { chosenOf } from './chosen';
import type { Command } from './command';
import { NORMALS, readTurn, readVector, repeatOf, transformOf } from './motions';

const modelOf = (sheet: SheetController): Model => sheet.editor.state.model;
const chosen = (sheet: SheetController): Chosen => chosenOf(sheet.editor.state.selection);
export const hasAny = (sheet: SheetController): boolean => chosen(sheet).nodes.length + chosen(sheet).members.length > 0;
const hasMembers = (sheet: SheetController): boolean => chosen(sheet).members.length > 0;

/** Makes an edit; why it was refused, in words. */
export function make(sheet: SheetController, intent: Intent, label?: string): string | undefined {
  if (sheet.editor.edit(intent, label)) return undefined;
  return sheet.editor.state.refusal[0]?.message ?? 'The edit was refused.';
}

type Parsed = ReturnType<typeof parseQuantity>;

const NOTHING = 'Nothing is selected. Select nodes or members first.';

/** A command that needs a selection and reads a text into an edit. */
const withChosen =
  (read: (sheet: SheetController, text: string, chosen: Chosen) => Intent | string) =>
  (sheet: SheetController, text: string): string | undefined => {
    if (!hasAny(sheet)) return NOTHING;
    const intent = read(sheet, text, chosen(sheet));
    return typeof intent === 'string' ? intent : make(sheet, intent);
  };

const vector = (sheet: SheetController, text: string) => readVector(text, lengthUnit(modelOf(sheet)));
const about = (sheet: SheetController, what: Chosen) => middleOf(modelOf(sheet), nodesOf(modelOf(sheet), what));

/** `4 times 0 by 0 by -5 linked`, `5 times 60 about y` */
function readRepeat(sheet: SheetController, text: string, what: Chosen): Intent | string {
  const [, count, rest = '', linked] = /^\s*(\d+)\s*times\b(.*?)(\blinked)?\s*$/.exec(text) ?? [];
  if (count === undefined) return 'Write: 4 times across by up by forward (and linked), or 5 times 60 about y';
  const model = modelOf(sheet);
  const turns = /\babout\b/.test(rest);
  const motion = turns ? readTurn(rest, [0, 0, 0]) : vector(sheet, rest);
  if (typeof motion === 'string') return motion;
  const like = model.members.at(-1);
  return repeatOf(what, Array.isArray(motion) ? { kind: 'move', by: motion as never } : (motion as never), {
    times: Number(count),
    ...(linked && like && { link: { section: like.section, material: like.material } }),
  });
}

/** `into 4`, or `at 2.5`: metres from the start. */
function readSplit(sheet: SheetController, text: string, { members }: Chosen): Intent | string {
  if (members.length === 0) return 'Select members to split first.';
  const model = modelOf(sheet);
  const [, into] = /^\s*(?:into\s+)?(\d+)\s*$/.exec(text) ?? [];
  if (into !== undefined && !/\bat\b/.test(text)) {
    const parts = Number(into);
    if (parts < 2 || parts > 200) return 'A member is split into 2 to 200 parts.';
    const at = Array.from({ length: parts - 1 }, (_, i) => (i + 1) / parts);
    return { type: 'split', cuts: members.map((member) => ({ member, at })) };
  }
  const [, place] = /^\s*at\b(.*)$/.exec(text) ?? [];
  if (place === undefined) return 'Write: into 4, or: at 2.5 (from the start)';
  const parsed = parseQuantity(place, 'length', lengthUnit(model));
  if (!parsed.ok) return parsed.reason;
  const places = placesOf(model);
  const cuts = model.members
    .filter(({ id }) => members.includes(id))
    .map((member) => ({ member: member.id, at: [parsed.value / lengthOf(member, places)] }));
  return { type: 'split', cuts };
}

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
  {
    name: 'Move',
    notation: 'across by up (by forward)',
    fits: hasAny,
    run: withChosen((sheet, text, what) => {
      const by = vector(sheet, text);
      return typeof by === 'string' ? by : transformOf(modelOf(sheet), what, { kind: 'move', by });
    }),
  },
  {
    name: 'Copy',
    notation: 'across by up (by forward)',
    fits: hasAny,
    run: withChosen((sheet, text, what) => {
      const by = vector(sheet, text);
      return typeof by === 'string' ? by : repeatOf(what, { kind: 'move', by });
    }),
  },
  {
    name: 'Turn',
    notation: 'degrees (about x, y or z), around the middle of the selection',
    fits: hasAny,
    run: withChosen((sheet, text, what) => {
      const motion = readTurn(text, about(sheet, what));
      return typeof motion === 'string' ? motion : transformOf(modelOf(sheet), what, motion);
    }),
  },
  ...(['mirror', 'copy mirrored'] as const).map((how): Command => ({
    name: how === 'mirror' ? 'Mirror' : 'Copy mirrored',
    notation: 'at 6 (a place along X), or: at 3 along y',
    fits: hasAny,
    run: withChosen((sheet, text, what) => {
      const [, place, axis = 'x'] = /^\s*(?:at\b)?(.*?)(?:\balong\b\s*([xyz]))?\s*$/i.exec(text) ?? [];
      const parsed = parseQuantity(place ?? '', 'length', lengthUnit(modelOf(sheet)));
      if (!parsed.ok) return `Write where the mirror stands: at 6, or: at 3 along y (${parsed.reason})`;
      const normal = NORMALS[axis.toLowerCase() as 'x' | 'y' | 'z'];
      const at = normal.map((part) => part * parsed.value) as unknown as typeof normal;
      const motion = { kind: 'mirror', at, normal } as const;
      return how === 'mirror' ? transformOf(modelOf(sheet), what, motion) : repeatOf(what, motion);
    }),
  })),
  {
    name: 'Repeat',
    notation: '4 times across by up by forward (linked) · 5 times 60 about y',
    fits: hasAny,
    run: withChosen(readRepeat),
  },
  {
    name: 'Stretch',
    notation: 'x beyond 5.4 by 0.6 (all beyond moves along) · x at 5.4 by 0.6 (only what stands there)',
    run: (sheet, text) => {
      const [, axis, what, place, way] = /^\s*([xyz])\s+(beyond|at)\b(.*?)\bby\b(.*)$/i.exec(text) ?? [];
      if (!axis || !what) return 'Write: x beyond 5.4 by 0.6, or: x at 5.4 by 0.6';
      const [at, by] = [place!, way!].map((part) => parseQuantity(part, 'length', lengthUnit(modelOf(sheet)))) as [
        Parsed,
        Parsed,
      ];
      if (!at.ok) return `“${place!.trim()}” is no length: ${at.reason}`;
      if (!by.ok) return `“${way!.trim()}” is no length: ${by.reason}`;
      const named = axis.toLowerCase() as AxisName;
      if (!modelOf(sheet).nodes.some((node) => (node[named] ?? 0) >= at.value - COINCIDENT))
        return 'No node stands there or beyond.';
      return make(sheet, {
        type: 'stretch',
        axis: named,
        beyond: at.value,
        by: by.value,
        what: what.toLowerCase() === 'at' ? 'line' : 'beyond',
      });
    },
  },
  { name: 'Split', notation: 'into 4 · at 2.5 from the start', fits: hasMembers, run: withChosen(readSplit) },
  {
    name: 'Join members in one line',
    fits: (sheet) => chosen(sheet).members.length > 1,
    inMenu: true,
    run: withChosen((_, __, { members }) => ({ type: 'join', members })),
  },
  {
    name: 'Make joints where members cross',
    fits: hasMembers,
    inMenu: true,
    run: withChosen((_, __, { members }) => ({ type: 'joints', members })),
  },
  {
    name: 'Merge nodes',
    fits: (sheet) => chosen(sheet).nodes.length > 1,
    inMenu: true,
    run: withChosen((_, __, { nodes }) => {
      const [keep, ...rest] = nodes;
      return rest.length === 0
        ? 'Select two nodes or more.'
        : { type: 'merge', pairs: rest.map((drop) => [keep!, drop] as const) };
    }),
  },
  {
    name: 'Remove',
    fits: (sheet) => sheet.editor.state.selection.length > 0,
    inMenu: true,
    run: (sheet) => {
      const intent = removalOf(modelOf(sheet), sheet.editor.state.selection);
      return intent ? make(sheet, intent) : NOTHING;
    },
  },
  {
    name: 'Clean up everything that is found',
    fits: (sheet) => modelOf(sheet).members.length <= 5000 && findDefects(modelOf(sheet)).length > 0,
    run: cleanUp,
  },
  ...(['nodes', 'members'] as const).map((list): Command => ({
    name: `Renumber ${list} in reading order`,
    run: (sheet) => {
      const names = readingNames(modelOf(sheet), list);
      if (Object.keys(names).length === 0) return 'They are in reading order already.';
      return make(sheet, { type: 'rename', list, names }, `Renumber ${list}`);
    },
  })),
  {
    name: 'Make it a space model',
    fits: (sheet) => modelOf(sheet).space === 'plane',
    run: (sheet) => {
      const refused = make(sheet, intoSpace(modelOf(sheet)), 'From plane to space');
      if (refused === undefined) sheet.lookAt('corner');
      return refused;
    },
  },
  {
    name: 'Group the selection',
    notation: 'a name',
    fits: hasAny,
    inMenu: true,
    run: withChosen((sheet, text, what) => {
      const id =
        text ||
        freeName(
          'group',
          (modelOf(sheet).groups ?? []).map((group) => group.id),
        );
      return { type: 'put', list: 'groups', entry: { id, ...what } };
    }),
  },
  {
    name: 'Remove group',
    notation: 'its name; what it holds stays',
    fits: (sheet) => (modelOf(sheet).groups ?? []).length > 0,
    run: (sheet, text) => {
      const group = modelOf(sheet).groups?.find(({ id }) => id.toLowerCase() === text.toLowerCase());
      return group ? make(sheet, { type: 'remove', list: 'groups', keys: [group.id] }) : `There is no group “${text}”.`;
    },
  },
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

/** The frame stays where it is, and its supports keep holding it upright as the plane did. */
export function intoSpace(model: Model): Intent {
  const intents: Intent[] = [
    { type: 'set', settings: { space: 'space' } },
    ...model.supports.map((support): Intent => ({
      type: 'put',
      list: 'supports',
      entry: { ...support, uz: 'fixed', rx: 'fixed', ry: 'fixed' },
    })),
  ];
  return { type: 'batch', intents, label: 'From plane to space' };
}
