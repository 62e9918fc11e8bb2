import { structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { respace } from '@rigid-beam/core/model/grid-lines';
import { parseSpacings, showSpacings } from '@rigid-beam/core/quantities/spacings';
import { screenX, screenY } from '@rigid-beam/drawing/camera';
import { sameSubject, type Subject } from '@rigid-beam/drawing/display-list';
import { drawnNodes } from '@rigid-beam/drawing/geometry';
import type { SheetController } from './controller';
import { dimensionGiven, giveDimension } from '@rigid-beam/core/model/edits/given-dimension';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Load, Model } from '@rigid-beam/core/model/model';
import { baysOf, levels } from '@rigid-beam/drawing/dimension-items';
import {
  loadInPlace,
  nameInPlace,
  placeInPlace,
  releaseInPlace,
  sectionInPlace,
  supportInPlace,
  type WordsInPlace,
} from './in-place-words';
import { loadValue, sizing } from './load-values';
import { inPlace as WORDS } from './words';

const endOf = (subject: Subject): string | undefined => (subject.kind === 'load' ? subject.end : undefined);

/** The label whose text is typed over, where it is not the subject's only one. */
type What = 'value' | 'name';

/** Opens the next value of its kind along the drawing: texts from left to right, and around. */
function openNext(sheet: SheetController, from: Subject, what: What, step: 1 | -1): void {
  const all = sheet.drawing
    .labels()
    .filter(({ label }) => label.subject?.kind === from.kind && (label.role === 'name') === (what === 'name'));
  all.sort((a, b) => a.left - b.left || a.top - b.top);
  const now = all.findIndex(({ label }) => sameSubject(label.subject, from) && endOf(label.subject!) === endOf(from));
  const next = all[(now + step + all.length) % all.length]?.label.subject;
  if (next) openInPlace(sheet, next, what);
}

/** The words that can be typed over for what has no number. */
function wordsFor(model: Model, subject: Subject, what: What): WordsInPlace | undefined {
  if (subject.kind === 'release') return releaseInPlace(model, subject.id, subject.end);
  if (subject.kind === 'support') return supportInPlace(model, subject.id);
  if (subject.kind === 'node') return what === 'name' ? nameInPlace('nodes', subject.id) : placeInPlace(model, subject.id);
  if (subject.kind === 'load') {
    const load = model.loads.find(({ id }) => id === subject.id);
    return load && loadInPlace(model, load);
  }
  if (subject.kind === 'member') return what === 'name' ? nameInPlace('members', subject.id) : sectionInPlace(model, subject.id);
  return undefined;
}

/** Where the field stands of what has no text: at its node, or in the middle of the sheet. */
function placeWithoutText({ editor, view }: SheetController, subject: Subject): { readonly left: number; readonly top: number } {
  const { camera } = view;
  const node = 'id' in subject ? drawnNodes(editor.state.drawn.model, view.seen()).get(subject.id) : undefined;
  return node && (subject.kind === 'node' || subject.kind === 'support')
    ? { left: screenX(camera, node.x), top: screenY(camera, node.y) }
    : { left: camera.width / 2, top: camera.height / 2 };
}

