import type { Outcome } from '../../combinations/outcome';
import { freed } from '../../linear-algebra/complementarity';
import { giveBackKernels, takeKernels } from '../../linear-algebra/kernel-pool';
import type { Kernels } from '../../linear-algebra/kernels';
import { translations, type Model } from '../../model/model';
import type { Solution, StructuralResponse } from '../../results/results';
import { partsOfSum, sumOf } from '../../results/sums';
import { supportedNodes } from '../../stiffness/supported-nodes';
import { FREEDOMS, MEMBER_FREEDOMS } from '../../stiffness/structure';
import { endDisplacements, toOwnAxes } from '../../stiffness/transformation';
import { factorise, type System } from '../factorise';
import { heldIn, letGo, membersOf, named, supportsOf, type Devices } from '../one-sided';
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
  firstOf(outcome: number): Gone {
    const { cases, devices } = this.all;
    const slack = new Set(this.solution.slack?.[outcome]);
    const lifted = this.solution.lifted?.[outcome] ?? [];
    return devices.flatMap(({ place }, i) => {
      const one = cases[i]!;
      const isGone =
        one.of === 'member' ? slack.has(place) : lifted.some(({ node, along }) => node === place && along === one.along);
      return isGone ? [i] : [];
    });
  }

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

  /** Those that must change sides: what pulls though it only pushes, what is off though it would have to hold. The worst comes first. */
  wrong(
    gone: Gone,
    { first, z }: { readonly first: StructuralResponse; readonly z: Float64Array },
    now: StructuralResponse,
  ): Gone {
    const { devices, stiff } = this.all;
    const off = new Set(gone);
    const added = now.displacements.map((one, f) => one - first.displacements[f]!);
    toOwnAxes(this.solution.structure, added);
    const size = Math.max(now.equilibrium.size, ...devices.map(({ force }) => Math.abs(force(now))));
    const lack = devices.map((one, i) => (off.has(i) ? stiff[i]! * (z[i]! + this.along(i, added) / one.sense) : one.force(now)));
    return [...lack.keys()].filter((i) => lack[i]! < -NOTHING * size).sort((a, b) => lack[a]! - lack[b]!);
  }

  named = (some: Gone): string => named(some.map((i) => this.all.cases[i]!));
  members = (gone: Gone): readonly number[] => membersOf(this.all, gone);
  supports = (gone: Gone) => supportsOf(this.all, gone);

  close(): void {
    for (const { kernels } of this.kept.values()) giveBackKernels(kernels);
    this.kept.clear();
  }

  private made(gone: Gone): { readonly rest: Rest; readonly kernels: Kernels } {
    const structure = without(this.solution.structure, this.members(gone), this.supports(gone));
    const kernels = takeKernels();
    const system = factorise(assembled(this.model, { structure }, this.system), kernels);
    return { rest: { system, supported: supportedNodes(structure) }, kernels };
  }

  /** By how much device i is moved by movements of the nodes (6n, nodes' axes): longer, or along the axis of its support. */
  private along(i: number, displacements: Float64Array): number {
    const { structure, matrices } = this.system;
    const one = this.all.cases[i]!;
    const { place } = this.all.devices[i]!;
    if (one.of === 'support') return displacements[FREEDOMS * place + translations.indexOf(one.along)]!;
    endDisplacements(structure, place, matrices.transforms[place], displacements, ends);
    return ends[6]! - ends[0]!;
  }
}

const ends = new Float64Array(MEMBER_FREEDOMS);
