import type { Load, Member, Model, ModelNode, Section, Support } from '../model/model';
import { checkModel } from '../model/check';
import { solve } from '../results/solve';
import { extremes } from '../results/extremes';
import type { LineQuantity } from '../results/quantities';
import { valueAt } from '../results/read';
import type { Results, Solution } from '../results/results';

/** Round numbers for closed forms: EI = 2e6 N·m², EA = 1e9 N. */
export const E = 200e9;
export const A = 0.005;
export const I = 1e-5;
export const EI = E * I;
export const EA = E * A;

type Loose<T> = T extends unknown ? Omit<T, 'case'> & { case?: string } : never;

export interface Sketch {
  readonly nodes: readonly (readonly [string, number, number])[];
  /** id, start, end, and anything else of a member. */
  readonly members: readonly (readonly [string, string, string, Partial<Member>?])[];
  readonly supports: readonly Support[];
  readonly loads?: readonly Loose<Load>[];
  readonly section?: Partial<Section>;
  readonly extra?: Partial<Model>;
}

/** A plane model from a short sketch: one section, one weightless material, one case `Q`. */
export function sketch({ nodes, members, supports, loads = [], section, extra }: Sketch): Model {
  return {
    format: 'rigid-beam/model',
    version: 1,
    title: 'test',
    space: 'plane',
    materials: [{ id: 'm', E, G: 80e9, density: 0, alpha: 1.2e-5 }],
    sections: [{ id: 's', A, Iz: I, ...section }],
    nodes: nodes.map(([id, x, y]): ModelNode => ({ id, x, y })),
    members: members.map(([id, start, end, rest]): Member => ({ id, start, end, section: 's', material: 'm', ...rest })),
    supports,
    cases: [{ id: 'Q', category: 'imposed' }],
    loads: loads.map((load) => ({ case: 'Q', ...load }) as Load),
    combinations: [],
    ...extra,
  };
}

export const pin = (node: string): Support => ({ node, ux: 'fixed', uy: 'fixed' });
export const roller = (node: string): Support => ({ node, uy: 'fixed' });
export const clamp = (node: string): Support => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' });

/** Checks and solves; a fault fails the test with its message. */
export function solved(model: Model): Reading {
  const checked = checkModel(model);
  if (!checked.model) throw new Error(checked.notices.map(({ message }) => message).join('\n'));
  return new Reading(solve(checked.model));
}

/** Results by name, for tests to read. */
export class Reading {
  readonly solution: Solution;
  constructor(readonly results: Results) {
    if (!results.solution) throw new Error(results.notices.map(({ message }) => message).join('\n'));
    this.solution = results.solution;
  }

  private outcome(id: string): number {
    return this.solution.outcomes.findIndex((outcome) => outcome.id === id);
  }
  private member(id: string): number {
    return this.solution.structure.names.members.indexOf(id);
  }
  private node(id: string): number {
    return this.solution.structure.names.nodes.indexOf(id);
  }

  at(member: string, quantity: LineQuantity, x: number, outcome = 'Q'): number {
    return valueAt(this.solution, this.solution.linear[this.outcome(outcome)]!, this.member(member), quantity, x);
  }
  max(member: string, quantity: LineQuantity, outcome = 'Q') {
    return extremes(this.solution, this.outcome(outcome), this.member(member), quantity).max;
  }
  min(member: string, quantity: LineQuantity, outcome = 'Q') {
    return extremes(this.solution, this.outcome(outcome), this.member(member), quantity).min;
  }
  /** fx, fy, mz */
  reaction(node: string, outcome = 'Q'): Float64Array {
    const i = 3 * this.node(node);
    return this.solution.linear[this.outcome(outcome)]!.reactions.subarray(i, i + 3);
  }
  /** ux, uy, rz */
  movement(node: string, outcome = 'Q'): Float64Array {
    const i = 3 * this.node(node);
    return this.solution.linear[this.outcome(outcome)]!.displacements.subarray(i, i + 3);
  }
  residual(outcome = 'Q'): number {
    return this.solution.linear[this.outcome(outcome)]!.equilibrium.residual;
  }
}
