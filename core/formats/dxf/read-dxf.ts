import type { Point } from '../../model/point';
import { cross, plus, size, times } from '../../model/point';
import { dividedArc, dividedBulge, PART_OF_ARC } from './arcs';
import { entitiesOf, numberOf, textOf, type Entity } from './groups';
import { dxf as WORDS } from './words';

/** A straight line of a drawing, in its units, on a layer. */
export interface DrawnLine {
  readonly layer: string;
  readonly from: Point;
  readonly to: Point;
}

/** Lines of a drawing. */
export interface Drawing {
  /** Metres in one of its units, where the file says so. */
  readonly unit: number | undefined;
  readonly lines: readonly DrawnLine[];
  /** What is no line, by its kind in the file and its layer: how often it stands there, and the first time in which line of the file. */
  readonly leftOut: readonly { readonly kind: string; readonly layer: string; readonly count: number; readonly line: number }[];
}

/** Letters of a file, lines of a drawing, and blocks within blocks that are followed. */
const LETTERS = 30 * 1024 * 1024;
export const MOST_LINES = 100_000;
const DEPTH = 8;

/** Metres in the units of `$INSUNITS`. */
const UNITS: Readonly<Record<number, number>> = {
  1: 0.0254,
  2: 0.3048,
  4: 1e-3,
  5: 1e-2,
  6: 1,
  7: 1e3,
  10: 0.9144,
  14: 0.1,
};

class TooMany extends Error {}

/**
 * The lines of a drawing: lines, polylines with their bulges, arcs and circles in parts of at most `part` (radians), and what stands in blocks that are
 * inserted. All else is counted, by its kind and layer. Why a file cannot be read, in words.
 */
export function readDxf(text: string, part = PART_OF_ARC): Drawing | string {
  if (text.length > LETTERS) return WORDS.tooLarge(LETTERS);
  if (/^.{0,12}Binary DXF/u.test(text)) return WORDS.binary;
  const { entities, brokenAt } = entitiesOf(text.replace(/^\uFEFF/u, ''));
  if (brokenAt !== undefined) return WORDS.noDxf(WORDS.noCode(brokenAt));
  const { drawn, blocks, unit } = sectionsOf(entities);
  if (!drawn) return WORDS.noDxf(WORDS.noEntities);
  try {
    return { unit, ...new Drawer(blocks, part).all(drawn) };
  } catch (error) {
    if (error instanceof TooMany) return WORDS.tooMany(MOST_LINES);
    throw error;
  }
}

interface Block {
  readonly base: Point;
  readonly entities: readonly Entity[];
}

/** What is drawn, the blocks by their names, and the unit: each from its section. */
function sectionsOf(entities: readonly Entity[]): {
  readonly drawn: readonly Entity[] | undefined;
  readonly blocks: ReadonlyMap<string, Block>;
  readonly unit: number | undefined;
} {
  const blocks = new Map<string, Block>();
  let [drawn, unit, section]: [Entity[] | undefined, number | undefined, string | undefined] = [undefined, undefined, undefined];
  let block: { base: Point; entities: Entity[] } | undefined;
  for (const entity of entities) {
    if (entity.kind === 'SECTION') {
      section = textOf(entity, 2);
      if (section === 'ENTITIES') drawn ??= [];
      const at = entity.groups.findIndex(({ code, value }) => code === 9 && value === '$INSUNITS');
      if (at >= 0) unit = UNITS[Number(entity.groups[at + 1]?.value)];
    } else if (entity.kind === 'ENDSEC') section = undefined;
    else if (section === 'ENTITIES') drawn!.push(entity);
    else if (section === 'BLOCKS' && entity.kind === 'BLOCK') {
      block = { base: pointOf(entity), entities: [] };
      blocks.set(textOf(entity, 2) ?? '', block);
    } else if (section === 'BLOCKS' && entity.kind === 'ENDBLK') block = undefined;
    else block?.entities.push(entity);
  }
  return { drawn, blocks, unit };
}

