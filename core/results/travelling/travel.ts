import { solvedCasesOf, travellingIn } from '../../model/loads/expand';
import { trainOfLoad } from '../../model/loads/train-load';
import { UNIT_PLACES } from '../../model/loads/travelling';
import type { Model } from '../../model/model';
import type { Point } from '../../model/point';
import type { Axles } from '../../model/train';
import type { Structure } from '../../stiffness/structure';
import { DOWN, pathAcross, pathOver, type Path } from './path';

/** A train that travels, as a solution has it: its way, and which responses tell what a force of 1 N on it brings about. */
export interface Travel {
  /** The load that it is in the model. */
  readonly load: string;
  readonly path: Path;
  readonly axles: Axles;
  /** By stretch of the path the responses to 1 N at each of `UNIT_PLACES` of its member, or at both nodes of a deck; none on a joint. */
  readonly units: readonly (readonly number[])[];
}

/** The trains of a sound model that travel, in the order in which outcomes name them. */
export function travelsOf(model: Model, structure: Structure): readonly Travel[] {
  const { trains } = travellingIn(model);
  if (trains.length === 0) return [];
  const places = new Map(solvedCasesOf(model).map(({ id }, i) => [id, i]));
  return trains.map(({ load, units }): Travel => {
    const { id, members, nodes = [], towards } = load;
    const size = towards ? Math.hypot(...towards) : 1;
    const direction = towards ? (towards.map((part) => part / size) as unknown as Point) : DOWN;
    const path = members ? pathOver(model, structure, members, direction) : pathAcross(model, nodes, direction);
    if (!('spans' in path)) throw new Error('a way that does not hold together passed the check');
    return {
      load: id,
      path,
      axles: trainOfLoad(load),
      units: path.spans.map((span) => {
        if (span.kind === 'joint') return [];
        const { names } = structure;
        const on = span.kind === 'member' ? [names.members[span.member]!] : span.nodes.map((node) => names.nodes[node]!);
        return on.flatMap((name) => units.get(name)!.map((one) => places.get(one)!));
      }),
    };
  });
}

/** Coefficients of a cubic on [0, 1] of its values at some places: the inverse of Vandermonde's matrix, by Lagrange's polynomials. */
function cubicFrom(places: readonly number[]): readonly (readonly number[])[] {
  const basis = places.map((at, i) => {
    let c = [1];
    places.forEach((other, j) => {
      if (j === i) return;
      const next = new Array<number>(c.length + 1).fill(0);
      c.forEach((value, k) => {
        next[k]! -= (value * other) / (at - other);
        next[k + 1]! += value / (at - other);
      });
      c = next;
    });
    return c;
  });
  return places.map((_, k) => basis.map((c) => c[k]!));
}

/** By the way in which a member lies in the path: row k gives coefficient k of the values at `UNIT_PLACES`. */
const FITS = {
  along: cubicFrom(UNIT_PLACES),
  against: cubicFrom(UNIT_PLACES.map((at) => 1 - at)),
} as const;

/** The cubic along a stretch of the path, from its beginning, that has these values with 1 N at each of `UNIT_PLACES`. */
export function fitted(values: readonly number[], way: 'along' | 'against', length: number): Float64Array {
  const c = new Float64Array(4);
  let scale = 1;
  for (let k = 0; k < 4; k++) {
    const row = FITS[way][k]!;
    c[k] = (row[0]! * values[0]! + row[1]! * values[1]! + row[2]! * values[2]! + row[3]! * values[3]!) / scale;
    scale *= length;
  }
  return c;
}
