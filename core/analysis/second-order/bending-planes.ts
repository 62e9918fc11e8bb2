import { BEND_FLEXIBILITY, BEND_WIDTH } from '../../stiffness/bending';
import type { MemberMatrices } from '../../stiffness/member-matrices';
import { BOWS_V, BOWS_W, isPlane, MEMBER_FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../../stiffness/structure';
import type { Chain } from './chain';
import type { Yielding } from './stretch';

const N = MEMBER_FREEDOMS;

/** The freedoms of a bending plane, the sign by which its slope is the rotation, and where its deflection and moment stand among quantities. */
export interface BendingPlane {
  readonly across: 1 | 2;
  readonly turn: number;
  readonly sign: 1 | -1;
  readonly deflection: 'v' | 'w';
  readonly moment: 'Mz' | 'My';
}
const V: BendingPlane = { across: 1, turn: 5, sign: 1, deflection: 'v', moment: 'Mz' };
const W: BendingPlane = { across: 2, turn: 4, sign: -1, deflection: 'w', moment: 'My' };

/** Planes that bend together, and the freedoms of a chain in them: y and θ by plane at the start, then at the end, with their signs. */
export interface Bending {
  readonly planes: readonly BendingPlane[];
  readonly places: readonly number[];
  readonly signs: readonly number[];
  /** Undefined of a string, whose own bow is not known. */
  readonly section: Yielding | undefined;
}

const freedomsOf = (planes: readonly BendingPlane[]): Pick<Bending, 'planes' | 'places' | 'signs'> => ({
  planes,
  places: [0, 6].flatMap((end) => planes.flatMap(({ across, turn }) => [end + across, end + turn])),
  signs: [0, 6].flatMap(() => planes.flatMap(({ sign }) => [1, sign])),
});
const [IN_V, IN_W, IN_BOTH] = [freedomsOf([V]), freedomsOf([W]), freedomsOf([V, W])];

/** In what member m bends: one plane after the other, or both together where its section couples them. */
export function bendingsOf(s: Structure, { bends }: MemberMatrices, m: number): readonly Bending[] {
  const at = BEND_WIDTH * m + BEND_FLEXIBILITY;
  const [vv, vw, ww] = [bends[at]!, bends[at + 1]!, bends[at + 2]!];
  const o = STIFFNESS_WIDTH * m;
  const [shearV, shearW] = [1 / s.stiffnesses[o + 5]!, 1 / s.stiffnesses[o + 6]!];
  const [knowsV, knowsW] = [(s.bows[m]! & BOWS_V) !== 0, (s.bows[m]! & BOWS_W) !== 0];
  if (knowsV && knowsW && vw !== 0)
    return [
      {
        ...IN_BOTH,
        section: { planes: 2, flexibility: Float64Array.of(vv, vw, vw, ww), shear: Float64Array.of(shearV, shearW) },
      },
    ];
  const alone = (flexibility: number, shear: number): Yielding => ({
    planes: 1,
    flexibility: Float64Array.of(flexibility),
    shear: Float64Array.of(shear),
  });
  const inV = { ...IN_V, section: knowsV ? alone(vv, shearV) : undefined };
  return isPlane(s) ? [inV] : [inV, { ...IN_W, section: knowsW ? alone(ww, shearW) : undefined }];
}

/** Puts what holds a chain in place of the first order's bending, and its push among the loads. */
export function writeChain({ forces }: Chain, { places, signs }: Bending, k: Float64Array, loads: number[]): void {
  const count = places.length;
  const width = count + 1;
  for (let i = 0; i < count; i++) {
    const row = places[i]!;
    for (let j = 0; j < count; j++) k[N * row + places[j]!] = signs[i]! * signs[j]! * forces[width * i + j]!;
    loads[row]! -= signs[i]! * forces[width * i + count]!;
  }
}