type Turn = (place: Point) => Point;

/** Collects the lines of entities, and counts what is none. */
class Drawer {
  private readonly lines: DrawnLine[] = [];
  private readonly left = new Map<string, { kind: string; layer: string; count: number; line: number }>();

  constructor(
    private readonly blocks: ReadonlyMap<string, Block>,
    private readonly part: number,
  ) {}

  all(entities: readonly Entity[]): Pick<Drawing, 'lines' | 'leftOut'> {
    this.draw(entities, unturned, undefined, 0);
    return { lines: this.lines, leftOut: [...this.left.values()] };
  }

  private draw(entities: readonly Entity[], placed: Turn, above: string | undefined, depth: number): void {
    for (let i = 0; i < entities.length; i++) {
      const entity = entities[i]!;
      // What stands on layer 0 of a block is on the layer of its insertion.
      const own = textOf(entity, 8) ?? '0';
      const layer = above !== undefined && own === '0' ? above : own;
      if (entity.kind === 'INSERT') {
        this.insert(entity, placed, layer, depth);
        continue;
      }
      // The corners of the older polylines are entities behind it, up to their end.
      const from = i + 1;
      if (entity.kind === 'POLYLINE') while (entities[i + 1]?.kind === 'VERTEX') i++;
      const corners = entities.slice(from, i + 1);
      if (entity.kind === 'POLYLINE' && entities[i + 1]?.kind === 'SEQEND') i++;
      const places = placesOf(entity, corners, this.part);
      if (places && places.length > 0 && places.every((place) => place.every(Number.isFinite)))
        this.add(layer, places.map(placed));
      else this.leave(entity, layer);
    }
  }

  private add(layer: string, places: readonly Point[]): void {
    if (this.lines.length + places.length > MOST_LINES) throw new TooMany();
    for (let i = 1; i < places.length; i++) this.lines.push({ layer, from: places[i - 1]!, to: places[i]! });
  }

  private leave({ kind, line }: Entity, layer: string): void {
    const key = JSON.stringify([kind, layer]);
    const counted = this.left.get(key) ?? { kind, layer, count: 0, line };
    counted.count++;
    this.left.set(key, counted);
  }

  private insert(entity: Entity, placed: Turn, layer: string, depth: number): void {
    const block = this.blocks.get(textOf(entity, 2) ?? '');
    if (!block || depth >= DEPTH) return this.leave(entity, layer);
    for (const place of insertions(entity, block.base)) this.draw(block.entities, (at) => placed(place(at)), layer, depth + 1);
  }
}

const pointOf = (entity: Entity, first = 10): Point => [
  numberOf(entity, first),
  numberOf(entity, first + 10),
  numberOf(entity, first + 20),
];

const CLOSED = 1;
const IN_SPACE = 8;
const MESHES = 16 | 64;
/** A corner that only a curve through others is drawn by. */
const CONTROL = 16;

/** The corners of what is a line, one after the other; nothing of what is none. */
function placesOf(entity: Entity, vertices: readonly Entity[], part: number): readonly Point[] | undefined {
  const turned = extruded(entity);
  const flags = numberOf(entity, 70);
  switch (entity.kind) {
    case 'LINE':
      return [pointOf(entity), pointOf(entity, 11)];
    case 'ARC': {
      const [from, to] = [50, 51].map((code) => (numberOf(entity, code, NaN) * Math.PI) / 180) as [number, number];
      // Arcs go to the left, through less than a whole turn.
      const through = (((to - from) % TURN) + TURN) % TURN || TURN;
      return dividedArc(pointOf(entity), numberOf(entity, 40, NaN), from, through, part).map(turned);
    }
    case 'CIRCLE':
      return dividedArc(pointOf(entity), numberOf(entity, 40, NaN), 0, TURN, part).map(turned);
    case 'LWPOLYLINE':
      return along(flatCorners(entity), { isClosed: (flags & CLOSED) !== 0, part }).map(turned);
    case 'POLYLINE': {
      if ((flags & MESHES) !== 0) return undefined;
      const isInSpace = (flags & IN_SPACE) !== 0;
      const corners = vertices
        .filter((vertex) => (numberOf(vertex, 70) & CONTROL) === 0)
        .map((vertex) => ({ at: pointOf(vertex), bulge: isInSpace ? 0 : numberOf(vertex, 42) }));
      return along(corners, { isClosed: (flags & CLOSED) !== 0, part }).map(isInSpace ? unturned : turned);
    }
    default:
      return undefined;
  }
}

