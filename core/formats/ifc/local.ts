import { cosineAndSine } from '../../model/local-axes';
import type { EndFreedom, Member, Model } from '../../model/model';
import type { Point } from '../../model/point';
import { fromFile, toFile } from './axes';

/** How what is said along a member's own axes stands in the file, whose member is turned about its axis as its section is. */
export interface Local {
  readonly toFile: (vector: Point) => Point;
  readonly fromFile: (vector: Point) => Point;
  /** What holds a freedom of its end there. */
  readonly attributes: Readonly<Record<EndFreedom, string>>;
}

const UPRIGHT = {
  ux: 'TranslationalStiffnessX',
  uy: 'TranslationalStiffnessZ',
  uz: 'TranslationalStiffnessY',
  rx: 'RotationalStiffnessX',
  my: 'RotationalStiffnessZ',
  mz: 'RotationalStiffnessY',
} as const;
const ON_ITS_SIDE = { ...UPRIGHT, uy: UPRIGHT.uz, uz: UPRIGHT.uy, my: UPRIGHT.mz, mz: UPRIGHT.my } as const;

const inSpace: Local = { toFile, fromFile, attributes: UPRIGHT };

/** In a plane model our axes stay in the plane where a section is laid on its side; in the file they turn with it. */
export function localOf(space: Model['space'], { roll = 0 }: Pick<Member, 'roll'>): Local {
  if (space === 'space' || roll === 0) return inSpace;
  const [c, s] = cosineAndSine(roll);
  return {
    toFile: ([x, y, z]) => toFile([x, c * y + s * z, c * z - s * y]),
    fromFile: (vector) => {
      const [x, y, z] = fromFile(vector);
      return [x, c * y - s * z + 0, s * y + c * z + 0];
    },
    attributes: c === 0 ? ON_ITS_SIDE : UPRIGHT,
  };
}
