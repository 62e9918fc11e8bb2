import { summedSeries, type SummedSeries } from './summed-series';
import { addSeries, fromPowers, integralOf, product, scaled, timesPlace, type Series } from './legendre';
import type { Bubble, Following, Strand } from './strands';

/** Mass along a member, kg/m: its own all along, more on parts of it, and masses at points (kg). */
export interface MassAlong {
  readonly own: number;
  /** From a to b (m from its start), with so much at a and b. */
  readonly spread: readonly (readonly [a: number, b: number, atA: number, atB: number])[];
  readonly points: readonly (readonly [x: number, mass: number])[];
}

/** A member's strand between its nodes. */
export interface Hold {
  readonly length: number;
  /** By freedom of the strand's ends how these follow the nodes (p × p by rows) where hinges and springs let them. */
  readonly following?: Float64Array | undefined;
  /** Ends that are released and by what spring each is still held; none that moves the member without resistance. */
  readonly released: readonly { readonly end: number; readonly spring: number }[];
}

/** One stretch of a strand: its bubbles, and how its two ends follow from all that the strand does (p rows, `width` columns). */
interface Part {
  readonly a: number;
  readonly h: number;
  readonly following: Following;
  readonly bubbles: readonly Bubble[];
  /** Where its bubbles stand among the columns. */
  readonly first: number;
  readonly ends: Float64Array;
  /** kg/m in the middle, and what it grows by from there to the end. */
  readonly mass: readonly [number, number];
}

/**
 * What a strand does, as columns: p for its nodes, as they lead it in statics; then what it does while its nodes rest (released ends, joints between stretches,
 * bubbles), chosen so that the stiffness of these is 1 each and nothing of the nodes' (energy is orthogonal, since statics leaves nothing between the nodes).
 */
export interface SwingingStrand {
  readonly outer: number;
  readonly inner: number;
  /** (outer + inner)² by rows, kg and kg·m². */
  readonly mass: Float64Array;
  /** Half a wave on its stretches, at most, and how many bubbles they have. */
  readonly argument: (λ: number) => number;
  /** By stretch what its columns do there, found when somebody asks. */
  readonly shapes: () => readonly StretchShapes[];
}

/** A stretch: where it begins, how long it is, and a mass at its end (kg). By line and column the series: of every moving field, then of its inertia. */
export interface StretchShapes {
  readonly a: number;
  readonly h: number;
  readonly point: number;
  /**
   * Along or about the axis: the movement (none of a torsion), ∫m·u dx. Across it by plane: the movement, ∫m·v dx, and ∫(∫m·v dx − m·i²·θ) dx; all from the start of
   * the stretch on.
   */
  readonly lines: readonly SummedSeries[];
}

/** A strand with its mass, `degree` waves fine. */
export function swingingStrand(strand: Strand, mass: MassAlong, hold: Hold, degree: number): SwingingStrand {
  const { places, moving, turning } = strand;
  const p = places.length;
  const fields = moving + turning;
  const cuts = moving > 0 ? cutsOf(mass, hold.length) : [0, hold.length];
  const n = p / 2;
  const released = hold.released;
  const joints = cuts.length - 2;
  const whole = strand.follow(hold.length);
  let width = p + released.length + n * joints;
  const parts = cuts.slice(1).map((b, i): Part => {
    const a = cuts[i]!;
    const h = b - a;
    const bubbles = strand.bubbles(h, degree);
    const first = width;
    width += bubbles.length;
    return { a, h, bubbles, first, following: strand.follow(h), ends: new Float64Array(0), mass: massOn(mass, a, b) };
  });
  const ends = cuts.map((x) => movementAt(whole, fields, n, x));
  const placed = parts.map((part, i) => ({ ...part, ends: endsOf(ends[i]!, ends[i + 1]!, { i, joints, width, p, n, hold }) }));
  const K = stiffnessOf(placed, whole, { p, n, released, joints, width });
  const inner = width - p;
  const L = cholesky(K, inner);
  let shapes: readonly StretchShapes[] | undefined;
  const shapesOf = (): readonly StretchShapes[] => {
    const points = pointsAt(mass, cuts);
    const units = Array.from({ length: width }, (_, j) => {
      const unit = new Float64Array(width);
      unit[j] = 1;
      backwards(L, inner, unit.subarray(p));
      return unit;
    });
    return placed.map((part, i) => {
      const columns = units.map((unit) => linesOf(strand, part, combined(part, unit, { width, p, fields }), mass.own));
      const lines = columns[0]!.length;
      return {
        ...{ a: part.a, h: part.h, point: points[i + 1]! },
        lines: Array.from({ length: lines }, (_, l) => summedSeries(columns.map((column) => column[l]!))),
      };
    });
  };
  const raw = massOf(strand, placed, { width, own: mass.own, points: pointsAt(mass, cuts) });
  return {
    outer: p,
    inner,
    mass: normalised(raw, L, p, inner),
    argument: (λ) => placed.reduce((most, { h, mass: [middle, more] }) => Math.max(most, strand.argument(h, moving > 0 ? middle + Math.abs(more) : mass.own, λ)), 0), // oxfmt-ignore
    shapes: () => (shapes ??= shapesOf()),
  };
}

