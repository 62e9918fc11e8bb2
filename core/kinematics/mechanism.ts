import { maxNorm } from '../linear-algebra/max-norm';
import { freedoms as freedomNames, type Freedom } from '../model/model';
import { FREEDOMS, memberCount, type Structure } from '../stiffness/structure';
import { toGlobalAxes } from '../stiffness/transformation';
import type { Opening } from './openings';

/** An independent motion that nothing resists. Amounts are scaled so that the largest is 1. */
export interface Mechanism {
  readonly harmless: boolean;
  readonly description: string;
  readonly cause: string;
  readonly freedoms: readonly { readonly node: string; readonly freedom: Freedom; readonly amount: number }[];
  readonly members: readonly string[];
  /** Ids of the cases that drive it. */
  readonly cases: readonly string[];
}

/** A motion with what is known of it, before it is put into words: what remedies are sought from. */
export interface Motion {
  /** Global, largest amount 1. 6n; 6 of a node that moves alone; none of a member that moves between its nodes. */
  readonly amounts: Float64Array;
  readonly pattern: Pattern;
}

/** The known patterns of instability, with the parts that a remedy needs. Indices of nodes and members. */
export type Pattern =
  | { readonly kind: 'spin'; readonly node: number }
  | { readonly kind: 'loose-node'; readonly node: number; readonly openings: readonly Opening[] }
  | { readonly kind: 'loose-member'; readonly member: number; readonly freedom: number }
  | { readonly kind: 'slide'; readonly nodes: readonly number[]; readonly direction: readonly number[] }
  | {
      readonly kind: 'turn';
      readonly nodes: readonly number[];
      readonly axis: readonly number[];
      readonly point: readonly number[];
    }
  | { readonly kind: 'chain'; readonly nodes: readonly number[]; readonly axis: readonly number[] }
  | { readonly kind: 'panel'; readonly corners: readonly [number, number, number, number] }
  | { readonly kind: 'hinge'; readonly node: number }
  | { readonly kind: 'fold'; readonly openings: readonly Opening[] };

/** A motion, the pattern behind it and the words for it. */
export interface Found {
  readonly mechanism: Mechanism;
  readonly motion: Motion;
}

/** Below this part of the largest amount nothing moves. */
export const NEGLIGIBLE = 1e-9;

/** Answers which cases drive a motion: their loads (6n, nodes' axes) do work on it. */
export class Drivers {
  /** The largest load of each case, once it was asked for: most structures have no motion to be judged. */
  private readonly largest: number[] = [];
  constructor(
    private readonly names: readonly string[],
    private readonly loads: readonly Float64Array[],
  ) {}

  private largestOf(c: number): number {
    return (this.largest[c] ??= maxNorm(this.loads[c]!));
  }

  /** The work of case c on a motion, as the force or couple along a motion of 1. */
  work(c: number, freedoms: readonly number[], amounts: ArrayLike<number>): number {
    return freedoms.reduce((sum, f, i) => sum + this.loads[c]![f]! * amounts[i]!, 0);
  }

  /** Of a motion given by some freedoms and their amounts, in nodes' axes. */
  of(freedoms: readonly number[], amounts: ArrayLike<number>): string[] {
    return this.names.filter((_, c) => {
      let [work, size] = [0, 0];
      freedoms.forEach((f, i) => {
        const part = this.loads[c]![f]! * amounts[i]!;
        work += part;
        size += Math.abs(part);
      });
      // Loads so small beside the others in the case that they are rounding do not drive anything.
      return Math.abs(work) > NEGLIGIBLE * Math.max(size, 1e-3 * this.largestOf(c));
    });
  }
}

/** From the nodes' own axes to global ones, scaled to a largest amount of 1. */
export function globalMotion(s: Structure, motion: Float64Array): Float64Array {
  const result = motion.slice();
  toGlobalAxes(s, result);
  const largest = result.reduce((max, part) => (Math.abs(part) > Math.abs(max) ? part : max), 0);
  return result.map((part) => (Math.abs(part) < NEGLIGIBLE * Math.abs(largest) ? 0 : part / largest));
}

/** The freedoms that take part in a global motion, by name. */
export function namedFreedoms(s: Structure, motion: Float64Array): Mechanism['freedoms'] {
  const result: { node: string; freedom: Freedom; amount: number }[] = [];
  motion.forEach((amount, f) => {
    if (amount !== 0)
      result.push({ node: s.names.nodes[Math.floor(f / FREEDOMS)]!, freedom: freedomNames[f % FREEDOMS]!, amount });
  });
  return result;
}

/** Members at each node. */
export function membersAt(s: Structure): number[][] {
  const result: number[][] = s.names.nodes.map(() => []);
  for (let m = 0; m < memberCount(s); m++) for (let e = 0; e < 2; e++) result[s.memberNodes[2 * m + e]!]!.push(m);
  return result;
}
