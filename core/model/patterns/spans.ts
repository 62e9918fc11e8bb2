import { membersByNode } from '../meeting';
import { endsOf, placesOf } from '../places';
import type { Member, Model } from '../model';
import { dot, minus, plus, size, times, type Point } from '../point';
import { linksThrough, type RunLink } from '../runs';
import { straightRuns } from '../straight-run';

/** Members between two places at which their run is held, or beyond the last of them. */
export interface Span {
  readonly members: readonly string[];
  /** Which run it is of, from the lowest up, and its place along it, from the left: 0 is the first. */
  readonly run: number;
  readonly place: number;
  /** Metres: where its middle lies across and up. */
  readonly across: number;
  readonly up: number;
}

type Described = Pick<Model, 'nodes' | 'members' | 'supports'>;

/** Degrees that a run may turn by at a node: so much a ridge does, or an arch, and a rafter not beside its column. */
const KINK = 62;

/** Cosine with the run, or the vertical, from which on a member goes along it. */
const ALONG = 0.7;

/** Sine with the level from which on a member carries a level run where it meets it; other beams only cross it. */
const CARRYING = 0.45;

/** The spans of some members: runs without a sharp kink, divided where a support holds them, or a member that carries them across. */
export function spansOf(model: Described, wanted: ReadonlySet<string>): readonly Span[] {
  const places = placesOf(model);
  const held = new Set(
    model.supports.filter((one) => (['ux', 'uy', 'uz'] as const).some((key) => one[key] !== undefined && one[key] !== 'free' && one[key] !== 0)).map(({ node }) => node),
  ); // oxfmt-ignore
  const at = membersByNode(model.members);
  const wayOf = (member: Member): Point => {
    const [from, to] = endsOf(member, places);
    const way = minus(to, from);
    return times(way, 1 / size(way));
  };
  const byId = new Map(model.members.map((member) => [member.id, member]));
  const runOf = straightRuns(model, KINK);
  const seen = new Set<string>();
  const runs: { readonly level: number; readonly left: number; readonly spans: readonly (readonly string[])[] }[] = [];
  for (const id of wanted) {
    if (seen.has(id)) continue;
    const run = runOf(id).filter((one) => wanted.has(one));
    for (const one of run) seen.add(one);
    // Where what is wanted has a gap, each part is a run of its own.
    for (const links of linksThrough(
      run.map((one) => byId.get(one)!),
      places,
    )) {
      const own = new Set(links.map(({ member }) => member.id));
      const led = ({ member, way }: RunLink): Point => times(wayOf(member), way === 'along' ? 1 : -1);
      const carries = (member: Member, along: Point): boolean => {
        if (own.has(member.id)) return false;
        const way = wayOf(member);
        return (
          Math.abs(dot(way, along)) < ALONG * size(along) &&
          (Math.abs(along[1]) >= ALONG * size(along) || Math.abs(way[1]) >= CARRYING)
        );
      };
      const spans: string[][] = [[]];
      links.forEach((link, i) => {
        const { member, way } = link;
        spans.at(-1)!.push(member.id);
        const next = links[i + 1];
        if (!next) return;
        const node = way === 'along' ? member.end : member.start;
        const along = plus(led(link), led(next));
        if (held.has(node) || (at.get(node) ?? []).some((one) => carries(one, along))) spans.push([]);
      });
      const ends = links.flatMap(({ member }) => endsOf(member, places));
      runs.push({
        level: ends.reduce((sum, [, y]) => sum + y, 0) / ends.length,
        left: Math.min(...ends.map(([x]) => x)),
        spans,
      });
    }
  }
  runs.sort((a, b) => (Math.abs(a.level - b.level) > 1e-3 ? a.level - b.level : a.left - b.left));
  return runs.flatMap(({ spans }, run) =>
    spans.map((members, place): Span => {
      const ends = members.flatMap((id) => endsOf(byId.get(id)!, places));
      const middle = (k: 0 | 1): number => ends.reduce((sum, end) => sum + end[k], 0) / ends.length;
      return { members, run, place, across: middle(0), up: middle(1) };
    }),
  );
}