const TURN = 2 * Math.PI;

interface Corner {
  readonly at: Point;
  readonly bulge?: number;
}

/** The corners of a flat polyline: each begins with its x. */
function flatCorners(entity: Entity): Corner[] {
  const elevation = numberOf(entity, 38);
  const corners: { x: number; y: number; bulge: number }[] = [];
  for (const { code, value } of entity.groups) {
    if (code === 10) corners.push({ x: Number(value), y: 0, bulge: 0 });
    else if (code === 20 && corners.length > 0) corners.at(-1)!.y = Number(value);
    else if (code === 42 && corners.length > 0) corners.at(-1)!.bulge = Number(value);
  }
  return corners.map(({ x, y, bulge }) => ({ at: [x, y, elevation], bulge }));
}

/** The places along a polyline; a bulge is the arc to the next corner. */
function along(corners: readonly Corner[], { isClosed, part }: { readonly isClosed: boolean; readonly part: number }): Point[] {
  const all = isClosed && corners.length > 1 ? [...corners, corners[0]!] : corners;
  return all.flatMap(({ at }, i) => {
    const before = all[i - 1];
    if (!before) return [at];
    return before.bulge ? dividedBulge(before.at, at, before.bulge, part).slice(1) : [at];
  });
}

const unturned: Turn = (place) => place;
/** Under this share of its length a direction counts as upright. */
const UPRIGHT = 1 / 64;

/** From a plane that is turned to the drawing's own axes: the direction across it tells how (the “arbitrary axis” of the format). */
function extruded(entity: Entity): Turn {
  const [x, y, z] = [numberOf(entity, 210), numberOf(entity, 220), numberOf(entity, 230, 1)];
  const length = Math.hypot(x, y, z);
  if (length === 0 || (x === 0 && y === 0 && z > 0)) return unturned;
  const normal = times([x, y, z], 1 / length);
  const isUpright = Math.abs(normal[0]) < UPRIGHT && Math.abs(normal[1]) < UPRIGHT;
  const across = cross(isUpright ? [0, 1, 0] : [0, 0, 1], normal);
  const first = times(across, 1 / size(across));
  const second = cross(normal, first);
  return (at) => plus(plus(times(first, at[0]), times(second, at[1])), times(normal, at[2]));
}

/** Copies that one insertion of a block may have. */
const COPIES = 1000;

/** Where a block stands: scaled, turned and moved, once for each column and row. */
function insertions(entity: Entity, base: Point): Turn[] {
  const [sx, sy, sz] = [41, 42, 43].map((code) => numberOf(entity, code, 1)) as [number, number, number];
  const angle = (numberOf(entity, 50) * Math.PI) / 180;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const turned = extruded(entity);
  const at = pointOf(entity);
  const [columns, rows] = [70, 71].map((code) => Math.max(1, Math.floor(numberOf(entity, code, 1)) || 1)) as [number, number];
  if (columns * rows > COPIES) throw new TooMany();
  return Array.from({ length: columns * rows }, (_, i): Turn => {
    const [dx, dy] = [(i % columns) * numberOf(entity, 44), Math.floor(i / columns) * numberOf(entity, 45)];
    return (place) => {
      const u = (place[0] - base[0]) * sx + dx;
      const v = (place[1] - base[1]) * sy + dy;
      return turned([at[0] + c * u - s * v, at[1] + s * u + c * v, at[2] + (place[2] - base[2]) * sz]);
    };
  });
}