/** Where a member is cut: at its ends, and where its mass changes. */
function cutsOf({ spread, points }: MassAlong, L: number): number[] {
  const inside = [...spread.flatMap(([a, b]) => [a, b]), ...points.map(([x]) => x)].filter(
    (x) => x > 1e-9 * L && x < (1 - 1e-9) * L,
  );
  const sorted = [0, ...inside.sort((a, b) => a - b), L];
  return sorted.filter((x, i) => i === 0 || x - sorted[i - 1]! > 1e-9 * L);
}

/** By cut the masses there. */
function pointsAt({ points }: MassAlong, cuts: readonly number[]): number[] {
  const at = cuts.map(() => 0);
  for (const [x, mass] of points) {
    let nearest = 0;
    cuts.forEach((cut, i) => {
      if (Math.abs(cut - x) < Math.abs(cuts[nearest]! - x)) nearest = i;
    });
    at[nearest]! += mass;
  }
  return at;
}

function massOn({ own, spread }: MassAlong, from: number, to: number): readonly [number, number] {
  let [middle, more] = [own, 0];
  for (const [a, b, atA, atB] of spread) {
    const x = (from + to) / 2;
    if (x < a || x > b || b <= a) continue;
    const rise = (atB - atA) / (b - a);
    middle += atA + rise * (x - a);
    more += (rise * (to - from)) / 2;
  }
  return [middle, more];
}

/** How the axis moves at x (n rows: by plane its translation and its turn, or the only field) for each end freedom (p columns). */
function movementAt({ powers }: Following, fields: number, n: number, x: number): Float64Array {
  const p = powers.length;
  const at = new Float64Array(n * p);
  const P = fields / 2;
  for (let j = 0; j < p; j++)
    for (let i = 0; i < n; i++) {
      const field = n === 1 ? 0 : i % 2 === 0 ? i / 2 : P + (i - 1) / 2;
      at[p * i + j] = powers[j]![field]!.reduceRight((sum, c) => sum * x + c, 0);
    }
  return at;
}

interface EndsPlace {
  readonly i: number;
  readonly joints: number;
  readonly width: number;
  readonly p: number;
  readonly n: number;
  readonly hold: Hold;
}

/** How the ends of stretch i follow from the columns: p rows. */
function endsOf(start: Float64Array, end: Float64Array, { i, joints, width, p, n, hold }: EndsPlace): Float64Array {
  const out = new Float64Array(p * width);
  const { following, released } = hold;
  for (let r = 0; r < p; r++) {
    const own = (e: number): number => (r < n ? start[p * r + e]! : end[p * (r - n) + e]!);
    for (let j = 0; j < p; j++) {
      let sum = 0;
      if (!following) sum = own(j);
      else for (let e = 0; e < p; e++) sum += own(e) * following[p * e + j]!;
      out[width * r + j] = sum;
    }
    released.forEach((one, k) => (out[width * r + p + k] = own(one.end)));
    const joint = r < n ? i - 1 : i;
    if (joint >= 0 && joint < joints) out[width * r + p + released.length + n * joint + (r % n)] = 1;
  }
  return out;
}

