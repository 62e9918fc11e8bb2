import { AnalysisSession, solve } from '../analysis/session';
import { applyIntent } from '../model/edits/apply-intent';
import type { Intent } from '../model/edits/intent';
import { checkModel } from '../model/check';
import { emptyModel, freedoms, type Member, type Model } from '../model/model';
import { typicals } from '../model/typical/all';
import { initialValues } from '../model/typical/typical';
import { solvedQuantities, type Depth } from './readings';
import type { Results } from '../results/results';
import type { Random } from './random';

type Step = { readonly forth: Intent; readonly back: Intent };
type Put = Extract<Intent, { type: 'put' }>;

const put = (list: Put['list'], entry: object, key?: string): Put => ({
  type: 'put',
  list,
  entry: { ...entry },
  ...(key && { key }),
});

/** A model to begin with: a typical structure, hinged or not, with a second section, a sum and an envelope, and loads of every kind. */
function beginning(random: Random): Model {
  const typical = random.of(typicals.filter(({ id }) => ['truss', 'portal', 'storeys', 'tower', 'beam'].includes(id)));
  const values = { ...initialValues(typical), ...(typical.id === 'truss' && { chords: random.of(['hinged', 'continuous']) }) };
  const empty = { ...emptyModel('walk'), space: typical.space };
  const placed = applyIntent(empty, {
    ...{ type: 'insert', part: typical.build(values, { section: 'beam', material: 'steel' }), at: [0, 0, 0], name: 'it' },
  });
  if (!placed.ok) throw new Error('The typical structure cannot be placed');
  const { members, nodes } = placed.model;
  const member = (i: number): string => members[i % members.length]!.id;
  const whole = {
    ...placed.model,
    sections: [
      ...placed.model.sections,
      { id: 'tube', shape: { type: 'rhs', h: 0.2, b: 0.1, t: 0.006, ro: 0.009 } },
      { id: 'bar', A: 2e-3, Iz: 4e-6, Iy: 1e-6, J: 1e-6, Wz: 5e-5, Wy: 3e-5 },
    ],
    materials: [...placed.model.materials, { id: 'timber', E: 11e9, G: 0.69e9, density: 420, alpha: 5e-6 }],
    loads: [
      { id: 'a', case: 'Q', type: 'node', node: nodes.at(-1)!.id, fx: 3e3, fy: -7e3 },
      { id: 'b', case: 'Q', type: 'line', member: member(1), from: { wy: -2e3 }, to: { wy: -1e3 } },
      { id: 'c', case: 'G', type: 'thermal', member: member(2), uniform: 15 },
      { id: 't', case: 'T', type: 'train', members: [member(1)], stands: 1, axles: [8e3, 4e3], spacings: [0.7] },
    ],
    cases: [...placed.model.cases, { id: 'T', category: 'traffic' }],
    combinations: [
      { id: 'S', type: 'sum', factors: { G: 1.35, Q: 1.5 } },
      { id: 'E', type: 'envelope', of: ['S', 'G'] },
      { id: 'U', type: 'sum', factors: { G: 1, P: 1.5 } },
      { id: 'V', type: 'sum', factors: { G: 1, R: 1.35 } },
    ],
    actions: [
      { id: 'P', type: 'pattern', of: ['Q'], ways: ['everywhere', 'alternate'] },
      { id: 'R', type: 'travelling', of: ['T'] },
    ],
  };
  return checkModel(whole).model!;
}

const clamped = (node: string): object => ({ node, ...Object.fromEntries(freedoms.map((freedom) => [freedom, 'fixed'])) });

