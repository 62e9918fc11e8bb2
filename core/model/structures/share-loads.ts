import type { Draft } from 'immer';
import { isCompound } from '../loads/compound';
import { withoutId } from '../edits/follow-members';
import type { Load, Model } from '../model';
import type { Matched } from './match';
import type { PlacedStructure } from './measures';

interface Sharing {
  readonly match: Matched;
  /** By place in the new part: what of the model it is. */
  readonly names: { readonly nodes: readonly (string | undefined)[]; readonly members: readonly (string | undefined)[] };
  readonly before: PlacedStructure;
}

/** What lies on a member, or stands at a node, without its name and place. */
const alike = (load: Load): string => JSON.stringify({ ...load, id: '', member: '', node: '' });

/** New nodes and members carry what both of their kind beside them carry; runs of members on which one load lies take up those between, and let go those that are no more. */
export function shareLoads(draft: Draft<Model>, now: Model, sharing: Sharing): void {
  const { match, names, before } = sharing;
  const on = new Map<string, Load[]>();
  for (const load of now.loads) {
    const key = 'member' in load ? `member ${load.member}` : 'node' in load ? `node ${load.node}` : undefined;
    if (key !== undefined) on.set(key, [...(on.get(key) ?? []), load]);
  }
  for (const [list, key] of [
    ['members', 'member'],
    ['nodes', 'node'],
  ] as const)
    // oxfmt-ignore
    for (const [j, beside] of match.beside[list]) {
      const id = names[list][j];
      if (id === undefined || beside.length < 2) continue;
      const [one, other] = beside.map((at) => on.get(`${key} ${before[list][match[list][at]!]!}`) ?? []);
      for (const load of one!) {
        // What stands at a place of its own is meant there; what is imposed on a support is not shared.
        if (load.type === 'point' || load.type === 'settlement' || load.type === 'strain') continue;
        if (!other!.some((its) => alike(its) === alike(load))) continue;
        draft.loads.push({ ...withoutId(load), [key]: id } as unknown as Draft<Load>);
      }
    }
  shareRuns(draft, now, sharing);
}

function shareRuns(draft: Draft<Model>, now: Model, { match, names, before }: Sharing): void {
  const kept = new Set(names.members);
  const own = new Set(before.members);
  const order = new Map(names.members.flatMap((id, j) => (id === undefined ? [] : [[id, j] as const])));
  const oldOrder = new Map(before.members.map((id, i) => [id, i]));
  now.loads.forEach((load, at) => {
    if (!isCompound(load) || !('members' in load)) return;
    const run = load.members;
    if (!run?.some((id) => own.has(id))) return;
    const listed = new Set(run);
    const left = run.filter((id) => !own.has(id) || kept.has(id));
    const fresh = [...match.beside.members].flatMap(([j, near]) =>
      names.members[j] !== undefined && near.length === 2 && near.every((k) => listed.has(before.members[match.members[k]!]!))
        ? [names.members[j]]
        : [],
    );
    if (fresh.length === 0 && left.length === run.length) return;
    const target = draft.loads[at] as unknown as { members: string[] };
    if (left.length === 0) return;
    const isWhole = run.every((id) => own.has(id));
    if (!isWhole) {
      target.members = left;
      return;
    }
    // In their order along the structure, in the sense in which they were listed.
    const isBackwards = run.length > 1 && oldOrder.get(run[0]!)! > oldOrder.get(run[1]!)!;
    const next = [...left, ...fresh].sort((a, b) => order.get(a)! - order.get(b)!);
    target.members = isBackwards ? next.reverse() : next;
  });
}
