import { minus, plus, size, type Point } from '../../model/point';
import type { StepEntity } from '../step/values';
import type { Reading } from './reading';
import { ifcReading as WORDS } from './words';

/** A point of the file, in metres. */
export function pointAt(reading: Reading, vertex: StepEntity | undefined): Point | undefined {
  const point = vertex?.type === 'IFCVERTEXPOINT' ? reading.ref(vertex, 'VertexGeometry') : vertex;
  if (point?.type !== 'IFCCARTESIANPOINT') return undefined;
  const [x, y, z = 0] = reading.numbers(point, 'Coordinates');
  return x === undefined || y === undefined ? undefined : [x, y, z];
}

/** A direction as it stands there, of any length. */
export function directionOf(reading: Reading, entity: StepEntity, name: string): Point | undefined {
  const direction = reading.ref(entity, name);
  if (!direction) return undefined;
  const [x, y, z = 0] = reading.numbers(direction, 'DirectionRatios');
  return x === undefined || y === undefined || size([x, y, z]) === 0 ? undefined : [x, y, z];
}

/** The topological items of what is placed, moved to where its placement puts it. */
export function itemsOf(reading: Reading, product: StepEntity): { readonly items: readonly StepEntity[]; readonly moved: Point } {
  const shape = reading.ref(product, 'Representation');
  const all = shape ? reading.refs(shape, 'Representations') : [];
  const topology = all.filter(({ type }) => type === 'IFCTOPOLOGYREPRESENTATION');
  return {
    items: topology.flatMap((one) => reading.refs(one, 'Items')),
    moved: movedBy(reading, reading.ref(product, 'ObjectPlacement'), 0),
  };
}

/** How far a placement moves what it places; one that turns it is a fault. */
function movedBy(reading: Reading, placement: StepEntity | undefined, depth: number): Point {
  if (!placement || depth > 50) return [0, 0, 0];
  const relative = reading.ref(placement, 'RelativePlacement');
  if (placement.type !== 'IFCLOCALPLACEMENT' || !relative) {
    reading.fault(placement, WORDS.placement, WORDS.mend);
    return [0, 0, 0];
  }
  const axis = directionOf(reading, relative, 'Axis') ?? [0, 0, 1];
  const way = directionOf(reading, relative, 'RefDirection') ?? [1, 0, 0];
  if (
    Math.hypot(axis[0], axis[1]) > 1e-9 * size(axis) ||
    axis[2] < 0 ||
    Math.hypot(way[1], way[2]) > 1e-9 * size(way) ||
    way[0] < 0
  )
    reading.fault(placement, WORDS.turnedPlacement, WORDS.mend);
  const own = pointAt(reading, reading.ref(relative, 'Location')) ?? [0, 0, 0];
  return plus(own, movedBy(reading, reading.ref(placement, 'PlacementRelTo'), depth + 1));
}

/** Both ends of a straight edge; why it is none. */
export function edgeOf(reading: Reading, item: StepEntity): readonly [Point, Point] | string {
  if (item.type === 'IFCORIENTEDEDGE') {
    const inner = reading.ref(item, 'EdgeElement');
    const ends = inner ? edgeOf(reading, inner) : WORDS.noEdge;
    return typeof ends === 'string' || item.attributes['Orientation'] !== false ? ends : [ends[1], ends[0]];
  }
  if (item.type !== 'IFCEDGE' && item.type !== 'IFCEDGECURVE') return WORDS.noEdge;
  const [start, end] = [pointAt(reading, reading.ref(item, 'EdgeStart')), pointAt(reading, reading.ref(item, 'EdgeEnd'))];
  if (!start || !end) return WORDS.noEnds;
  if (item.type === 'IFCEDGECURVE') {
    const curve = reading.ref(item, 'EdgeGeometry');
    const isLine = curve?.type === 'IFCLINE' || (curve?.type === 'IFCPOLYLINE' && reading.ids(curve, 'Points').length === 2);
    if (!isLine) return WORDS.curved;
  }
  return [start, end];
}

/** The axes of a placement, x, y and z as unit vectors along the axes of the file. */
export function axesOf(reading: Reading, placement: StepEntity): readonly [Point, Point, Point] | undefined {
  const unit = (v: Point): Point => [v[0] / size(v), v[1] / size(v), v[2] / size(v)];
  const z = unit(directionOf(reading, placement, 'Axis') ?? [0, 0, 1]);
  const way = directionOf(reading, placement, 'RefDirection') ?? [1, 0, 0];
  const along = way[0] * z[0] + way[1] * z[1] + way[2] * z[2];
  const rest = minus(way, [along * z[0], along * z[1], along * z[2]]);
  if (!(size(rest) > 1e-9 * size(way))) return undefined;
  const x = unit(rest);
  return [x, [z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]], z];
}
