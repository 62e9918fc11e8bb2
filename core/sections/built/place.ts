import type { Corner } from '../../shapes/kind';

/** Where a part of a section stands: mirrored left to right first, then turned anticlockwise (degrees), then moved. Metres. */
export interface Placement {
  readonly at?: readonly [z: number, y: number];
  readonly angle?: number;
  readonly mirrored?: true;
}

/** A closed line moved to where its part stands; mirrored, it runs the other way round, and is turned round again. */
export function placed(corners: readonly Corner[], { at: [dz, dy] = [0, 0], angle = 0, mirrored }: Placement): Corner[] {
  const [cos, sin] = [Math.cos((angle * Math.PI) / 180), Math.sin((angle * Math.PI) / 180)];
  const moved = corners.map(({ z, y, ...rest }) => {
    const across = mirrored ? -z : z;
    return { z: dz + across * cos - y * sin, y: dy + across * sin + y * cos, ...rest };
  });
  return mirrored ? moved.reverse() : moved;
}
