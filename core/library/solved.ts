import { freedoms, nodalForces } from '../model/freedoms';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { extremesOverMembers } from '../results/extremes-over-members';
import { nodalRange } from '../results/nodal-range';
import type { Quantity } from '../results/quantities';
import { rangeAt } from '../results/read-quantity';
import type { Solution } from '../results/results';
import { FREEDOMS } from '../stiffness/structure';

/** From the least to the greatest value; of a case or a sum both are the same. */
export interface Between {
  readonly min: number;
  readonly max: number;
}

/** An extreme: its value, the member, and metres from its start. */
export interface Place {
  readonly value: number;
  readonly member: string;
  readonly x: number;
}

type Force = (typeof nodalForces)[number];
type Freedom = (typeof freedoms)[number];

/** A solved model, read by names; everything in SI, with the signs of the model format. A name that is not there throws. */
export class Solved {
  constructor(
    readonly model: Model,
    readonly solution: Solution,
    readonly notices: readonly Notice[],
  ) {}

  /** The ids of all that can be read: cases, combinations, and what other runs found. */
  get outcomes(): readonly string[] {
    return this.solution.outcomes.map(({ id }) => id);
  }

  /** A quantity (`N`, `Vy`, `Vz`, `T`, `My`, `Mz`, `u`, `v`, `w`, `M`, `uX`, `uY`, `uZ`, `sigma`, `sigmaV`) of a member, metres from its start. */
  range(outcome: string, member: string, quantity: Quantity, x: number): Between {
    const range = rangeAt(this.solution, this.outcome(outcome), this.member(member), quantity, x);
    if (!range) throw new RangeError(`There is no ${quantity} in member “${member}”`);
    return { min: range.min, max: range.max };
  }

  /** The same of a case or a sum, which has one value. */
  at(outcome: string, member: string, quantity: Quantity, x = 0): number {
    const { min, max } = this.range(outcome, member, quantity, x);
    if (min !== max) throw new RangeError(`“${outcome}” has a range of ${quantity} there: read it with range()`);
    return max;
  }

  /** The exact extremes of a quantity over all members, or over one. */
  extremes(outcome: string, quantity: Quantity, member?: string): { readonly max: Place; readonly min: Place } {
    const members = member === undefined ? undefined : [this.member(member)];
    const over = extremesOverMembers(this.solution, this.outcome(outcome), quantity, members);
    if (!over) throw new RangeError(`There is no ${quantity} in this model`);
    const { members: names } = this.solution.structure.names;
    const told = ({ value, x, member: m }: typeof over.max): Place => ({ value, x, member: names[m]! });
    return { max: told(over.max), min: told(over.min) };
  }

  /** What a support exerts on its node, global: `fx` … `mz`. */
  reaction = (outcome: string, node: string): { readonly [force in Force]: Between } =>
    this.nodal(outcome, node, 'reactions', nodalForces);

  /** How a node moves, global: `ux` … `rz`. */
  movement = (outcome: string, node: string): { readonly [freedom in Freedom]: Between } =>
    this.nodal(outcome, node, 'displacements', freedoms);

  private nodal<Key extends string>(
    outcome: string,
    node: string,
    key: 'reactions' | 'displacements',
    names: readonly Key[],
  ): { readonly [name in Key]: Between } {
    const [of, n] = [this.outcome(outcome), this.index('node', node, this.solution.structure.names.nodes)];
    const read = (k: number): Between => {
      const { min, max } = nodalRange(this.solution, of, key, FREEDOMS * n + k);
      return { min, max };
    };
    return Object.fromEntries(names.map((name, k) => [name, read(k)])) as { [name in Key]: Between };
  }

  private outcome = (id: string): number => this.index('case or combination', id, this.outcomes);
  private member = (id: string): number => this.index('member', id, this.solution.structure.names.members);

  private index(what: string, id: string, known: readonly string[]): number {
    const at = known.indexOf(id);
    if (at < 0) throw new RangeError(`There is no ${what} “${id}”: ${known.slice(0, 8).join(', ')}`);
    return at;
  }
}
