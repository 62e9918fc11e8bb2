import type { Fibres } from '../../sections/fibres';
import type { ShearPoints } from '../../sections/shear-points';
import { derivative, evaluate, isNowherePositive, signChanges } from '../polynomial';
import { Reach, widen } from '../reach';
import { forces, type Following, type PieceSources, type Sources } from './derived';
import { normalStress } from './normal-stress';

/**
 * √(σ² + 3τ²) of von Mises (EN 1993-1-1, 6.2.1(5)), the greatest at the points of the outline where shear is known, and never less than the
 * normal stress at the extreme fibres. Its square is a polynomial of degree six at each point, whose extremes are found, not sampled.
 */
export const equivalentStress: Following = {
  of: forces,
  takesShear: true,
  spreads: false,
  isMagnitude: true,
  at: (here, member) => {
    const { fibres } = member;
    if (!fibres?.shear) return undefined;
    const normal = normalStress.at(here, member)!;
    let most = Math.max(normal.max ** 2, normal.min ** 2);
    for (let i = 0; i < countOf(fibres.shear); i++) most = Math.max(most, squareAt(here, fibres, fibres.shear, i));
    const value = Math.sqrt(most);
    return { max: value, min: value };
  },
  most: (sizes, member) => {
    const { fibres } = member;
    if (!fibres?.shear) return 0;
    const { stresses } = fibres.shear;
    let most = 0;
    for (let i = 0; i < stresses.length; i += 3)
      most = Math.max(
        most,
        Math.abs(stresses[i]!) * sizes.Vy + Math.abs(stresses[i + 1]!) * sizes.Vz + Math.abs(stresses[i + 2]!) * sizes.T,
      );
    return Math.hypot(normalStress.most(sizes, member), Math.sqrt(3) * most);
  },
  widen: (reach, piece, member) => {
    const { fibres } = member;
    if (!fibres?.shear) return;
    along.reset();
    normalStress.widen(along, piece, member);
    const normal = Math.max(along.high, -along.low);
    const { stresses } = fibres.shear;
    const { coefficients: c, Vy, Vz, T, length } = piece;
    let most = 0;
    for (let i = 0; i < stresses.length; i += 3) {
      for (let k = 0; k < 3; k++)
        shear[k] =
          stresses[i]! * (Vy < 0 ? 0 : c[Vy + k]!) +
          stresses[i + 1]! * (Vz < 0 ? 0 : c[Vz + k]!) +
          (k > 0 || T < 0 ? 0 : stresses[i + 2]! * c[T]!);
      across.reset();
      widen(across, shear, 0, 2, length);
      most = Math.max(most, across.high, -across.low);
    }
    reach.raise(Math.hypot(normal, Math.sqrt(3) * most));
  },
  turns: (piece, member) => {
    const { fibres } = member;
    if (!fibres?.shear) return [];
    const places = normalStress.turns(piece, member);
    // A point whose stress stays under what is reached somewhere has no say.
    const known = [0, piece.length / 2, piece.length, ...places].map((s) => equivalentStress.at(forcesAt(piece, s), member)!.max);
    const floor = Math.max(...known) ** 2 * (1 + 1e-12);
    for (let i = 0; i < countOf(fibres.shear); i++) {
      squareAlong(piece, fibres, fibres.shear, i);
      square[0]! -= floor;
      if (!isNowherePositive(square, piece.length)) places.push(...signChanges(derivative(square), piece.length));
    }
    return places;
  },
};

const [along, across] = [new Reach(), new Reach()];
const shear = new Float64Array(3);

const countOf = ({ stresses }: ShearPoints): number => stresses.length / 3;

function squareAt({ N, Vy, Vz, T, My, Mz }: Sources, { A, flexibility }: Fibres, { places, stresses }: ShearPoints, i: number): number {
  const [vv, vw, ww] = flexibility;
  const sigma = N / A - places[2 * i]! * (vv * Mz + vw * My) - places[2 * i + 1]! * (vw * Mz + ww * My);
  const tau = stresses[3 * i]! * Vy + stresses[3 * i + 1]! * Vz + stresses[3 * i + 2]! * T;
  return sigma * sigma + 3 * tau * tau;
} // oxfmt-ignore

const [sigma, tau, square] = [new Float64Array(4), new Float64Array(3), new Float64Array(7)];

/** Writes σ² + 3τ² of one place along a piece into `square`. Written out, since every place of every member is asked. */
function squareAlong(piece: PieceSources, { A, flexibility }: Fibres, { places, stresses }: ShearPoints, i: number): void {
  const [vv, vw, ww] = flexibility;
  const [y, z] = [places[2 * i]!, places[2 * i + 1]!];
  const [perMz, perMy] = [-y * vv - z * vw, -y * vw - z * ww];
  const { N, Vy, Vz, T, My, Mz } = piece;
  for (let k = 0; k < 4; k++) sigma[k] = (N[k] ?? 0) / A + perMz * (Mz[k] ?? 0) + perMy * (My[k] ?? 0);
  for (let k = 0; k < 3; k++)
    tau[k] = stresses[3 * i]! * (Vy[k] ?? 0) + stresses[3 * i + 1]! * (Vz[k] ?? 0) + stresses[3 * i + 2]! * (T[k] ?? 0);
  square.fill(0);
  for (let a = 0; a < 4; a++) for (let b = 0; b < 4; b++) square[a + b]! += sigma[a]! * sigma[b]!;
  for (let a = 0; a < 3; a++) for (let b = 0; b < 3; b++) square[a + b]! += 3 * tau[a]! * tau[b]!;
}

function forcesAt(piece: PieceSources, s: number): Sources {
  const at = (c: Float64Array): number => evaluate(c, 0, c.length - 1, s);
  const { N, Vy, Vz, T, My, Mz } = piece;
  return { N: at(N), Vy: at(Vy), Vz: at(Vz), T: at(T), My: at(My), Mz: at(Mz), u: 0, v: 0, w: 0 };
}
