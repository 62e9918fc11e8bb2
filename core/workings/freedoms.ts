import type { LooseNodes } from '../kinematics/loose-nodes';
import { FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import type { Following } from './following';

/** A freedom of a node as the workings number it: those that are free first, node by node, then those that are held. */
export interface WorkedFreedom {
  /** From 1 on. */
  readonly number: number;
  readonly node: number;
  /** 0 to 2 along, 3 to 5 about the axes in which the node lies. */
  readonly component: number;
  readonly state: 'free' | 'held';
  /** Of a free one: what its support is sprung with; 0 where there is none. */
  readonly spring: number;
  /** Of a held one: the rest of the structure joins on there, and its movement is given by the analysis. */
  readonly given?: true;
}

/** A freedom that follows numbered ones (by place), as members keep their lengths; `besides`: what it moves beside them. */
export interface FollowingFreedom {
  readonly node: number;
  readonly component: number;
  readonly shares: readonly (readonly [place: number, factor: number])[];
  readonly besides: number;
  /** What its support is sprung with; 0 where there is none. */
  readonly spring: number;
}

/** Freedoms that take part, and by freedom (6n) its place among them; −1 where nothing stiffens it, and where it follows others. */
export interface Numbered {
  readonly all: readonly WorkedFreedom[];
  readonly free: number;
  readonly places: Int32Array;
  /** By freedom (6n). */
  readonly followers: ReadonlyMap<number, FollowingFreedom>;
}

export function numbered(
  s: Structure,
  { absent }: Pick<LooseNodes, 'absent'>,
  follows?: Following['follows'],
  isOuter?: Uint8Array,
): Numbered {
  const found: Omit<WorkedFreedom, 'number'>[] = [];
  for (const state of ['free', 'held'] as const)
    for (let node = 0; node < nodeCount(s); node++)
      for (const component of s.active) {
        const f = FREEDOMS * node + component;
        if (absent[f] || follows?.has(f) || (s.restraints[f] === Infinity) !== (state === 'held')) continue;
        found.push({
          ...{ node, component, state, spring: state === 'free' ? s.restraints[f]! : 0 },
          ...(isOuter?.[node] && { given: true as const }),
        });
      }
  const all = found.map((one, i): WorkedFreedom => ({ ...one, number: i + 1 }));
  const places = new Int32Array(FREEDOMS * nodeCount(s)).fill(-1);
  all.forEach(({ node, component }, i) => (places[FREEDOMS * node + component] = i));
  const followers = new Map(
    [...(follows ?? [])].map(([f, { shares, besides }]): [number, FollowingFreedom] => [
      f,
      {
        node: Math.floor(f / FREEDOMS),
        component: f % FREEDOMS,
        shares: shares.flatMap(([other, factor]) => (places[other]! < 0 ? [] : [[places[other]!, factor] as const])),
        besides,
        spring: s.restraints[f]!,
      },
    ]),
  );
  return { all, free: all.filter(({ state }) => state === 'free').length, places, followers };
}

/** What a freedom (of 6n) moves with: itself, those that it follows, or nothing. */
export function sharesOf({ places, followers }: Numbered, f: number): readonly (readonly [place: number, factor: number])[] {
  const place = places[f]!;
  return place >= 0 ? [[place, 1]] : (followers.get(f)?.shares ?? []);
}