/** An edit of any part of a model: what it is made of, how it stands, is joined, held, loaded, and its settings. */
function anyEdit(model: Model, random: Random): Intent {
  const member = random.of(model.members);
  const node = random.of(model.nodes);
  const change = (part: Partial<Member>): Intent => put('members', { ...member, ...part }, member.id);
  const hinge = random.of([{}, { mz: 'free' }, { mz: 'free', my: 'free' }, { mz: 4e5 }] as const);
  const edits: (() => Intent)[] = [
    () => ({ type: 'set', settings: { space: model.space === 'plane' ? 'space' : 'plane' } }),
    () => ({ type: 'batch', intents: [{ type: 'set', settings: { space: 'space' } }, ...model.supports.map(({ node: id }) => put('supports', clamped(id), id)), put('loads', { case: 'Q', type: 'node', node: node.id, fz: 5e3 })] }),
    () => change({ releases: { start: hinge, end: random.of([{}, hinge]) } }),
    () => change({ behaviour: random.of(['frame', 'truss'] as const) }),
    () => ({ type: 'batch', intents: model.members.map((one) => put('members', { ...one, behaviour: 'truss' }, one.id)) }),
    () => change({ roll: random.of([0, 90, 30]) }),
    () => put('actions', { id: 'P', type: 'pattern', of: [random.of(['Q', 'G'])], by: random.of(['spans', 'bays', 'storeys']), ways: ['everywhere', random.of(['alternate', 'each'])] }, 'P'),
    () => put('loads', { case: 'Q', type: 'line', member: member.id, from: { wy: -1e3 * (1 + random.below(3)) }, to: { wy: -1e3 } }),
    () => put('loads', { id: 't', case: 'T', type: 'train', members: [member.id], stands: 1, axles: [1e3 * (1 + random.below(9))], spacings: [] }, 't'),
    () => put('loads', { id: 't', case: 'T', type: 'train', nodes: [model.nodes[0]!.id, node.id, model.nodes.at(-1)!.id], stands: 1, axles: [2e3], spacings: [] }, 't'),
    () => put('loads', { case: 'T', type: 'node', node: node.id, fy: -1e3 * random.below(3) }),
    () => change({ section: random.of(model.sections).id }),
    () => change({ material: random.of(model.materials).id }),
    () => change({ end: random.of(model.nodes).id }),
    () => change({ offset: { start: [random.below(3) / 20, 0, 0] } }),
    () => put('sections', { ...model.sections[2], A: 2e-3 * (1 + random.below(3)), Wy: 3e-5 * (1 + random.below(3)) }, 'bar'),
    () => put('materials', { ...model.materials[0], E: 1e9 * (200 + random.below(9)), alpha: 1e-6 * random.below(12) }, 'steel'),
    () => put('nodes', { ...node, x: node.x + (random.below(9) - 4) / 20, y: node.y + (random.below(9) - 4) / 20 }, node.id),
    () => put('nodes', { ...node, z: random.below(3) / 2 }, node.id),
    () => put('supports', { node: node.id, ux: random.of(['fixed', 'free', 1e6]), uy: 'fixed', rz: random.of(['fixed', 'free']) }),
    () => put('supports', clamped(node.id)),
    () => ({ type: 'batch', intents: model.nodes.map(({ id }) => put('supports', { ...model.supports.find((one) => one.node === id), node: id, uz: 'fixed' })) }),
    () => ({ type: 'remove', list: 'supports', keys: [random.of(model.supports)?.node ?? ''] }),
    () => ({ type: 'remove', list: 'members', keys: model.members.length > 4 ? [member.id] : [] }),
    () => ({ type: 'draw', nodes: [], members: [{ ...member, id: 'new', start: node.id }] }),
    () => ({ type: 'set', settings: { gravity: 9 + random.below(2) } }),
    () => ({
      type: 'set',
      settings: { analysis: { shearDeformation: random.below(2) === 0, axialDeformation: random.below(3) > 0 } },
    }),
    () => put('loads', { case: 'Q', type: 'point', member: member.id, at: random.below(5) / 4, fy: -1e3 * random.below(5) }),
    () => put('loads', { case: 'Q', type: 'node', node: node.id, fx: 1e3 * random.below(5), mz: 1e3 * random.below(3) }),
    () => put('loads', { case: 'G', type: 'settlement', node: model.supports[0]?.node ?? '', uy: -random.below(3) / 1e3 }),
    () => ({ type: 'remove', list: 'loads', keys: [random.of(model.loads)?.id ?? ''] }),
    () => put('cases', { ...model.cases[0], selfWeight: random.below(3) }, 'G'),
    () => put('cases', { id: 'W', category: 'wind' }),
    () => put('combinations', { id: 'S', type: 'sum', factors: { G: 1 + random.below(2), Q: random.below(3) } }, 'S'),
  ]; // oxfmt-ignore
  return random.of(edits)();
}

