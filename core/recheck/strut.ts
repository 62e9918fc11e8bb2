import { isPinEnded } from '../model/behaviour';
import { STANDARD_GRAVITY, type Member, type Model } from '../model/model';
import { add, cross, dot, localAxes, minus, size, type Axes, type Vector } from './vectors';

/** Forces and displacements of a member at one place. */
export type Along = Readonly<Record<'N' | 'Vy' | 'Vz' | 'T' | 'My' | 'Mz' | 'u' | 'v' | 'w', number>>;

/** Gauss–Legendre on [0, 1], exact to degree 9. */
const POINTS = [0.04691007703066802, 0.23076534494715845, 0.5, 0.7692346550528415, 0.953089922969332];
const WEIGHTS = [0.11846344252809454, 0.23931433524968324, 0.28444444444444444, 0.23931433524968324, 0.11846344252809454];

/** Which loads of a member count: none, those before a place, or all, also what stands right at its end. */
type Loads = 'none' | 'before' | 'all';

/** A member with its loads in local axes; what it does follows from the forces at its start alone. */
export class Strut {
  readonly R: Axes;
  readonly L: number;
  readonly endOffsets: readonly Vector[];
  /** Places where a load begins, ends or stands. */
  private readonly cuts: number[];
  private readonly lines: { a: number; b: number; from: Vector; to: Vector }[] = [];
  private readonly points: { at: number; force: Vector; couple: Vector }[] = [];
  private readonly imposed = { axial: 0, v: 0, w: 0 };
  private readonly flexible: { EA: number; GJ: number; vv: number; vw: number; ww: number; shearV: number; shearW: number };

  constructor(
    private readonly model: Model,
    readonly member: Member,
  ) {
    const ends = (['start', 'end'] as const).map((side) => {
      const { x, y, z = 0 } = model.nodes.find(({ id }) => id === member[side])!;
      const [a = 0, b = 0, c = 0] = member.offset?.[side] ?? [];
      return { place: [x + a, y + b, z + c] as Vector, arm: [a, b, c] as Vector };
    });
    const along = minus(ends[1]!.place, ends[0]!.place);
    this.endOffsets = ends.map(({ arm }) => arm);
    this.L = size(along);
    this.R = localAxes(along, model.space === 'plane' ? 0 : (member.roll ?? 0));
    this.flexible = this.flexibility();
    this.takeLoads();
    this.cuts = [0, this.L, ...this.lines.flatMap(({ a, b }) => [a, b]), ...this.points.map(({ at }) => at)];
  }

  private flexibility(): Strut['flexible'] {
    const { model, member } = this;
    const { A = 0, Iz = 1, Iy = 1, Iyz = 0, J = 1, Ay, Az } = model.sections.find(({ id }) => id === member.section)!;
    const { E, G = Infinity } = model.materials.find(({ id }) => id === member.material)!;
    const sheared = model.analysis?.shearDeformation;
    const shear = (area: number | undefined): number => (sheared && area ? 1 / (G * area) : 0);
    const plane = model.space === 'plane';
    const det = plane ? E * Iz : E * (Iz * Iy - Iyz * Iyz);
    const [vv, vw, ww] = plane ? [1 / det, 0, 0] : [Iy / det, -Iyz / det, Iz / det];
    return { EA: E * A, GJ: this.twists ? G * J : Infinity, vv, vw, ww, shearV: shear(Ay), shearW: shear(Az) };
  }

  /** Whether it takes a torque. */
  get twists(): boolean {
    return !isPinEnded(this.member) && this.model.space === 'space';
  }

  private toLocal(global: Vector, axes: 'global' | 'local' | 'projected' = 'global'): Vector {
    if (axes === 'local') return global;
    const [X] = this.R;
    const part = (i: 0 | 1 | 2): number => global[i] * (axes === 'projected' ? Math.sqrt(1 - X[i] ** 2) : 1);
    const shown: Vector = [part(0), part(1), part(2)];
    return [dot(this.R[0], shown), dot(this.R[1], shown), dot(this.R[2], shown)];
  }

