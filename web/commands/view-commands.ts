import { chooseFile } from '../browser/choose-file';
import { TAKEN_FILES } from '../taking/words';
import {
  connected,
  inverted,
  membersAlong,
  membersLike,
  nodesOf,
  onPlane,
  type Direction,
} from '@rigid-beam/core/model/selecting';
import { parseQuantity } from '@rigid-beam/core/quantities/parse';
import { subjectKey } from '@rigid-beam/drawing/display-list';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import type { Model } from '@rigid-beam/core/model/model';
import type { Look, WorkPlane } from '@rigid-beam/drawing/projection';
import { planeOfNodes } from '../sheet/plane-of-nodes';
import { alongAxis, axisCalled, withAxes } from '@rigid-beam/core/quantities/axis-names';
import { displayOf, lengthUnit } from '@rigid-beam/core/quantities/display';
import { switchNames } from '@rigid-beam/drawing/stage-view';
import { CutTool } from '../sheet/tools/cut-tool';
import { resultLists, resultListWords } from '@rigid-beam/core/tables/results/lists';
import { scheduleLists } from '@rigid-beam/core/tables/schedules/lists';
import { stepSection } from '../editor/catalogue/step-section';
import type { SheetController } from '../sheet/controller';
import { MOST_BESIDE, type Beside } from '../editor/view-state';
import { chosenOf, selectChosen, subjectsOf } from '../editor/chosen';
import { switchWords } from '../sheet/switch-words';
import type { Command } from './command';
import { trace } from '../workings/trace';

const isSpace = (sheet: SheetController): boolean => sheet.editor.state.model.space === 'space';
const done =
  (action: (sheet: SheetController) => void) =>
  (sheet: SheetController): undefined => {
    action(sheet);
    return undefined;
  };

const DIRECTIONS: readonly (readonly [Direction, string])[] = [
  ['vertical', 'Select upright members'],
  ['horizontal', 'Select level members'],
  ['inclined', 'Select inclined members'],
  ['x', 'Select members along {X}'],
  ['z', 'Select members along {Z}'],
];

const LOOK_NAMES: readonly (readonly [Look, string])[] = [
  ['front', 'Look from the front'],
  ['side', 'Look from the side'],
  ['plan', 'Look from above'],
  ['corner', 'Look from a corner'],
];

/** What is selected is hidden, or all the rest; members go with their nodes. */
function hide(sheet: SheetController, what: 'selected' | 'others'): void {
  const { editor } = sheet;
  const { model, selection, hidden } = editor.state;
  const chosen = chosenOf(selection);
  const whole = { nodes: what === 'others' ? nodesOf(model, chosen) : chosen.nodes, members: chosen.members };
  const gone = what === 'selected' ? whole : inverted(model, whole);
  const next = new Set([...hidden, ...subjectsOf(gone).map(subjectKey)]);
  // A node is shown as long as one of its members is.
  if (what === 'selected')
    for (const id of nodesOf(model, chosen)) {
      const own = model.members.filter(({ start, end }) => start === id || end === id);
      if (own.length > 0 && own.every((member) => next.has(`member:${member.id}`))) next.add(`node:${id}`);
    }
  editor.show({ hidden: next });
  editor.select([]);
  sheet.refresh();
}

/** All that is not selected becomes a hint; nodes of selected members stay. */
function bringForward({ editor }: SheetController): void {
  const { model, selection } = editor.state;
  const chosen = chosenOf(selection);
  const rest = inverted(model, { nodes: nodesOf(model, chosen), members: chosen.members });
  editor.show({ faded: new Set(subjectsOf(rest).map(subjectKey)) });
  editor.select([]);
}

/** `y at 4.5`, a plane across an axis, or `through 1, 2, 3`. */
function readPlane(sheet: SheetController, text: string): WorkPlane | string {
  const [, nodes] = /^\s*through\s+(.+)$/i.exec(text) ?? [];
  if (nodes !== undefined) return planeOfNodes(sheet.editor.state.model, nodes.split(/[\s,]+/).filter(Boolean));
  const [, letter = '', place] = /^\s*([xyz])\s*(?:at|=)?(.*)$/i.exec(text) ?? [];
  const named = axisCalled(displayOf(sheet.editor.state.model), letter);
  const at = parseQuantity(place ?? '', 'length', lengthUnit(sheet.editor.state.model));
  if (!named || !at.ok)
    return withAxes(
      'Write the axis and the place, as {Y} at 4.5, or three nodes, as through 1, 2, 3',
      displayOf(sheet.editor.state.model),
    );
  return { axis: named.key, at: alongAxis(named, at.value) };
}