/** A difference greater than rounding leaves; undefined where there is none. */
function difference(kept: Results, fresh: Results, depth: Depth): string | undefined {
  if (kept.status !== fresh.status)
    return `${kept.status} instead of ${fresh.status}: ${kept.notices.map(({ message }) => message)}`;
  const [words, others] = [kept, fresh].map(({ notices }) => notices.map(({ message }) => message).join(' | '));
  if (words !== others) return `said “${words}” instead of “${others}”`;
  if (JSON.stringify(kept.mechanisms) !== JSON.stringify(fresh.mechanisms)) return 'other mechanisms';
  if (!kept.solution || !fresh.solution) return undefined;
  const slack = Math.max(1e-9, 10 ** (fresh.solution.digitsLost - 13));
  const right = new Map(solvedQuantities(fresh.solution, depth).map(({ name, values }) => [name, values]));
  for (const { name, values, noticeable } of solvedQuantities(kept.solution, depth)) {
    const wanted = right.get(name)!;
    // What is not known of a member has no size.
    const size = wanted.reduce((most, value) => (Number.isNaN(value) ? most : Math.max(most, Math.abs(value))), noticeable);
    const at = values.findIndex((value, i) => !(Math.abs(value - wanted[i]!) <= slack * size || Object.is(value, wanted[i])));
    if (at >= 0 || values.length !== wanted.length) return `${name}[${at}] is ${values[at]} instead of ${wanted[at]}`;
  }
  return undefined;
}

/**
 * Edits a model at random, with undo and redo, in one session, and compares status, notices, mechanisms, numbers and stresses with what
 * a fresh session finds of the same model; extremes, of which a train's take longest, after one edit of six. Returns the differences, with the edits that led there.
 */
export function editWalk(random: Random, steps: number): string[] {
  let model = beginning(random);
  const session = new AnalysisSession();
  const done: Step[] = [];
  const undone: Step[] = [];
  let isSolved = true;
  const story: string[] = [`${model.members.length} members`];
  for (let step = 0; step < steps; step++) {
    // What cannot be solved has few numbers to compare: mostly one steps back from it.
    const way = isSolved ? random.below(6) : random.below(3);
    const [from, to] = way === 0 ? ([done, undone] as const) : ([undone, done] as const);
    const known = way < 2 ? from.pop() : undefined;
    const intent = known ? (way === 0 ? known.back : known.forth) : anyEdit(model, random);
    const applied = applyIntent(model, intent);
    if (!applied.ok) continue;
    model = applied.model;
    if (known) to.push(known);
    else {
      done.push({ forth: { type: 'patch', patches: applied.patches }, back: { type: 'patch', patches: applied.inverse } });
      undone.length = 0;
    }
    story.push(known ? (way === 0 ? 'undo' : 'redo') : JSON.stringify(intent).slice(0, 120));
    // A copy: what is kept of the very objects of a model, whoever asks, is not what a fresh start knows.
    const kept = session.update(model).now;
    isSolved = kept.solution !== undefined;
    const depth = step % 6 === 5 ? 'everything' : 'numbers';
    const found = difference(kept, solve(structuredClone(model)), depth);
    if (found !== undefined) {
      session.close();
      return [`${found}\nafter ${story.slice(-12).join('\n      ')}`];
    }
  }
  session.close();
  return [];
}
