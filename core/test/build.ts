import type { Load, Member, Model, ModelNode, Section, Support } from '../model/model';
import { checkModel } from '../model/check';
import { solve } from '../analysis/session';
import { extremes } from '../results/extremes';
import type { LineQuantity } from '../results/quantities';
import { valueAt } from '../results/read';
import type { Results, Solution } from '../results/results';
import { responseOf } from '../results/sums';

/** Round numbers for closed forms: EI = 2e6 N·m², EA = 1e9 N. */
export const E = 200e9;
export const A = 0.005;
export const I = 1e-5;
export const EI = E * I;
export const EA = E * A;

type Loose<T> = T extends unknown ? Omit<T, 'id' | 'case'> & { id?: string; case?: string } : never;
/** A load of the first case, named by its place, unless it says otherwise. */
export type LooseLoad = Loose<Load>;

/** Loads of a case with their ids. */
export const loadsOf = (loads: readonly LooseLoad[], loadCase = 'Q'): Load[] =>
  loads.map((load, i) => ({ id: String(i + 1), case: loadCase, ...load }) as Load);

export interface Sketch {
  readonly nodes: readonly (readonly [id: string, x: number, y: number, z?: number])[];
  /** id, start, end, and anything else of a member. */
  readonly members: readonly (readonly [string, string, string, Partial<Member>?])[];
  readonly supports: readonly Support[];
  readonly loads?: readonly LooseLoad[];
  readonly section?: Partial<Section>;
  readonly extra?: Partial<Model>;
}

/** Second moment about the weak axis, torsion constant and shear modulus of space models: EIy = 8e5, GJ = 4e5 N·m². */
export const IY = 4e-6;
export const J = 5e-6;
export const G = 80e9;
export const EIY = E * IY;
export const GJ = G * J;

/** A model from a short sketch: one section, one weightless material, one case `Q`. It lies in space where a node has a z. */
export function sketch({ nodes, members, supports, loads = [], section, extra }: Sketch): Model {
  return {
    format: 'rigid-beam/model',
    version: 1,
    title: 'test',
    space: nodes.some(({ length }) => length > 3) ? 'space' : 'plane',
    materials: [{ id: 'm', E, G, density: 0, alpha: 1.2e-5 }],
    sections: [{ id: 's', A, Iz: I, Iy: IY, J, ...section }],
    nodes: nodes.map(([id, x, y, z]): ModelNode => ({ id, x, y, ...(z !== undefined && { z }) })),
    members: members.map(([id, start, end, rest]): Member => ({ id, start, end, section: 's', material: 'm', ...rest })),
    supports,
    cases: [{ id: 'Q', category: 'imposed' }],
    loads: loadsOf(loads),
    combinations: [],
    ...extra,
  };
}

/** Nodes 1, 2, 3 … on the X axis. */
export const inRow = (...places: readonly number[]): [string, number, number][] => places.map((x, i) => [`${i + 1}`, x, 0]);

export const pin = (node: string): Support => ({ node, ux: 'fixed', uy: 'fixed' });
export const roller = (node: string): Support => ({ node, uy: 'fixed' });
export const clamp = (node: string): Support => ({ node, ux: 'fixed', uy: 'fixed', rz: 'fixed' });

export const clamp3 = (node: string): Support => ({
  node,
  ...{ ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed', ry: 'fixed', rz: 'fixed' },
});
/** Held in place, free to turn, but not about X. */
export const fork = (node: string): Support => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed', rx: 'fixed' });
export const ball = (node: string): Support => ({ node, ux: 'fixed', uy: 'fixed', uz: 'fixed' });

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
    return valueAt(this.solution, this.outcome(outcome), this.member(member), quantity, x);
  }
  max(member: string, quantity: LineQuantity, outcome = 'Q') {
    return extremes(this.solution, this.outcome(outcome), this.member(member), quantity).max;
  }
  min(member: string, quantity: LineQuantity, outcome = 'Q') {
    return extremes(this.solution, this.outcome(outcome), this.member(member), quantity).min;
  }
  /** fx, fy, mz */
  reaction(node: string, outcome = 'Q'): Float64Array {
    return inPlane(this.reactions(node, outcome));
  }
  /** ux, uy, rz */
  displacement(node: string, outcome = 'Q'): Float64Array {
    return inPlane(this.displacements(node, outcome));
  }
  /** fx, fy, fz, mx, my, mz */
  reactions(node: string, outcome = 'Q'): Float64Array {
    const i = 6 * this.node(node);
    return responseOf(this.solution, this.outcome(outcome))!.reactions.subarray(i, i + 6);
  }
  /** ux, uy, uz, rx, ry, rz */
  displacements(node: string, outcome = 'Q'): Float64Array {
    const i = 6 * this.node(node);
    return responseOf(this.solution, this.outcome(outcome))!.displacements.subarray(i, i + 6);
  }
  residual(outcome = 'Q'): number {
    return responseOf(this.solution, this.outcome(outcome))!.equilibrium.residual;
  }
}

const inPlane = (six: Float64Array): Float64Array => Float64Array.of(six[0]!, six[1]!, six[5]!);