/** The case or combination of this name or title; upper and lower case tell names apart where both are there. */
function outcomeCalled({ cases, combinations }: Model, text: string): string | undefined {
  const wanted = text.trim();
  const all = [...cases, ...combinations];
  const isAlike = (name?: string): boolean => name?.toLowerCase() === wanted.toLowerCase();
  return (all.find(({ id }) => id === wanted) ?? all.find(({ id, title }) => isAlike(id) || isAlike(title)))?.id;
}

/** A further drawing of the case or combination that is named, else of the one after that which acts in the last. */
const drawBeside = (name: string, where: Beside['where']): Command => ({
  name,
  notation: 'its name, if it is not the next one',
  run: ({ editor }, text) => {
    const { drawn, quantity, also, switches, beside } = editor.state;
    const panes = beside?.panes ?? [];
    if (panes.length >= MOST_BESIDE) return `${MOST_BESIDE + 1} drawings stand beside each other already: close one first.`;
    const { acting } = panes.at(-1) ?? editor.state;
    const all = [...drawn.model.cases, ...drawn.model.combinations].map(({ id }) => id);
    const id = outcomeCalled(drawn.model, text);
    if (text.trim() !== '' && id === undefined) return `There is no case or combination “${text.trim()}”.`;
    const now = acting !== undefined && all.includes(acting) ? all.indexOf(acting) : 0;
    const other = id ?? all[(now + 1) % Math.max(1, all.length)];
    editor.go({ beside: { where, panes: [...panes, { acting: other, quantity, also, switches }] } });
    return undefined;
  },
});

/** Pixels by which a command moves the paper. */
const PAPER_STEP = 160;
const WAYS: Record<string, readonly [number, number]> = { left: [-1, 0], right: [1, 0], up: [0, -1], down: [0, 1] };

/** Pixels of a picture of the sheet; graphics cards draw bodies no wider. */
const [NARROWEST, WIDEST] = [100, 8000];

