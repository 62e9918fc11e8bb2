import { standingFor } from '../combinations/actions';
import { patterning } from '../combinations/patterned';
import { applyIntent } from '../model/edits/apply-intent';
import type { Intent } from '../model/edits/intent';
import { freeName } from '../model/edits/next-id';
import { newCase } from '../model/edits/new-case';
import { isOnWay, type TrainWay } from '../model/loads/train-way';
import type { Model } from '../model/model';
import type { Axles } from '../model/train';
import type { Path } from '../results/travelling/path';
import type { Standing } from '../results/travelling/worst';

/** A load that is put on the structure: the edits that do it, and its case. */
interface Placed {
  readonly intents: readonly Intent[];
  readonly caseId: string;
}

/**
 * The edit that puts a train on the structure where it is worst, as a load of the first case of traffic, or a new one; the load that it becomes, which takes the
 * place of one of the same axles there. Why it cannot be, where members do not meet, or the train is worst beside the path.
 */
export function standingLoad(
  model: Model,
  path: Path,
  train: Axles,
  standing: Standing,
): { readonly intent: Intent; readonly caseId: string } | string {
  if (!standing.axles.some((s) => isOnWay(s, path.length)))
    return 'This value is reached with no axle on the path, so that there is nothing to put on the structure';
  const placed = placedOn(model, path, train, standing);
  if (typeof placed === 'string') return placed;
  const { intents, caseId } = placed;
  return { caseId, intent: { type: 'batch', label: 'Place a train on the structure', intents } };
}

/**
 * The edit that lets a train travel along a path: as a load of the first case of traffic, or a new one, whose trains travel from now on, and an envelope of it.
 * Why it cannot be, where the path leads over no members. `envelope`: what shows it.
 */
export function travellingTrain(
  model: Model,
  path: Path,
  train: Axles,
): { readonly intent: Intent; readonly envelope: string } | string {
  // At the far end, with all its axles on the way.
  const axles = [path.length];
  for (const gap of train.spacings) axles.push(axles.at(-1)! - gap);
  const placed = placedOn(model, path, train, { value: 0, way: 'forwards', axles });
  if (typeof placed === 'string') return placed;
  const { caseId } = placed;
  const label = 'Let a train travel along the structure';
  const applied = applyIntent(model, { type: 'batch', label, intents: placed.intents });
  if (!applied.ok) return applied.faults[0]!.message;
  const group = standingFor(model, caseId);
  const isTravelling = group?.type === 'travelling';
  const travels = isTravelling ? [] : [patterning(applied.model, caseId, 'travelling')];
  const action = isTravelling ? group.id : namedIn(travels[0]!);
  const shown = model.combinations.find((one) => one.type === 'envelope' && one.of.length === 1 && one.of[0] === action);
  const names = [...applied.model.cases, ...model.combinations, ...(model.actions ?? []), { id: action }].map(({ id }) => id);
  const envelope = shown?.id ?? freeName(`${caseId} envelope`, names);
  const entry = { id: envelope, type: 'envelope', of: [action] };
  return {
    envelope,
    intent: {
      type: 'batch',
      label,
      intents: [...placed.intents, ...travels, ...(shown ? [] : [{ type: 'put', list: 'combinations', entry } as const])],
    },
  };
}

/** The name that an edit gives to the action that it makes. */
function namedIn(intent: Intent): string {
  const all = intent.type === 'batch' ? intent.intents : [intent];
  for (const one of all) if (one.type === 'put' && one.list === 'actions') return String(one.entry['id']);
  throw new Error('no action is made');
}

const ACROSS_A_JOINT = 'A train can be put on members that meet end to end, not across a stiff joint between them';

/** What a load names for the way of a path; undefined where a load cannot follow it. */
function wayOf(model: Model, { spans }: Path): TrainWay | undefined {
  if (spans.every(({ kind }) => kind === 'member'))
    return { members: spans.flatMap((span) => (span.kind === 'member' ? [model.members[span.member]!.id] : [])) };
  if (!spans.every(({ kind }) => kind === 'nodes')) return undefined;
  const nodes = spans.flatMap((span, i) => (span.kind === 'nodes' ? (i === 0 ? span.nodes : [span.nodes[1]]) : []));
  return { nodes: nodes.map((node) => model.nodes[node]!.id) };
}

function placedOn(
  model: Model,
  path: Path,
  { axles, spacings, impact, uniform, varies }: Axles,
  { axles: places, way }: Standing,
): Placed | string {
  const along = wayOf(model, path);
  if (!along) return ACROSS_A_JOINT;
  const { spans, direction } = path;
  // A run of one member leads the way that the member does.
  const [span] = spans;
  const only = spans.length === 1 && span?.kind === 'member' && span.way === 'against' ? span : undefined;
  const stands = only ? only.to - places[0]! : places[0]!;
  const own = only ? (way === 'forwards' ? 'backwards' : 'forwards') : way;
  const gaps = places.slice(1).map((place, i) => Math.abs(place - places[i]!));
  const entry = {
    type: 'train',
    ...along,
    stands: Number(stands.toFixed(9)),
    way: own,
    axles: [...axles],
    spacings: gaps.map((gap, i) => (Math.abs(gap - spacings[i]!) < 1e-9 ? spacings[i]! : Number(gap.toFixed(9)))),
    ...(impact !== undefined && { impact }),
    ...(uniform !== undefined && { uniform }),
    ...(varies && { varies: { behind: varies.behind, least: spacings[varies.behind]!, most: varies.most } }),
    ...((direction[0] !== 0 || direction[1] !== -1 || direction[2] !== 0) && { towards: [...direction] }),
  };
  const traffic = model.cases.find(({ category }) => category === 'traffic') ?? newCase(model, 'traffic');
  const before = model.loads.find((load) => load.type === 'train' && load.case === traffic.id && load.axles.join() === axles.join()); // oxfmt-ignore
  const isNew = !model.cases.includes(traffic);
  return {
    caseId: traffic.id,
    intents: [
      ...(isNew ? [{ type: 'put', list: 'cases', entry: { ...traffic } } as const] : []),
      {
        type: 'put',
        list: 'loads',
        entry: { ...(before && { id: before.id }), case: traffic.id, ...entry },
        ...(before && { key: before.id }),
      },
    ],
  };
}
