import { memberEnds, type Load, type Member, type Model } from '../model/model';
import { memberAxes } from '../model/local-axes';

type Vector = readonly [number, number, number];
/** 3 × 3 by rows; its determinant is 1 for a turn and −1 for a mirror. */
export type Turn = readonly [Vector, Vector, Vector];

export const apply = (R: Turn, [x, y, z]: Vector): Vector =>
  R.map((row) => row[0] * x + row[1] * y + row[2] * z) as unknown as Vector;
/** Couples and rotations turn too, and change their sense in a mirror. */
export const applyToTurning = (R: Turn, v: Vector): Vector => {
  const sense = determinant(R);
  return apply(R, v).map((x) => sense * x) as unknown as Vector;
};
const determinant = ([a, b, c]: Turn): number =>
  a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0]);

/** About Z by one angle, then about X by another. */
export function turnBy(aboutZ: number, aboutX: number): Turn {
  const [c, s] = [Math.cos(aboutZ), Math.sin(aboutZ)];
  const [d, t] = [Math.cos(aboutX), Math.sin(aboutX)];
  return [
    [c, -s, 0],
    [d * s, d * c, -t],
    [t * s, t * c, d],
  ];
}
export const MIRROR: Turn = [
  [-1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

/**
 * The whole model turned (or mirrored) and shifted: nodes, arms, support axes and loads. In space every member gets the roll that
 * keeps its section where it was in the structure, since local axes follow the global Y.
 */
export function moved(model: Model, R: Turn, shift: Vector): Model {
  const turned = <K extends string>(entry: object, keys: readonly [K, K, K], how = apply): object => {
    const values = keys.map((key) => Number((entry as Record<string, number>)[key] ?? 0)) as unknown as Vector;
    const after = how(R, values);
    return { ...entry, ...Object.fromEntries(keys.map((key, i) => [key, after[i]]).filter(([, value]) => value !== 0)) };
  };
  const nodes = new Map(model.nodes.map((node) => [node.id, node]));
  const axesOf = (member: Member): Float64Array => {
    const at = (side: 'start' | 'end', k: number): number => {
      const { x, y, z = 0 } = nodes.get(member[side])!;
      return [x, y, z][k]! + (member.offset?.[side]?.[k] ?? 0);
    };
    const [dx, dy, dz] = [0, 1, 2].map((k) => at('end', k) - at('start', k)) as unknown as Vector;
    return memberAxes(dx, dy, dz, model.space === 'plane' ? 0 : (member.roll ?? 0));
  };
  const rollOf = (member: Member): number => {
    const before = axesOf(member);
    const [x, y] = [0, 3].map((i) => apply(R, before.subarray(i, i + 3) as unknown as Vector)) as [Vector, Vector];
    const after = memberAxes(x[0], x[1], x[2], 0);
    const along = (i: number): number => y.reduce((sum, part, k) => sum + part * after[i + k]!, 0);
    return (Math.atan2(along(6), along(3)) * 180) / Math.PI;
  };
  return {
    ...model,
    nodes: model.nodes.map((node) => {
      const [x, y, z] = apply(R, [node.x, node.y, node.z ?? 0]);
      return { ...node, x: x + shift[0], y: y + shift[1], ...(model.space === 'space' && { z: z + shift[2] }) };
    }),
    members: model.members.map((member) => ({
      ...member,
      ...(model.space === 'space' && { roll: rollOf(member) }),
      ...(member.offset && {
        offset: Object.fromEntries(
          memberEnds.flatMap((end) => (member.offset?.[end] ? [[end, apply(R, member.offset[end] as unknown as Vector)]] : [])),
        ),
      }),
    })),
    supports: model.supports.map((support) => ({
      ...support,
      axes: { x: [...apply(R, [1, 0, 0])], y: [...apply(R, [0, 1, 0])] },
    })),
    loads: model.loads.map((load): Load => {
      if (load.type === 'node') return turned(turned(load, ['fx', 'fy', 'fz']), ['mx', 'my', 'mz'], applyToTurning) as Load;
      if (load.type !== 'line') return load;
      const keys = ['wx', 'wy', 'wz'] as const;
      return { ...load, from: turned(load.from, keys), to: turned(load.to, keys) };
    }),
  };
}
