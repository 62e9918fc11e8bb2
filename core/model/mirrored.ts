import { memberEnds, type Member, type Model } from './model';

/** An axis across which a model is the same on both sides, where the middle lies, and each node’s counterpart, by their places. */
export interface Mirror {
  readonly axis: 'x' | 'z';
  readonly at: number;
  readonly nodes: readonly number[];
  /** What is not the same on both sides though the shape is. */
  readonly unlike: 'nothing' | 'sections' | 'joints' | 'supports';
}

/** A part of the size under which two places are one. */
const SAME = 1e-6;

/** The plane about which the nodes and members of a model are symmetric; undefined where there is none upright. Cost: near linear. */
export function mirrorOf(model: Pick<Model, 'nodes' | 'members' | 'supports' | 'space'>): Mirror | undefined {
  for (const axis of model.space === 'plane' ? (['x'] as const) : (['x', 'z'] as const)) {
    const found = mirroredAcross(model, axis);
    if (found) return found;
  }
  return undefined;
}

function mirroredAcross(model: Pick<Model, 'nodes' | 'members' | 'supports'>, axis: 'x' | 'z'): Mirror | undefined {
  const { nodes, members } = model;
  const places = nodes.map(({ x, y, z = 0 }) => ({ x, y, z }));
  let [low, high, size] = [Infinity, -Infinity, 0];
  for (const place of places) {
    low = Math.min(low, place[axis]);
    high = Math.max(high, place[axis]);
    size = Math.max(size, Math.abs(place.x), Math.abs(place.y), Math.abs(place.z));
  }
  if (!(high - low > SAME * size)) return undefined;
  const at = (low + high) / 2;
  const step = SAME * size;
  // A place may lie on the edge of a cell: its neighbours are looked at too.
  const cells = new Map<string, number[]>();
  const keyOf = (x: number, y: number, z: number): string => `${x} ${y} ${z}`;
  const cell = (value: number): number => Math.round(value / (4 * step));
  places.forEach(({ x, y, z }, i) => {
    const key = keyOf(cell(x), cell(y), cell(z));
    const known = cells.get(key);
    if (known) known.push(i);
    else cells.set(key, [i]);
  });
  const nodeAt = (x: number, y: number, z: number): number | undefined => {
    for (const dx of [0, -1, 1])
      for (const dy of [0, -1, 1])
        for (const dz of [0, -1, 1])
          for (const i of cells.get(keyOf(cell(x) + dx, cell(y) + dy, cell(z) + dz)) ?? []) {
            const there = places[i]!;
            if (Math.max(Math.abs(there.x - x), Math.abs(there.y - y), Math.abs(there.z - z)) <= 2 * step) return i;
          }
    return undefined;
  };
  const images: number[] = [];
  for (const { x, y, z } of places) {
    const image = axis === 'x' ? nodeAt(2 * at - x, y, z) : nodeAt(x, y, 2 * at - z);
    if (image === undefined) return undefined;
    images.push(image);
  }
  const index = new Map(nodes.map(({ id }, i) => [id, i]));
  const imageOf = (id: string): string => nodes[images[index.get(id)!]!]!.id;
  const betweenNodes = (a: string, b: string): string => (a < b ? `${a}\n${b}` : `${b}\n${a}`);
  const byEnds = new Map<string, Member>();
  for (const member of members) byEnds.set(betweenNodes(member.start, member.end), member);
  // A hinge there belongs to both sides, whichever member has it.
  const isOnPlane = (id: string): boolean => imageOf(id) === id;
  let unlike: Mirror['unlike'] = 'nothing';
  for (const member of members) {
    const image = byEnds.get(betweenNodes(imageOf(member.start), imageOf(member.end)));
    if (!image) return undefined;
    if (unlike !== 'nothing') continue;
    if (image.section !== member.section || image.material !== member.material) unlike = 'sections';
    else if (
      jointsOf(member, 'as it is', isOnPlane) !==
      jointsOf(image, imageOf(member.start) === image.start ? 'as it is' : 'turned', isOnPlane)
    )
      unlike = 'joints';
  }
  if (unlike === 'nothing' && !areSupportsAlike(model, imageOf, axis)) unlike = 'supports';
  return { axis, at, nodes: images, unlike };
}

function jointsOf(
  { start, end, releases = {}, gaps = {}, behaviour = 'frame' }: Member,
  way: 'as it is' | 'turned',
  isOnPlane: (id: string) => boolean,
): string {
  const own = memberEnds.map((side) => (isOnPlane(side === 'start' ? start : end) ? [] : [releases[side], gaps[side]]));
  const ends = way === 'as it is' ? own : own.reverse();
  const sorted = (one: object = {}): object => Object.entries(one).sort(([a], [b]) => a.localeCompare(b));
  return JSON.stringify([behaviour, ...ends.map((all) => all.map(sorted))]);
}

/**
 * Which freedoms are held on both sides; of supports that are turned nobody is sure. Along the axis one side may hold for both: that only
 * shifts the whole.
 */
function areSupportsAlike({ supports }: Pick<Model, 'supports'>, imageOf: (id: string) => string, axis: Mirror['axis']): boolean {
  const others = (of: object = {}): object => Object.fromEntries(Object.entries(of).filter(([key]) => key !== `u${axis}`));
  const held = ({ node: _, oneWay, gaps, ...rest }: Model['supports'][number]): string =>
    JSON.stringify([
      Object.entries(others(rest))
        .filter(([, value]) => value !== 'free')
        .sort(([a], [b]) => a.localeCompare(b)),
      others(oneWay),
      others(gaps),
    ]);
  const byNode = new Map(supports.map((one) => [one.node, held(one)]));
  return supports.every(({ node }) => byNode.get(imageOf(node)) === byNode.get(node));
}