  private takeLoads(): void {
    const { model, member, L } = this;
    const { A = 0 } = model.sections.find(({ id }) => id === member.section)!;
    const { alpha = 0, density = 0 } = model.materials.find(({ id }) => id === member.material)!;
    const { selfWeight = 0 } = model.cases[0]!;
    // A member that keeps its length has an infinite area here.
    const weight = selfWeight === 0 ? 0 : density * A * (model.gravity ?? STANDARD_GRAVITY) * selfWeight;
    const down = this.toLocal([0, -weight, 0]);
    this.lines.push({ a: 0, b: L, from: down, to: down });
    for (const load of model.loads) {
      if (!('member' in load) || load.member !== member.id) continue;
      if (load.type === 'thermal') {
        this.imposed.axial += alpha * (load.uniform ?? 0);
        this.imposed.v -= alpha * (load.gradientY ?? 0);
        this.imposed.w -= alpha * (load.gradientZ ?? 0);
      } else if (load.type === 'strain') {
        // What a joint gives is none of the member's.
        if (!load.joint) this.imposed.axial += load.elongation / L;
      } else {
        const scale = load.measure === 'length' ? 1 : L;
        if (load.type === 'line') {
          const of = ({ wx = 0, wy = 0, wz = 0 }): Vector => this.toLocal([wx, wy, wz], load.axes);
          const [a, b] = [(load.from.at ?? 0) * scale, load.to.at === undefined ? L : load.to.at * scale];
          this.lines.push({ a, b, from: of(load.from), to: of(load.to) });
        } else {
          const { fx = 0, fy = 0, fz = 0, mx = 0, my = 0, mz = 0 } = load;
          const [force, couple] = [this.toLocal([fx, fy, fz], load.axes), this.toLocal([mx, my, mz], load.axes)];
          this.points.push({ at: load.at * scale, force, couple });
        }
      }
    }
  }

  /** Values are those just behind a jump; at the end those before it, unless what stands there counts. */
  private hasPassed(at: number, x: number, loads: Loads): boolean {
    const slack = 1e-9 * this.L;
    return at < x + slack && (loads === 'all' || x < this.L - slack || at < this.L - slack);
  }

  /** What acts between the start and x: force and couple about the place x, local; the forces on the start are given (6). */
  private resultant(start: readonly number[], x: number, loads: Loads): { force: Vector; couple: Vector } {
    let force: Vector = [start[0]!, start[1]!, start[2]!];
    let couple = add([start[3]!, start[4]!, start[5]!], cross([-x, 0, 0], force));
    const put = (at: number, f: Vector, m: Vector): void => {
      force = add(force, f);
      couple = add(couple, add(m, cross([at - x, 0, 0], f)));
    };
    if (loads === 'none') return { force, couple };
    for (const { at, force: f, couple: m } of this.points) if (this.hasPassed(at, x, loads)) put(at, f, m);
    for (const { a, b, from, to } of this.lines) {
      const until = Math.min(b, x);
      if (until <= a) continue;
      POINTS.forEach((point, g) => {
        const at = a + point * (until - a);
        const share = (at - a) / (b - a);
        const w = WEIGHTS[g]! * (until - a);
        put(at, [0, 1, 2].map((i) => w * (from[i]! + share * (to[i]! - from[i]!))) as unknown as Vector, [0, 0, 0]);
      });
    }
    return { force, couple };
  }

  /** Forces and displacements at x from forces (6) and displacements (6) of the start, local; without loads they are linear in both. */
  at(start: readonly number[], d: readonly number[], x: number, loads: Loads = 'before'): Along & { readonly turns: Vector } {
    const inside = (at: number): Omit<Along, 'u' | 'v' | 'w'> => {
      const { force, couple } = this.resultant(start, at, loads);
      return { N: 0 - force[0], Vy: force[1], Vz: force[2], T: 0 - couple[0], My: couple[1], Mz: 0 - couple[2] };
    };
    const { EA, GJ, vv, vw, ww, shearV, shearW } = this.flexible;
    const imposed = loads === 'none' ? { axial: 0, v: 0, w: 0 } : this.imposed;
    let [u, v, w] = [d[0]!, d[1]! + d[5]! * x, d[2]! - d[4]! * x];
    let [rx, rz, tilt] = [d[3]!, d[5]!, 0 - d[4]!];
    const cuts = [...new Set(this.cuts.filter((cut) => cut < x)), x].sort((a, b) => a - b);
    for (let k = 1; k < cuts.length; k++)
      POINTS.forEach((point, g) => {
        const at = cuts[k - 1]! + point * (cuts[k]! - cuts[k - 1]!);
        const h = WEIGHTS[g]! * (cuts[k]! - cuts[k - 1]!);
        const { N, Vy, Vz, T, My, Mz } = inside(at);
        const [bendV, bendW] = [vv * Mz + vw * My + imposed.v, vw * Mz + ww * My + imposed.w];
        u += h * (N / EA + imposed.axial);
        rx += (h * T) / GJ;
        rz += h * bendV;
        tilt += h * bendW;
        v += h * ((x - at) * bendV - shearV * Vy);
        w += h * ((x - at) * bendW - shearW * Vz);
      });
    return { ...inside(x), u, v, w, turns: [rx, 0 - tilt, rz] };
  }
}
