import { memberAxes } from '../../model/local-axes';
import { isPinEnded } from '../../model/behaviour';
import {
  memberEnds,
  type Behaviour,
  type EndFreedom,
  type EndReleases,
  type Member,
  type Model,
  type Support,
} from '../../model/model';
import { endsOf, placesOf } from '../../model/places';
import { minus, type Point } from '../../model/point';
import { turnOf } from '../../model/support-axes';
import type { Reference } from '../step/values';
import { localOf } from './local';
import { choice, restraintOf, type Writing } from './writing';

/** What the standard calls the ways in which a member acts. */
export const MEMBER_TYPES: Readonly<Record<Behaviour, string>> = {
  frame: 'RIGID_JOINED_MEMBER',
  truss: 'PIN_JOINED_MEMBER',
  tensionOnly: 'TENSION_MEMBER',
  compressionOnly: 'COMPRESSION_MEMBER',
};

/** Nodes with their supports, members with their joints. `context`: of their drawing. */
export function writeStructure(writing: Writing, context: Reference): void {
  const { model } = writing;
  const shown = (kind: 'Vertex' | 'Edge', item: Reference): Reference =>
    writing.add('IfcProductDefinitionShape', {
      Representations: [
        writing.add('IfcTopologyRepresentation', {
          ...{ ContextOfItems: context, RepresentationIdentifier: 'Reference', RepresentationType: kind },
          Items: [item],
        }),
      ],
    });
  const vertexAt = (at: Point): Reference => writing.add('IfcVertexPoint', { VertexGeometry: writing.point(at) });
  const vertices = new Map<string, Reference>();
  const places = placesOf(model);
  const supports = new Map(model.supports.map((one) => [one.node, one]));
  for (const [id, at] of places) {
    const vertex = vertexAt(at);
    vertices.set(id, vertex);
    const support = supports.get(id);
    const node = writing.rooted('IfcStructuralPointConnection', ['node', id], {
      ...{ Name: id, Representation: shown('Vertex', vertex) },
      ...(support && { AppliedCondition: held(writing, support), ConditionCoordinateSystem: turned(writing, support, at) }),
    });
    writing.nodes.set(id, node);
  }
  for (const member of model.members) {
    const [start, end] = endsOf(member, places);
    const at = { start, end };
    const vertex = (which: 'start' | 'end'): Reference =>
      member.offset?.[which] ? vertexAt(at[which]) : vertices.get(member[which])!;
    const ends = { start: vertex('start'), end: vertex('end') };
    const axes = memberAxes(...minus(end, start), member.roll ?? 0);
    const one = writing.rooted('IfcStructuralCurveMember', ['member', member.id], {
      Name: member.id,
      Representation: shown('Edge', writing.add('IfcEdge', { EdgeStart: ends.start, EdgeEnd: ends.end })),
      PredefinedType: choice(MEMBER_TYPES[member.behaviour ?? 'frame']),
      Axis: writing.direction([axes[3]!, axes[4]!, axes[5]!]),
    });
    writing.members.set(member.id, one);
    for (const which of memberEnds) {
      const AppliedCondition = released(writing, member, member.releases?.[which]);
      const eccentric = member.offset?.[which] !== undefined;
      const nodeVertex = vertices.get(member[which])!;
      writing.related(
        eccentric ? 'IfcRelConnectsWithEccentricity' : 'IfcRelConnectsStructuralMember',
        ['joint', member.id, which],
        {
          ...{ RelatingStructuralMember: one, RelatedStructuralConnection: writing.nodes.get(member[which])!, AppliedCondition },
          ...(eccentric && {
            ConnectionConstraint: writing.add('IfcConnectionPointEccentricity', {
              ...{ PointOnRelatingElement: ends[which], PointOnRelatedElement: nodeVertex },
            }),
          }),
        },
      );
    }
  }
}

const LINEAR = 'IfcLinearStiffnessMeasure';
const ROTATIONAL = 'IfcRotationalStiffnessMeasure';

/** What a support holds, along its own axes as the file has them; of a plane structure nothing is said across its plane. */
function held(writing: Writing, support: Support): Reference {
  const isSpace = writing.model.space === 'space';
  const one = (kind: typeof LINEAR | typeof ROTATIONAL, freedom: 'ux' | 'uy' | 'uz' | 'rx' | 'ry' | 'rz') =>
    isSpace || IN_PLANE.has(freedom) ? restraintOf(kind, support[freedom] ?? 'free') : null;
  return writing.add('IfcBoundaryNodeCondition', {
    TranslationalStiffnessX: one(LINEAR, 'ux'),
    TranslationalStiffnessY: one(LINEAR, 'uz'),
    TranslationalStiffnessZ: one(LINEAR, 'uy'),
    RotationalStiffnessX: one(ROTATIONAL, 'rx'),
    RotationalStiffnessY: one(ROTATIONAL, 'rz'),
    RotationalStiffnessZ: one(ROTATIONAL, 'ry'),
  });
}

/** The axes of a support that is turned. */
function turned(writing: Writing, support: Support, at: Point): Reference | undefined {
  const turn = turnOf(support);
  if (!turn) return undefined;
  return writing.add('IfcAxis2Placement3D', {
    Location: writing.point(at),
    Axis: writing.direction([turn[3]!, turn[4]!, turn[5]!]),
    RefDirection: writing.direction([turn[0]!, turn[1]!, turn[2]!]),
  });
}

/** What a joint lets go, along the member's own axes; nothing where it is rigid. What a member does for itself is said as well, for whoever asks the joint. */
function released(writing: Writing, member: Member, ends: EndReleases = {}): Reference | undefined {
  const hinged = isPinEnded(member) ? ({ my: 'free', mz: 'free' } as const) : {};
  const all: EndReleases = { ...ends, ...hinged };
  if (Object.values(all).every((one) => one === 'fixed')) return undefined;
  const { space } = writing.model;
  const said = Object.entries(localOf(space, member).attributes).flatMap(([freedom, attribute]) => {
    if (space === 'plane' && !IN_PLANE.has(freedom)) return [];
    const kind = attribute.startsWith('Rotational') ? ROTATIONAL : LINEAR;
    return [[attribute, restraintOf(kind, all[freedom as EndFreedom] ?? 'fixed')] as const];
  });
  return writing.add('IfcBoundaryNodeCondition', Object.fromEntries(said));
}

/** Freedoms in the plane of a plane model. */
export const IN_PLANE: ReadonlySet<string> = new Set(['ux', 'uy', 'rz', 'mz']);

/** Names for things that belong together. */
export function writeGroups(writing: Writing, { groups = [] }: Model): void {
  for (const { id, nodes = [], members = [] } of groups) {
    const group = writing.rooted('IfcGroup', ['group', id], { Name: id });
    const RelatedObjects = [...nodes.map((one) => writing.nodes.get(one)!), ...members.map((one) => writing.members.get(one)!)];
    if (RelatedObjects.length > 0)
      writing.related('IfcRelAssignsToGroup', ['of group', id], { RelatedObjects, RelatingGroup: group });
  }
}