export const viewCommands: readonly Command[] = [
  {
    name: 'Undo',
    changes: true,
    fits: ({ editor }) => editor.state.history.undo.length > 0,
    run: done(({ editor }) => editor.undo()),
  },
  {
    name: 'Redo',
    changes: true,
    fits: ({ editor }) => editor.state.history.redo.length > 0,
    run: done(({ editor }) => editor.redo()),
  },
  drawBeside('Draw a case beside', 'right'),
  drawBeside('Draw a case below', 'below'),
  {
    name: 'Draw one sheet only',
    fits: ({ editor }) => editor.state.beside !== undefined,
    run: done(({ editor }) => editor.go({ beside: undefined })),
  },
  { name: 'Show the whole structure', run: done((sheet) => sheet.view.showAll()) },
  { name: 'Show the selection large', needs: 'nodes or members', inMenu: true, run: done((sheet) => sheet.view.showSelection()) },
  { name: 'Zoom in', run: done((sheet) => sheet.view.zoom(1.4)) },
  { name: 'Zoom out', run: done((sheet) => sheet.view.zoom(1 / 1.4)) },
  {
    name: 'Move the paper',
    notation: 'left, right, up or down',
    run: (sheet, text) => {
      const way = WAYS[text.toLowerCase()];
      if (!way) return 'Write: left, right, up or down';
      sheet.view.pan(way[0] * PAPER_STEP, way[1] * PAPER_STEP);
      return undefined;
    },
  },
  {
    name: 'Look from an angle',
    notation: 'degrees round the upright axis, degrees above the horizon: 30, 20',
    fits: isSpace,
    run: (sheet, text) => {
      const [round, height = 20, ...more] = text.split(',').map((part) => (part.trim() === '' ? NaN : Number(part)));
      if (round === undefined || !Number.isFinite(round) || !Number.isFinite(height) || Math.abs(height) > 90 || more.length > 0)
        return 'Write two angles in degrees: 30, 20';
      sheet.view.lookAt({ round, height });
      return undefined;
    },
  },
  {
    name: 'Draw on the plane',
    notation: '{Y} at 4.5 · through 1, 2, 3 · or none',
    fits: isSpace,
    run: (sheet, text) => {
      const plane = /^none$/i.test(text) ? undefined : readPlane(sheet, text);
      if (typeof plane === 'string') return plane;
      sheet.view.usePlane(plane);
      return undefined;
    },
  },
  { name: 'Next heavier section', needs: 'members', changes: true, run: (sheet) => stepSection(sheet.editor, 'heavier') },
  { name: 'Next lighter section', needs: 'members', changes: true, run: (sheet) => stepSection(sheet.editor, 'lighter') },
  { name: 'Bring the next plane forward', fits: isSpace, run: done((sheet) => sheet.view.nextPlane(1)) },
  { name: 'Bring the plane before it forward', fits: isSpace, run: done((sheet) => sheet.view.nextPlane(-1)) },
  {
    name: 'Select all on a plane',
    notation: '{Y} at 4.5',
    run: (sheet, text) => {
      const plane = readPlane(sheet, text);
      if (typeof plane === 'string') return plane;
      const found = onPlane(sheet.editor.state.model, plane.axis, plane.at, 1e-3);
      if (found.nodes.length === 0) return `No node stands at ${text.trim()}.`;
      selectChosen(sheet.editor, found);
      return undefined;
    },
  },
  ...LOOK_NAMES.map(([look, name]): Command => ({ name, fits: isSpace, run: done((sheet) => sheet.view.lookAt(look)) })),
  ...switchNames.map((name): Command => ({
    name: `Show or hide ${switchWords[name].toLowerCase()}`,
    run: done(({ editor }) => editor.switch(name)),
  })),
  {
    name: 'Fold or show the side panel',
    run: done(({ editor }) => editor.show({ panel: editor.state.panel === 'open' ? 'folded' : 'open' })),
  },
  {
    name: 'Fold or show the cases',
    run: done(({ editor }) => editor.show({ strip: editor.state.strip === 'open' ? 'folded' : 'open' })),
  },
  {
    name: 'Take tables or a drawing from a file',
    run: done(({ editor }) => chooseFile(TAKEN_FILES, (file) => editor.show({ dialog: { file } }))),
  },
  {
    name: 'Save the sheet as a picture',
    notation: '3000 (pixels wide)',
    run: (sheet, text) => {
      const pixels = text === '' ? 2 * sheet.view.camera.width : Number(text.replace(/\s*(?:px|pixels?(?: wide)?)?$/u, ''));
      if (!(pixels >= NARROWEST && pixels <= WIDEST))
        return `“${text}” is no width in pixels: write a number from ${NARROWEST} to ${WIDEST}.`;
      const { editor } = sheet;
      sheet.picture(Math.round(pixels)).then(
        (file) => editor.files.keep(file, 'png'),
        (fault: unknown) => editor.refuse((fault as Error).message),
      );
      return undefined;
    },
  },
  {
    name: 'Put on paper',
    run: done(({ editor }) => editor.show({ dialog: 'paper' })),
  },
  {
    name: 'Read the diagrams of the selection',
    needs: 'members',
    inMenu: true,
    run: done(({ editor }) => editor.show({ drawer: 'charts' })),
  },
  {
    name: 'Show how it comes about',
    inMenu: true,
    run: done(({ editor }) => editor.show({ drawer: 'workings', traced: undefined })),
  },
  {
    name: 'Show where it comes from',
    notation: 'b:Mz@2.4m, 3.fy or 3.uy; nothing: of what is selected (w on the drawing)',
    inMenu: true,
    run: ({ editor }, text) => trace(editor, text),
  },
  {
    name: 'Cut along a line',
    inMenu: true,
    run: done((sheet) => {
      sheet.editor.go({ stage: 'results' });
      sheet.take(new CutTool(sheet));
    }),
  },
  {
    name: 'Cut the selected members',
    needs: 'members',
    inMenu: true,
    run: done(({ editor }) => editor.cut({ kind: 'members', members: chosenOf(editor.state.selection).members, side: 'one' })),
  },
  {
    name: 'Put together what was cut',
    fits: ({ editor }) => editor.state.cut !== undefined,
    run: done(({ editor }) => editor.cut(undefined)),
  },
  { name: 'Bring the selection forward', needs: 'nodes or members', inMenu: true, run: done(bringForward) },
  {
    name: 'Bring everything forward',
    fits: ({ editor }) => editor.state.faded.size > 0,
    inMenu: true,
    run: done(({ editor }) => editor.show({ faded: NOTHING_HIDDEN })),
  },
  { name: 'Hide the selection', needs: 'nodes or members', inMenu: true, run: done((sheet) => hide(sheet, 'selected')) },
  { name: 'Show only the selection', needs: 'nodes or members', inMenu: true, run: done((sheet) => hide(sheet, 'others')) },
  {
    name: 'Show all that is hidden',
    fits: ({ editor }) => editor.state.hidden.size > 0,
    inMenu: true,
    run: done((sheet) => {
      sheet.editor.show({ hidden: NOTHING_HIDDEN });
      sheet.refresh();
    }),
  },
  {
    name: 'Select everything',
    run: done(({ editor }) => selectChosen(editor, inverted(editor.state.model, { nodes: [], members: [] }))),
  },
  {
    name: 'Invert the selection',
    run: done(({ editor }) => selectChosen(editor, inverted(editor.state.model, chosenOf(editor.state.selection)))),
  },
  ...(['members', 'nodes'] as const).map((kind): Command => ({
    name: `Select only the ${kind} of it`,
    fits: ({ editor }) => Object.values(chosenOf(editor.state.selection)).every((list) => list.length > 0),
    inMenu: true,
    run: done(({ editor }) => {
      const { nodes, members } = chosenOf(editor.state.selection);
      selectChosen(editor, kind === 'members' ? { nodes: [], members } : { nodes, members: [] });
    }),
  })),
  {
    name: 'Select what is connected',
    needs: 'nodes or members',
    inMenu: true,
    run: done(({ editor }) => {
      const { model, selection } = editor.state;
      selectChosen(editor, connected(model, nodesOf(model, chosenOf(selection))));
    }),
  },
  {
    name: 'Select members like this one',
    fits: ({ editor }) => chosenOf(editor.state.selection).members.length > 0,
    inMenu: true,
    run: done(({ editor }) => {
      const { model, selection } = editor.state;
      const [first] = chosenOf(selection).members;
      const member = model.members.find(({ id }) => id === first);
      if (member) selectChosen(editor, { nodes: [], members: membersLike(model, member) });
    }),
  },
  ...DIRECTIONS.map(([direction, name]): Command => ({
    name,
    run: done(({ editor }) => selectChosen(editor, { nodes: [], members: membersAlong(editor.state.model, direction) })),
  })),
  {
    name: 'Select group',
    notation: 'its name',
    fits: ({ editor }) => (editor.state.model.groups ?? []).length > 0,
    run: ({ editor }, text) => {
      const groups = editor.state.model.groups ?? [];
      const group = groups.find(({ id }) => id.toLowerCase() === text.toLowerCase());
      if (!group) return `There is no group “${text}”. Groups are: ${groups.map(({ id }) => id).join(', ')}.`;
      selectChosen(editor, { nodes: group.nodes ?? [], members: group.members ?? [] });
      return undefined;
    },
  },
  {
    name: 'Select section',
    notation: 'its name',
    run: ({ editor }, text) => {
      const members = editor.state.model.members.filter(({ section }) => section.toLowerCase() === text.toLowerCase());
      if (members.length === 0) return `No member has the section “${text}”.`;
      selectChosen(editor, { nodes: [], members: members.map(({ id }) => id) });
      return undefined;
    },
  },
  ...(['node', 'member'] as const).map((kind): Command => ({
    name: `Select ${kind}`,
    notation: 'its name, or several with commas',
    run: ({ editor }, text) => {
      const ids = text.split(',').map((id) => id.trim());
      const known = new Set(editor.state.model[`${kind}s`].map(({ id }) => id));
      const missing = ids.find((id) => !known.has(id));
      if (missing !== undefined) return `There is no ${kind} “${missing}”.`;
      editor.select(ids.map((id) => ({ kind, id })));
      return undefined;
    },
  })),
  {
    name: 'Go to case',
    notation: 'the name of a case, combination or envelope',
    run: ({ editor }, text) => {
      const acting = outcomeCalled(editor.state.model, text);
      if (acting === undefined) return `There is no case or combination “${text.trim()}”.`;
      editor.go({ acting });
      return undefined;
    },
  },
  ...scheduleLists.map((list): Command => ({
    name: `Open the schedule of ${list}`,
    run: done(({ editor }) => editor.show({ drawer: list })),
  })),
  ...resultLists.map((list): Command => ({
    name: `Open the schedule of ${resultListWords(list).toLowerCase()}`,
    run: done(({ editor }) => editor.show({ drawer: list })),
  })),
];
