import type { Outcome } from '../../combinations/outcome';
import { freed } from '../../linear-algebra/complementarity';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import { translations, type Model } from '../../model/model';
import type { LetGo, Solution, StructuralResponse } from '../../results/results';
import { jointAt } from '../../results/slack';
import { partsOfSum, sumOf } from '../../results/sums';
import { supportedNodes } from '../../stiffness/supported-nodes';
import { FREEDOMS, MEMBER_FREEDOMS } from '../../stiffness/structure';
import { endDisplacements, toOwnAxes } from '../../stiffness/transformation';
import { factorise, type System } from '../factorise';
import { heldIn, letGo, letGoOf, named, type Devices } from '../one-sided';
import { assembled } from '../prepare';
import { without } from '../without';

/** What has let go of that which acts one way, by place among the devices, ascending. */
export type Gone = readonly number[];

/** A structure without what has let go of it, and the nodes that are still supported. */
export interface Rest {
  readonly system: System;
  readonly supported: Uint8Array;
}

/** A force under this part of what is large for it is none, as far as the second order is found. */
const NOTHING = 1e-8;
/** Sets whose equations are kept, each with a factor of its own. */
const MOST_KEPT = 4;

/** The structure in one set of what acts after the other. */
export class ActingSets {
  private readonly kept = new Map<string, { readonly rest: Rest; readonly kernels: Kernels }>();

  /** `system`: the equations while all hold both ways, of which `solution` was made. */
  constructor(
    private readonly model: Model,
    private readonly system: System,
    private readonly solution: Solution,
    private readonly all: Devices,
  ) {}

  /** The set that the first order has found for an outcome. */
  firstOf = (outcome: number): Gone => this.solution.letGo?.[outcome]?.gone ?? [];

  /** The equations without what has let go; good until others were asked for a few times. */
  rest(gone: Gone): Rest {
    if (gone.length === 0) return { system: this.system, supported: this.solution.supported };
    const key = gone.join(' ');
    const before = this.kept.get(key);
    this.kept.delete(key);
    const now = before ?? this.made(gone);
    this.kept.set(key, now);
    for (const [other, { kernels }] of this.kept) {
      if (this.kept.size <= MOST_KEPT) break;
      this.kept.delete(other);
      giveBackKernels(kernels);
    }
    return now.rest;
  }

  /** What the first order makes of a share of an outcome in this set, whatever signs it has; undefined where the rest can move. */
  response(
    outcome: Outcome,
    gone: Gone,
    share: number,
  ): { readonly first: StructuralResponse; readonly z: Float64Array } | undefined {
    if (outcome.kind !== 'solved' && outcome.kind !== 'superposed') return undefined;
    const { responses, structure } = this.solution;
    const { factors, q } = heldIn(this.all, responses, outcome, share);
    const z = freed(q, this.all.M, this.all.stiff, gone);
    if (!z) return undefined;
    letGo(this.all, factors, z, gone);
    return { first: sumOf(structure, partsOfSum(this.solution, factors)), z };
  }

  /**
   * Those that must change sides: what pulls though it only pushes, what is off though it would have to hold. The worst comes first. `endsOf`: how a member's own ends
   * move beside the first order (12, local).
   */
  wrong(
    gone: Gone,
    { first, z }: { readonly first: StructuralResponse; readonly z: Float64Array },
    { response: now, endsOf }: { readonly response: StructuralResponse; readonly endsOf: (m: number) => ArrayLike<number> },
  ): Gone {
    const { cases, devices, stiff } = this.all;
    const off = new Set(gone);
    const added = now.displacements.map((one, f) => one - first.displacements[f]!);
    toOwnAxes(this.solution.structure, added);
    const size = Math.max(now.equilibrium.size, ...devices.map(({ force }) => Math.abs(force(now))));
    // The way of a joint that holds has all of its force.
    const held = (i: number): number => (cases[i]!.of === 'joint' ? 2 : 1) * devices[i]!.force(now);
    const lack = devices.map((one, i) => (off.has(i) ? stiff[i]! * (z[i]! + this.along(i, added, endsOf) / one.sense) : held(i)));
    return [...lack.keys()].filter((i) => lack[i]! < -NOTHING * size).sort((a, b) => lack[a]! - lack[b]!);
  }

  named = (some: Gone): string => named(some.map((i) => this.all.cases[i]!));
  letGo = (gone: Gone): LetGo => letGoOf(this.all, gone);

  close(): void {
    for (const { kernels } of this.kept.values()) giveBackKernels(kernels);
    this.kept.clear();
  }

  private made(gone: Gone): { readonly rest: Rest; readonly kernels: Kernels } {
    const structure = without(this.solution.structure, this.all, gone);
    const kernels = takeKernels();
    const system = factorise(assembled(this.model, { structure }, this.system), kernels);
    return { rest: { system, supported: supportedNodes(structure) }, kernels };
  }

  /** By how much device i is moved by movements of the nodes (6n, nodes' axes): longer, along the axis of its support, or by how much the node of a joint is before its member. */
  private along(i: number, displacements: Float64Array, endsOf: (m: number) => ArrayLike<number>): number {
    const { structure, matrices } = this.system;
    const one = this.all.cases[i]!;
    const { place } = this.all.devices[i]!;
    if (one.of === 'support') return displacements[FREEDOMS * place + translations.indexOf(one.along)]!;
    endDisplacements(structure, place, matrices.transforms[place], displacements, ends);
    if (one.of === 'member') return ends[6]! - ends[0]!;
    const at = jointAt(one, 0);
    return ends[at]! - endsOf(place)[at]!;
  }
}

const ends = new Float64Array(MEMBER_FREEDOMS);
