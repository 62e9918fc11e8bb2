import { factorize, type Factor } from '../../linear-algebra/factor';
import type { Kernels } from '../../linear-algebra/kernels';
import { maxNorm } from '../../linear-algebra/max-norm';
import { solveInPlace, solveRefined } from '../../linear-algebra/solve';
import { multiply, type SparseSymmetric } from '../../linear-algebra/sparse-symmetric';
import { recoverUnder } from '../../results/recover-cases';
import { assembleStiffness } from '../../stiffness/assemble';
import { addSolution } from '../add-solution';
import type { System } from '../factorise';
import type { Axial, Columns, Leaning } from './leaning';
import { addMore, loadsOnLine } from './line';
import type { Added } from './recover-leaning';

/** Steps by an earlier factor, which are less work than a new one. */
const STEPS = 6;
/** What is left of a right-hand side that counts as nothing, beside its largest part. */
export const EXACT = 1e-12;

/** How the nodes move (6n, nodes' axes), and what is left of the right-hand side beside its largest part. */
export interface Solved {
  readonly displacements: Float64Array;
  readonly residual: number;
}

/** A structure under axial forces. Its factors lie in the kernels it was made with, one at a time. */
export class Pressing {
  private stiffness: SparseSymmetric | undefined;
  private now: Leaning | undefined;
  private last: Float64Array | undefined;
  /** The leaning before this one. */
  private former: Leaning | undefined;
  /** What the members push the nodes with on the line between both (6n). */
  private onLine: Float64Array | undefined;

  /** `factor`: an earlier one of the same structure under other forces, where there is one. */
  constructor(
    private readonly system: System,
    private readonly columns: Columns,
    private readonly kernels: Kernels,
    private factor?: Factor,
  ) {}

  /** Leans the members under these axial forces; false where shear alone would let one buckle. */
  lean(axial: Axial): boolean {
    const leaning = this.columns.leaning(axial);
    if (typeof leaning === 'number') return false;
    const { structure, numbering, loose } = this.system;
    [this.former, this.now] = [this.now, leaning];
    this.onLine = undefined;
    this.stiffness = assembleStiffness(structure, leaning, numbering, loose.artificialRestraints);
    return true;
  }

  /** From here on, until it leans again, what members push with is found on a line through the last two times, near enough to go on from; false where there are not so many. */
  leanNear(more: Float64Array): boolean {
    const { former, now, last } = this;
    if (!former || !now || !last) return false;
    const { structure, matrices } = this.system;
    this.onLine = loadsOnLine({ structure, matrices }, [former, now], more, this.moved(last));
    return true;
  }

  /** The last factor, which is the kernels' until they factorise again. */
  get lastFactor(): Factor | undefined {
    return this.factor;
  }

  get leaning(): Leaning {
    return this.now!;
  }

  /** Factorises it; returns how many modes these axial forces have made unstable (Wittrick and Williams, Quarterly Journal of Mechanics and Applied Mathematics 24, 1971). */
  unstable(): number {
    const { numbering, factor: elastic } = this.system;
    this.factor = factorize(numbering.analysis, this.stiffness!, this.kernels, { held: elastic.weak });
    const lost = Math.max(0, this.factor.weak.length - elastic.weak.length);
    return this.now!.negative + this.factor.negative.length + lost;
  }

  /**
   * The displacements (6n, nodes' axes) that the push of the members adds, from the last factor and those before, until so much is left of the right-hand side
   * beside its largest part; undefined where that does not lead there.
   */
  addedSoon(left: number): Float64Array | undefined {
    const b = this.side();
    const x = this.last?.slice() ?? new Float64Array(b.length);
    const enough = left * maxNorm(b);
    for (let step = 0; step < STEPS; step++) {
      const rest = multiply(this.stiffness!, x);
      for (let u = 0; u < x.length; u++) rest[u] = b[u]! - rest[u]!;
      if (maxNorm(rest) <= enough) return this.moved(x);
      solveInPlace(this.factor!, [rest]);
      for (let u = 0; u < x.length; u++) x[u]! += rest[u]!;
    }
    return undefined;
  }

  /** The same by a factor of these very forces, with what is left of the right-hand side; undefined where they make it unstable. */
  added(): Solved | undefined {
    return this.unstable() > 0 ? undefined : this.solved();
  }

  /** The same, stable or not, where it is factorised already. */
  solved(): Solved {
    const { solutions, residuals } = solveRefined(this.factor!, [this.side()]);
    return { displacements: this.moved(solutions[0]!), residual: residuals[0]! };
  }

  /** The reciprocal of the work that the push does on what it moves, by the factor of these very forces. */
  yielding(): number {
    const b = this.side();
    const { solutions } = solveRefined(this.factor!, [b]);
    return 1 / b.reduce((sum, load, u) => sum + load * solutions[0]![u]!, 0);
  }

  /** The response of the first-order structure to what makes up for the difference of the stiffness, beside the push. */
  responseTo({ displacements, residual }: Solved, supported: Uint8Array): Added {
    const { structure, matrices } = this.system;
    const { loads, nodal } = this.now!;
    const forces = loads.slice();
    addMore(structure, [matrices.nodal, nodal], displacements, forces);
    return { displacements, response: recoverUnder(structure, matrices, supported, { displacements, forces, residual }) };
  }

  private side(): Float64Array {
    const loads = this.onLine ?? this.now!.loads;
    const { freedoms } = this.system.numbering;
    const side = new Float64Array(freedoms.length);
    for (let u = 0; u < side.length; u++) side[u] = loads[freedoms[u]!]!;
    return side;
  }

  private moved(x: Float64Array): Float64Array {
    this.last = x;
    const displacements = new Float64Array(this.now!.loads.length);
    addSolution(this.system, x, displacements);
    return displacements;
  }
}
