import type { Shape, Swing } from '../combinations/outcome';
import { FREEDOMS } from '../stiffness/structure';
import type { HarmonicForce, Solution } from './results';
import { responseOf } from './sums';

/** What swings at a place when a force swings at another: by frequency (Hz) how far, how fast, how strongly accelerated, and how far behind the force, radians. */
export interface HarmonicResponse {
  readonly frequency: number;
  readonly displacement: number;
  readonly velocity: number;
  readonly acceleration: number;
  /** 0 with the force, −π against it. */
  readonly phase: number;
}

/** A mode under the force: ω², and what a force of 1 N moves by it where it is read, times ω² (m/N/s²). */
interface Term {
  readonly square: number;
  readonly gain: number;
}

/** A force that swings, on the modes of a solution. */
export class Harmonic {
  private readonly terms: readonly Term[];
  /** What the modes that were not found move as in statics, m/N. */
  private readonly rest: number;

  constructor(
    solution: Solution,
    private readonly force: HarmonicForce,
  ) {
    const at = FREEDOMS * force.node + force.axis;
    const read = FREEDOMS * force.readAt + force.axis;
    this.terms = solution.outcomes.flatMap((one, i) => {
      if (!isMode(one)) return [];
      const { displacements } = responseOf(solution, i)!;
      const gain = (displacements[at]! * displacements[read]!) / one.swing.generalised;
      return [{ square: (2 * Math.PI * one.value) ** 2, gain }];
    });
    this.rest = force.flexibility - this.terms.reduce((sum, { square, gain }) => sum + gain / square, 0);
  }

  /** The last frequency that the modes reach, Hz. */
  get reach(): number {
    return this.terms.length === 0 ? 0 : Math.sqrt(this.terms.at(-1)!.square) / (2 * Math.PI);
  }

  /** Clough and Penzien, Dynamics of Structures (1975), sections 4-2 and 13-2, with the static response of the modes that are missing (section 13-4). */
  at(frequency: number): HarmonicResponse {
    const Ω = 2 * Math.PI * frequency;
    let [real, imaginary] = [this.rest, 0];
    for (const { square, gain } of this.terms) {
      const [a, b] = [square - Ω * Ω, 2 * this.force.damping * Math.sqrt(square) * Ω];
      const size = a * a + b * b;
      real += (gain * a) / size;
      imaginary -= (gain * b) / size;
    }
    const force = this.force.force + this.force.unbalance * Ω * Ω;
    const displacement = force * Math.hypot(real, imaginary);
    return {
      frequency,
      displacement,
      velocity: Ω * displacement,
      acceleration: Ω * Ω * displacement,
      phase: Math.atan2(imaginary, real),
    };
  }

  /** From one frequency to another: evenly, and closely about every resonance. */
  curve(from: number, to: number): readonly HarmonicResponse[] {
    const places = new Set<number>();
    for (let i = 0; i <= EVENLY; i++) places.add(from + ((to - from) * i) / EVENLY);
    for (const { square } of this.terms) {
      const resonance = Math.sqrt(square) / (2 * Math.PI);
      const width = Math.max(this.force.damping, 1e-4) * resonance;
      for (let k = -CLOSELY; k <= CLOSELY; k++) {
        const place = resonance + (WIDTHS * width * k) / CLOSELY;
        if (place > from && place < to) places.add(place);
      }
    }
    // Two that only rounding tells apart would hide from `most` what lies beside them.
    const sorted = [...places].sort((a, b) => a - b).filter((place, i, all) => !(place - all[i - 1]! <= ALIKE * place));
    return sorted.map((frequency) => this.at(frequency));
  }

  /** Where it is accelerated most from one frequency to another. */
  most(from: number, to: number): HarmonicResponse {
    const curve = this.curve(from, to);
    const best = curve.reduce((found, one, i) => (one.acceleration > curve[found]!.acceleration ? i : found), 0);
    let [a, b] = [curve[Math.max(0, best - 1)]!.frequency, curve[Math.min(curve.length - 1, best + 1)]!.frequency];
    for (let step = 0; step < 60 && b - a > 1e-9 * b; step++) {
      const [c, d] = [a + (b - a) / 3, b - (b - a) / 3];
      if (this.at(c).acceleration < this.at(d).acceleration) a = c;
      else b = d;
    }
    const found = this.at((a + b) / 2);
    return found.acceleration > curve[best]!.acceleration ? found : curve[best]!;
  }
}

/** Places nearer to each other than this part are one. */
const ALIKE = 1e-9;
const EVENLY = 200;
/** Places on either side of a resonance, and so many times its width away. */
const [CLOSELY, WIDTHS] = [12, 4];

const isMode = (one: Solution['outcomes'][number]): one is Shape & { readonly swing: Swing } => one.kind === 'shape' && one.swing !== undefined; // oxfmt-ignore
