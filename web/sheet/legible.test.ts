import { describe, expect, test } from '@jest/globals';
import { solve } from '@rigid-beam/core/analysis/session';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import { checkModel } from '@rigid-beam/core/model/check';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import { typicals } from '@rigid-beam/core/model/typical/all';
import { initialValues } from '@rigid-beam/core/model/typical/typical';
import type { Results } from '@rigid-beam/core/results/results';
import { screenX, screenY, type Camera } from '@rigid-beam/drawing/camera';
import { VERTEX, type Item, type Path } from '@rigid-beam/drawing/display-list';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import { carriesAxially, opensOn } from '@rigid-beam/drawing/opens-on';
import { placeLabels, roughMeasure, type PlacedLabel } from '@rigid-beam/drawing/place-labels';
import { ELEVATION, lookFrom, LOOKS } from '@rigid-beam/drawing/projection';
import { spaceBuilding } from '../../bench/structures';
import rib from '../../examples/glasshouse-rib.rbm.json';
import walk from '../../examples/canopy-walk.rbm.json';
import lintel from '../../examples/lintel.rbm.json';
import type { EditorState } from '../editor/editor-state';
import { placing } from '../commands/placing';
import { fitted } from './framing';
import { itemsOf } from '@rigid-beam/drawing/sheet-items';
import { partsIn, viewOf } from './view-of';

const STAGES = ['geometry', 'sections', 'supports', 'loads', 'combinations', 'results'];
/** What is left for the sheet of a window of 1280 × 800 and of one of 1024 × 700. */
const SHEETS = [
  [1016, 680],
  [760, 580],
] as const;

function placed(id: string): Model {
  const typical = typicals.find((one) => one.id === id)!;
  const empty = { ...emptyModel(typical.title), space: typical.space };
  const applied = applyIntent(empty, placing(empty, typical, initialValues(typical), [0, 0, 0]));
  if (!applied.ok) throw new Error(applied.faults[0]!.message);
  return applied.model;
}

const models: Record<string, () => Model> = {
  'the rib': () => checkModel(rib).model!,
  'the canopy walk': () => checkModel(walk).model!,
  'the lintel': () => checkModel(lintel).model!,
  ...Object.fromEntries(typicals.map(({ id, title }) => [title.toLowerCase(), () => placed(id)])),
  'the space building of 1,056 members': () => spaceBuilding(5, 5, 11, 10),
};

interface Sheet {
  readonly items: readonly Item[];
  readonly labels: readonly PlacedLabel[];
  readonly camera: Camera;
}

function sheetOf(model: Model, results: Results, stage: string, [width, height]: readonly [number, number]): Sheet {
  const { solution } = results;
  const suggestion = { quantity: opensOn(model, solution), axial: carriesAxially(model, solution) ? 'bars' : 'diagrams' };
  const state = { model, drawn: { model, results }, stage, switches: {}, suggestion, selection: [], diagramFactor: 1, scales: {}, style: 'hatched', face: 'tension', faded: new Set() } as unknown as EditorState; // oxfmt-ignore
  const projection = model.space === 'plane' ? ELEVATION : lookFrom(LOOKS.corner.round, LOOKS.corner.height);
  const seen = { projection, hidden: NOTHING_HIDDEN };
  const drawn = (camera: Camera) => {
    const items = itemsOf(partsIn(state.drawn, viewOf(state, seen, undefined, camera.scale, 'still'), 'still'));
    return { items, placed: placeLabels(items, camera, roughMeasure) };
  };
  const camera = fitted(state, seen, { x: 0, y: 0, scale: 1, width, height }, drawn);
  const { items, placed: labels } = drawn(camera);
  return { items, labels, camera };
}

/** What no text may touch, told by what it looks like: strong lines of members and symbols, arrowheads, nodes. */
function isFirm({ subject, stroke, width = 1, fill, opacity = 1, closed }: Path): boolean {
  if (!subject || opacity < 0.65) return false;
  const isThing = ['member', 'node', 'support', 'reaction'].includes(subject.kind);
  if (isThing) return (stroke !== undefined && width >= 1.4) || fill !== undefined;
  return subject.kind === 'load' && closed === true && fill !== undefined && stroke === undefined && opacity === 1;
}

