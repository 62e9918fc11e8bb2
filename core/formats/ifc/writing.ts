import type { Member, Model } from '../../model/model';
import type { Point } from '../../model/point';
import { Choice, Measure, type Reference, type StepValue } from '../step/values';
import type { Said, StepWriter } from '../step/write-step';
import { toFile } from './axes';
import { guidOf } from './guid';

type Attributes = Readonly<Record<string, Said | undefined>>;

/** A file of IFC while it is written. */
export class Writing {
  /** What has been written of the nodes and members, by their ids. */
  readonly nodes = new Map<string, Reference>();
  readonly members = new Map<string, Reference>();
  private readonly described = new Map<string, Member>();
  /** Of cases and sums. */
  readonly groups = new Map<string, Reference>();
  private readonly points = new Map<string, Reference>();
  private readonly directions = new Map<string, Reference>();

  constructor(
    private readonly out: StepWriter,
    readonly model: Model,
  ) {
    for (const member of model.members) this.described.set(member.id, member);
  }

  /** A member of the model, by its id. */
  member(id: string): Member {
    return this.described.get(id)!;
  }

  readonly add = (type: string, attributes: Attributes): Reference => this.out.add(type, attributes);

  /** What has an identity of its own: the title of the model, kind and id make it. */
  rooted(type: string, name: readonly [kind: string, ...string[]], attributes: Attributes): Reference {
    return this.add(type, { GlobalId: guidOf(this.model.title, ...name), ...attributes });
  }

  /** Something that is related to others, or holds them. */
  related(type: string, name: readonly [kind: string, ...string[]], attributes: Attributes): Reference {
    return this.rooted(type, ['relation', type, ...name], attributes);
  }

  /** A place of ours. */
  point(at: Point): Reference {
    return this.once(this.points, toFile(at), (Coordinates) => this.add('IfcCartesianPoint', { Coordinates }));
  }

  /** A direction of ours. */
  direction(way: Point): Reference {
    return this.once(this.directions, toFile(way), (DirectionRatios) => this.add('IfcDirection', { DirectionRatios }));
  }

  private once(known: Map<string, Reference>, parts: Point, make: (parts: Point) => Reference): Reference {
    const key = parts.join(' ');
    let found = known.get(key);
    if (!found) known.set(key, (found = make(parts)));
    return found;
  }
}

export const choice = (name: string): Choice => new Choice(name);
/** A whole number. */
export const count = (value: number): Measure => new Measure('IfcInteger', value);
export const measure = (kind: string, value: number): Measure => new Measure(kind, value);

/** Held, free, or a spring, as the file says it. */
export const restraintOf = (
  kind: 'IfcLinearStiffnessMeasure' | 'IfcRotationalStiffnessMeasure',
  value: 'fixed' | 'free' | number,
): StepValue => (typeof value === 'number' ? measure(kind, value) : value === 'fixed');