interface Sizes {
  readonly p: number;
  readonly n: number;
  readonly released: Hold['released'];
  readonly joints: number;
  readonly width: number;
}

/** The stiffness of the inner columns. */
function stiffnessOf(parts: readonly Part[], whole: Following, { p, n, released, joints, width }: Sizes): Float64Array {
  const q = width - p;
  const K = new Float64Array(q * q);
  released.forEach((a, i) =>
    released.forEach((b, j) => {
      K[q * i + j] = whole.stiffness[p * a.end + b.end]! + (i === j ? a.spring : 0);
    }),
  );
  parts.forEach(({ following, bubbles, first }, s) => {
    const at = (r: number): number => {
      const joint = r < n ? s - 1 : s;
      return joint >= 0 && joint < joints ? released.length + n * joint + (r % n) : -1;
    };
    for (let i = 0; i < p; i++)
      for (let j = 0; j < p; j++) {
        const [row, column] = [at(i), at(j)];
        if (row >= 0 && column >= 0) K[q * row + column]! += following.stiffness[p * i + j]!;
      }
    bubbles.forEach((a, i) =>
      bubbles.forEach((b, j) => {
        K[q * (first - p + i) + first - p + j] = a.stiffnessWith(b);
      }),
    );
  });
  return K;
}

/** L of K = L·Lᵀ, by rows. */
function cholesky(K: Float64Array, n: number): Float64Array {
  const L = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = K[n * i + j]!;
      for (let k = 0; k < j; k++) sum -= L[n * i + k]! * L[n * j + k]!;
      L[n * i + j] = i === j ? Math.sqrt(sum) : sum / L[n * j + j]!;
    }
  return L;
}

/** x = L⁻ᵀ·x. */
function backwards(L: Float64Array, n: number, x: Float64Array): void {
  for (let i = n - 1; i >= 0; i--) {
    let sum = x[i]!;
    for (let k = i + 1; k < n; k++) sum -= L[n * k + i]! * x[k]!;
    x[i] = sum / L[n * i + i]!;
  }
}

/** A stretch's fields when the columns move so. */
function combined(
  { h, following, bubbles, first, ends }: Part,
  amplitudes: Float64Array,
  { width, p, fields }: { readonly width: number; readonly p: number; readonly fields: number },
): Series[] {
  const most = bubbles.reduce((longest, bubble) => Math.max(longest, ...bubble.fields.map((f) => f?.length ?? 0)), 4);
  const out = Array.from({ length: fields }, () => new Float64Array(most));
  for (let r = 0; r < p; r++) {
    let moved = 0;
    for (let j = 0; j < width; j++) moved += ends[width * r + j]! * amplitudes[j]!;
    if (moved !== 0) out.forEach((to, f) => addSeries(to, fromPowers(following.powers[r]![f]!, 0, h), moved));
  }
  bubbles.forEach((bubble, b) =>
    bubble.fields.forEach((series, f) => series && addSeries(out[f]!, series, amplitudes[first + b]!)),
  );
  return out;
}

/** A column's lines on a stretch, from its fields. */
function linesOf({ moving, turning, inertia }: Strand, { h, mass }: Part, fields: readonly Series[], own: number): Series[] {
  const along = (f: Series): Series => scaled(integralOf(f), h / 2);
  if (moving === 0) return [fields[0]!, along(scaled(fields[0]!, own * inertia[0]!))];
  return Array.from({ length: moving }, (_, p) => {
    const field = fields[p]!;
    const force = along(weighted(field, mass));
    if (turning === 0) return [field, force];
    const slope = force.slice();
    for (let q = 0; q < turning; q++) addSeries(slope, fields[moving + q]!, -own * inertia[turning * p + q]!);
    return [field, force, along(slope)];
  }).flat();
}

/** m(x)·f. */
function weighted(f: Series, [middle, more]: Part['mass']): Series {
  if (more === 0) return scaled(f, middle);
  const out = scaled(timesPlace(f), more);
  addSeries(out, f, middle);
  return out;
}