/** Points along a path, each pixel and a half. */
function* pointsOf({ vertices, parts, closed }: Path, camera: Camera): Generator<readonly [number, number]> {
  const count = vertices.length / VERTEX;
  const part = Math.min(parts ?? count, count);
  const at = (i: number) =>
    [
      screenX(camera, vertices[i * VERTEX]!) + vertices[i * VERTEX + 2]!,
      screenY(camera, vertices[i * VERTEX + 1]!) - vertices[i * VERTEX + 3]!,
    ] as const;
  for (let first = 0; first < count; first += part)
    for (let i = 0; i < (closed ? part : part - 1); i++) {
      const [[x1, y1], [x2, y2]] = [at(first + i), at(first + ((i + 1) % part))];
      const steps = Math.min(3000, Math.max(1, Math.ceil(Math.hypot(x2 - x1, y2 - y1) / 1.5)));
      for (let k = 0; k <= steps; k++) yield [x1 + (k / steps) * (x2 - x1), y1 + (k / steps) * (y2 - y1)];
    }
}

/** A point in the axes of a text's own box, as parts of its half sizes. */
function within({ left, top, width, height, angle }: PlacedLabel, [px, py]: readonly [number, number]): boolean {
  const [x, y] = [px - left - width / 2, py - top - height / 2];
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return Math.abs(c * x + s * y) < width / 2 && Math.abs(c * y - s * x) < height / 2 - 1;
}

/** Corners and points along the edges of a text's box. */
function cornersOf({ left, top, width, height, angle }: PlacedLabel): [number, number][] {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  return [-1, -0.5, 0, 0.5, 1].flatMap((u) =>
    [-1, 0, 1].map((v): [number, number] => {
      const [x, y] = [(u * width) / 2, v * (height / 2 - 1)];
      return [left + width / 2 + c * x - s * y, top + height / 2 + s * x + c * y];
    }),
  );
}

function touches({ items, labels, camera }: Sheet): string[] {
  const found: string[] = [];
  for (const [i, a] of labels.entries())
    for (const b of labels.slice(i + 1))
      if (cornersOf(a).some((corner) => within(b, corner)) || cornersOf(b).some((corner) => within(a, corner)))
        found.push(`${a.label.text} × ${b.label.text}`);
  for (const item of items) {
    if (item.kind !== 'path' || !isFirm(item)) continue;
    const points = [...pointsOf(item, camera)];
    for (const label of labels)
      if (points.some((point) => within(label, point))) found.push(`${label.label.text} × ${item.subject!.kind}`);
  }
  return found;
}

describe.each(Object.keys(models))('%s', (name) => {
  const model = models[name]!();
  const results = solve(model) as Results;
  test.each(STAGES)('%s: no text touches another, a symbol, an arrowhead or a heavy line', (stage) => {
    for (const size of SHEETS) {
      const sheet = sheetOf(model, results, stage, size);
      expect(sheet.items.length).toBeGreaterThan(0);
      expect(touches(sheet)).toEqual([]);
    }
  });
});

test('the rib says at most 20 things in Results and 14 in any other stage, and what governs among them', () => {
  const model = models['the rib']!();
  const results = solve(model) as Results;
  const counts = STAGES.map((stage) => sheetOf(model, results, stage, SHEETS[0]).labels.length);
  expect(Math.max(...counts.slice(0, 5))).toBeLessThanOrEqual(14);
  expect(counts[5]).toBeLessThanOrEqual(20);
  for (const size of SHEETS) {
    const said = sheetOf(model, results, 'results', size).labels.filter(({ label }) => label.role === 'extreme');
    expect(said.map(({ label }) => label.text)).toEqual(['0.431 kN·m', '0.359 kN·m']);
  }
});

test('a symmetric portal says the same of both columns', () => {
  const model = placed('portal');
  const said = sheetOf(model, solve(model) as Results, 'results', SHEETS[0]).labels;
  expect(said.filter(({ label }) => label.ink === 'moment' && label.text.includes('−'))).toEqual([]);
});