/** Opens the field over the text of a thing: a load, a dimension, a section, a support, a release, a name; what has no text on the sheet opens in its middle. */
export function openInPlace(sheet: SheetController, subject: Subject, what: What = 'value'): void {
  const { editor } = sheet;
  const { model } = editor.state;
  const display = { ...defaultDisplay, ...model.display };
  const placed = sheet.drawing.labelOf(
    ({ subject: one, role }) =>
      sameSubject(one, subject) && endOf(one!) === endOf(subject) && (role === 'name') === (what === 'name'),
  );
  const place = placed ? { left: placed.left, top: placed.top } : placeWithoutText(sheet, subject);

  const next = (step: 1 | -1): void => openNext(sheet, subject, what, step);
  const words = wordsFor(model, subject, what);
  if (words) {
    sheet.openTyped({
      ...place,
      ...words,
      next,
      commit: (text) => {
        const read = words.read(text);
        if (typeof read === 'string') return read;
        return editor.edit(read) ? undefined : (editor.state.refusal[0]?.message ?? WORDS.refused);
      },
    });
    return;
  }
  if (subject.kind === 'dimension') {
    const { axis, from, to } = subject;
    const way = { x: WORDS.toTheRight, y: 'above', z: WORDS.inFront }[axis];
    const stretch = (beyond: number, by: number, what: 'beyond' | 'line'): Intent => ({
      type: 'stretch',
      axis,
      beyond,
      by,
      what,
    });
    const stops = levels(model.nodes.map((node) => node[axis] ?? 0));
    const run = baysOf(stops).find((bays) => bays.from === from);
    const given = dimensionGiven(model, { axis, from, ends: [to], what: 'line' });
    /** From the far end on: what is stretched first leaves the places of the others alone. */
    const becomes = (ends: readonly number[], what: 'beyond' | 'line') => (value: number, kept?: string) => {
      const moved = ends.toReversed().map((end) => stretch(end, value - (to - from), what));
      const forgotten: Intent[] =
        kept === undefined && given.text !== undefined ? [{ type: 'remove', list: 'formulas', keys: given.places }] : [];
      const expressions =
        kept === undefined
          ? forgotten
          : giveDimension(model, { axis, from: stops[stops.indexOf(ends[0]!) - 1]!, ends, what }, kept);
      const label = kept === undefined ? WORDS.stretchBays(ends.length) : WORDS.givenBays(ends.length, kept);
      editor.edit(
        ends.length + expressions.length === 1 ? moved[0]! : { type: 'batch', intents: [...expressions, ...moved], label },
      );
    };
    const choices = [
      ...(run && run.count > 1 ? [{ words: WORDS.allAlike(run.count), commit: becomes(run.ends, 'beyond') }] : []),
      { words: WORDS.everythingMovesWithIt(way), commit: becomes([to], 'beyond') },
      { words: WORDS.onlyThisLineMoves, commit: becomes([to], 'line') },
    ];
    sheet.openField({
      ...place,
      label: WORDS.whatMovesIsChosenBelow(axis === 'y' ? WORDS.level : WORDS.bay),
      value: to - from,
      expression: given.text,
      dimension: 'length',
      unit: display.length,
      next,
      commit: choices[0]!.commit,
      choices,
    });
  }
  if (subject.kind === 'gridLine') {
    const lines = model.grid?.[subject.axis];
    if (!lines) return;
    sheet.openTyped({
      ...place,
      label: WORDS.gridLinesAcross(structureAxis(display, subject.axis).letter, display.length),
      hint: WORDS.gridNotation,
      first: showSpacings(lines.steps, display.length),
      commit: (text) => {
        const [, spacings, stay] = /^(.*?)(\bstay)?\s*$/.exec(text) as unknown as [string, string, string | undefined];
        const parsed = parseSpacings(spacings, display.length);
        if (!parsed.ok) return parsed.reason;
        const next = { ...lines, steps: parsed.steps };
        if (editor.edit(respace(model, subject.axis, next, stay ? 'stay' : 'follow'))) return undefined;
        return editor.state.refusal[0]?.message ?? WORDS.refused;
      },
    });
  }
  if (subject.kind === 'load') {
    const load = model.loads.find(({ id }) => id === subject.id);
    if (!load) return;
    const { label, value, dimension, unit } = loadValue(load, display, subject.end);
    const set = (loads: readonly Load[]) => (to: number, kept?: string) => {
      const all = loads.map((one) => sizing(one, model, subject.end).become(to, kept));
      const intents = all.flatMap((one) => one ?? []);
      if (all.includes(undefined)) editor.refuse(WORDS.notKept);
      else editor.edit(intents.length === 1 ? intents[0]! : { type: 'batch', intents, label: WORDS.setLoads(loads.length) });
    };
    const only = set([load]);
    // One figure that is said for a run of equal loads is changed for all of them, unless one is meant.
    const alike = model.loads.filter(({ id }) => placed?.label.alike?.includes(id));
    const all = set(alike);
    sheet.openField({
      ...place,
      label,
      value,
      expression: sizing(load, model, subject.end).text,
      dimension,
      unit,
      next,
      commit: alike.length > 1 ? all : only,
      ...(alike.length > 1 && {
        choices: [
          { words: WORDS.allLoadsAlike(alike.length), commit: all },
          { words: WORDS.onlyThisOne, commit: only },
        ],
      }),
    });
  }
}