interface MassTask {
  readonly width: number;
  readonly own: number;
  readonly points: readonly number[];
}

/** The mass of all columns (width × width by rows). */
function massOf({ moving, turning, inertia }: Strand, parts: readonly Part[], { width, own, points }: MassTask): Float64Array {
  const M = new Float64Array(width * width);
  parts.forEach(({ h, following, bubbles, first, ends, mass }, s) => {
    const p = following.powers.length;
    // Of the stretch itself: its ends, then its bubbles.
    const columns = [
      ...following.powers.map((powers) => powers.map((c) => fromPowers(c, 0, h))),
      ...bubbles.map(({ fields }) => fields),
    ];
    const count = columns.length;
    const local = new Float64Array(count * count);
    for (let j = 0; j < count; j++) {
      const right = columns[j]!;
      const heavy = right.map((f, k) => (f && k < moving ? weighted(f, mass) : f));
      for (let i = 0; i <= j; i++) {
        const left = columns[i]!;
        let sum = 0;
        for (let k = 0; k < moving; k++) if (left[k] && heavy[k]) sum += product(left[k]!, heavy[k]!);
        for (let k = 0; k < turning; k++)
          for (let l = 0; l < turning; l++) {
            const factor = own * inertia[turning * k + l]!;
            const [f, g] = [left[moving + k], right[moving + l]];
            if (factor !== 0 && f && g) sum += factor * product(f, g);
          }
        local[count * i + j] = local[count * j + i] = (sum * h) / 2;
      }
    }
    // Where the local columns stand: ends by what they follow, bubbles at their own place.
    const half = new Float64Array(count * width);
    for (let i = 0; i < count; i++) {
      for (let r = 0; r < p; r++) {
        const part = local[count * i + r]!;
        if (part !== 0) for (let j = 0; j < width; j++) half[width * i + j]! += part * ends[width * r + j]!;
      }
      for (let b = 0; b < bubbles.length; b++) half[width * i + first + b]! += local[count * i + p + b]!;
    }
    for (let r = 0; r < p; r++)
      for (let i = 0; i < width; i++) {
        const part = ends[width * r + i]!;
        if (part !== 0) for (let j = 0; j < width; j++) M[width * i + j]! += part * half[width * r + j]!;
      }
    for (let b = 0; b < bubbles.length; b++)
      for (let j = 0; j < width; j++) M[width * (first + b) + j]! += half[width * (p + b) + j]!;
    // A mass at the end of the stretch, and at the start of the first.
    const at = (r0: number, point: number): void => {
      if (point === 0) return;
      for (let k = 0; k < moving; k++) {
        const r = r0 + (moving === 1 && p === 2 ? 0 : 2 * k);
        for (let i = 0; i < width; i++)
          for (let j = 0; j < width; j++) M[width * i + j]! += point * ends[width * r + i]! * ends[width * r + j]!;
      }
    };
    if (s === 0) at(0, points[0]!);
    at(p / 2, points[s + 1]!);
  });
  return M;
}

/** With the inner columns chosen anew, so that their stiffness is 1 each: L⁻¹ from the left, L⁻ᵀ from the right. */
function normalised(M: Float64Array, L: Float64Array, p: number, q: number): Float64Array {
  const width = p + q;
  const out = M.slice();
  for (let i = 0; i < q; i++) {
    const row = width * (p + i);
    for (let k = 0; k < i; k++) {
      const part = L[q * i + k]!;
      if (part !== 0) for (let j = 0; j < width; j++) out[row + j]! -= part * out[width * (p + k) + j]!;
    }
    const pivot = L[q * i + i]!;
    for (let j = 0; j < width; j++) out[row + j]! /= pivot;
  }
  for (let j = 0; j < q; j++)
    for (let i = 0; i < width; i++) {
      let sum = out[width * i + p + j]!;
      for (let k = 0; k < j; k++) sum -= L[q * j + k]! * out[width * i + p + k]!;
      out[width * i + p + j] = sum / L[q * j + j]!;
    }
  return out;
}
