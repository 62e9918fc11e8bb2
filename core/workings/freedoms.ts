import type { LooseNodes } from '../kinematics/loose-nodes';
import { FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';

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
}

/** Freedoms that take part, and by freedom (6n) its place among them; −1 where nothing stiffens it. */
export interface Numbered {
  readonly all: readonly WorkedFreedom[];
  readonly free: number;
  readonly places: Int32Array;
}

export function numbered(s: Structure, { absent }: LooseNodes): Numbered {
  const found: Omit<WorkedFreedom, 'number'>[] = [];
  for (const state of ['free', 'held'] as const)
    for (let node = 0; node < nodeCount(s); node++)
      for (const component of s.active) {
        const f = FREEDOMS * node + component;
        if (absent[f] || (s.restraints[f] === Infinity) !== (state === 'held')) continue;
        found.push({ node, component, state, spring: state === 'free' ? s.restraints[f]! : 0 });
      }
  const all = found.map((one, i): WorkedFreedom => ({ ...one, number: i + 1 }));
  const places = new Int32Array(FREEDOMS * nodeCount(s)).fill(-1);
  all.forEach(({ node, component }, i) => (places[FREEDOMS * node + component] = i));
  return { all, free: all.filter(({ state }) => state === 'free').length, places };
}
