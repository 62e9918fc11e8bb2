import { memberAxes } from '../../model/local-axes';
import { isPinEnded } from '../../model/behaviour';
import {
  freedoms,
  type Behaviour,
  type EndReleases,
  type Group,
  type Member,
  type MemberEnd,
  type Model,
  type ModelNode,
  type Restraint,
  type Support,
  type EndFreedom,
  type Freedom,
} from '../../model/model';
import { cross, distance, dot, minus, plus, size, type Point } from '../../model/point';
import { uniqueNames } from '../../model/unique-names';
import { spelled } from '../step/engine';
import { Measure, type StepEntity } from '../step/values';
import { localOf, type Local } from './local';
import { axesOf, directionOf, edgeOf, itemsOf, pointAt } from './read-geometry';
import { idFrom, SectionsReader } from './read-sections';
import type { Reading } from './reading';
import { ifcReading as WORDS } from './words';
import { IN_PLANE, MEMBER_TYPES } from './write-structure';

/** Metres within which two places are one. */
const NEAR = 1e-6;

const BEHAVIOURS = new Map(Object.entries(MEMBER_TYPES).map(([behaviour, type]) => [type, behaviour as Behaviour]));

/** What was found of a structure; `nodes` and `members` by their entities. */
export interface ReadStructure {
  readonly model: Pick<Model, 'nodes' | 'members' | 'supports' | 'sections' | 'materials'> & {
    readonly groups?: readonly Group[];
  };
  readonly nodes: ReadonlyMap<number, string>;
  readonly members: ReadonlyMap<number, ReadMember>;
  /** Axes of a support that is turned, as its entity has them, by node. */
  readonly turned: ReadonlyMap<string, Support>;
}

export interface ReadMember {
  readonly id: string;
  readonly roll: number;
  /** Its ends along the axes of the file, metres. */
  readonly start: Point;
  readonly end: Point;
}

interface Joint {
  readonly relation: StepEntity;
  readonly node: string;
  readonly at: Point;
  /** Where on the member it is, where the file says so. */
  readonly on?: Point | undefined;
  /** Whether it is said by numbers how far it is from the node. */
  readonly isApart: boolean;
}

export function readStructure(reading: Reading, space: Model['space']): ReadStructure {
  const nodes: ModelNode[] = [];
  const supports: Support[] = [];
  const byNode = new Map<number, string>();
  const places = new Map<string, Point>();
  const turned = new Map<string, Support>();
  const nodeName = uniqueNames([]);
  const put = (id: string, at: Point): void => {
    places.set(id, at);
    const [x, y, z] = reading.turned(at);
    nodes.push({ id, x, y, ...((space === 'space' || z !== 0) && { z }) });
  };
  for (const one of reading.all('IfcStructuralPointConnection')) {
    const { items, moved } = itemsOf(reading, one);
    const at = items.length === 1 ? pointAt(reading, items[0]) : undefined;
    if (!at) {
      reading.fault(one, WORDS.noPlace, WORDS.mend);
      continue;
    }
    const id = nodeName(idFrom(reading.text(one, 'Name'), String(nodes.length + 1)));
    byNode.set(one.id, id);
    put(id, plus(at, moved));
    const support = supportOf(reading, one, id, space);
    if (!support) continue;
    supports.push(support);
    if (support.angle !== undefined || support.axes) turned.set(id, support);
  }
  const joints = jointsOf(reading, byNode, places);
  const made = new SectionsReader(reading);
  const associated = associations(reading);
  const members: Member[] = [];
  const byMember = new Map<number, ReadMember>();
  const memberName = uniqueNames([]);
  const taken = new Set<string>();
  const alone = (at: Point): string => {
    const near = [...places].find(([id, place]) => taken.has(id) && distance(place, at) < NEAR)?.[0];
    if (near !== undefined) return near;
    const id = nodeName(String(nodes.length + 1));
    put(id, at);
    taken.add(id);
    return id;
  };
  for (const one of reading.all('IfcStructuralCurveMember', 'IfcStructuralCurveMemberVarying')) {
    const id = memberName(idFrom(reading.text(one, 'Name'), `m${members.length + 1}`));
    if (one.type === 'IFCSTRUCTURALCURVEMEMBERVARYING') reading.fault(one, WORDS.varying, WORDS.divide);
    const { items, moved } = itemsOf(reading, one);
    const edge = items.length === 1 ? edgeOf(reading, items[0]!) : WORDS.noEdge;
    if (typeof edge === 'string') {
      reading.fault(one, edge, WORDS.divide);
      continue;
    }
    const [start, end] = edge.map((point) => plus(point, moved)) as [Point, Point];
    const roll = size(minus(end, start)) > 0 ? rollOf(reading, one, start, end) : 0;
    byMember.set(one.id, { id, start, end, roll });
    const stuff = made.madeOf(one, associated.byMember.get(one.id));
    const type = reading.choice(one, 'PredefinedType') ?? '';
    const behaviour = BEHAVIOURS.get(type);
    if (behaviour === undefined) reading.fault(one, WORDS.memberType(type), WORDS.knownTypes);
    // What is on the member is placed with it.
    const own = (joints.get(one.id) ?? []).map((joint) => (joint.on ? { ...joint, on: plus(joint.on, moved) } : joint));
    const ends = { start: jointAt(reading, one, own, [start, end]), end: jointAt(reading, one, own, [end, start]) };
    checkJoints(reading, one, own, [
      [ends.start, start],
      [ends.end, end],
    ]);
    const [from, to] = [ends.start?.node ?? alone(start), ends.end?.node ?? alone(end)];
    const releases = releasesOf(reading, ends, behaviour, localOf(space, { roll }), space);
    const offset = offsetOf(reading, places, { start: [from, start], end: [to, end] });
    if (stuff)
      members.push({
        ...{ id, start: from, end: to, ...stuff },
        ...(roll !== 0 && { roll }),
        ...(behaviour !== undefined && behaviour !== 'frame' && { behaviour }),
        ...(releases && { releases }),
        ...(offset && { offset }),
      });
  }
  made.unused(associated.used);
  const groups = groupsOf(reading, byNode, byMember);
  return {
    model: { nodes, members, supports, sections: made.sections, materials: made.materials, ...(groups.length > 0 && { groups }) },
    ...{ nodes: byNode, members: byMember, turned },
  };
}

/** What each member is made of, by its entity, and all that something is made of: sets among it are no unused ones. */
function associations(reading: Reading): {
  readonly byMember: ReadonlyMap<number, StepEntity>;
  readonly used: ReadonlySet<number>;
} {
  const byMember = new Map<number, StepEntity>();
  const used = new Set<number>();
  for (const relation of reading.all('IfcRelAssociatesMaterial')) {
    const material = reading.ref(relation, 'RelatingMaterial');
    if (!material) continue;
    for (const id of reading.ids(relation, 'RelatedObjects')) byMember.set(id, material);
    for (const id of [material.id, ...reading.ids(material, 'ForProfileSet')]) used.add(id);
  }
  return { byMember, used };
}

const ECCENTRIC = ['EccentricityInX', 'EccentricityInY', 'EccentricityInZ'];

function jointsOf(
  reading: Reading,
  nodes: ReadonlyMap<number, string>,
  places: ReadonlyMap<string, Point>,
): Map<number, Joint[]> {
  const found = new Map<number, Joint[]>();
  for (const relation of reading.all('IfcRelConnectsStructuralMember', 'IfcRelConnectsWithEccentricity')) {
    const [member] = reading.ids(relation, 'RelatingStructuralMember');
    const [connection] = reading.ids(relation, 'RelatedStructuralConnection');
    const node = nodes.get(connection ?? -1);
    if (member === undefined || node === undefined) continue;
    const constraint = reading.ref(relation, 'ConnectionConstraint');
    const on = constraint && pointAt(reading, reading.ref(constraint, 'PointOnRelatingElement'));
    if (constraint) reading.refs(constraint, 'PointOnRelatedElement');
    const list = found.get(member) ?? [];
    found.set(member, list);
    const isApart = constraint !== undefined && ECCENTRIC.some((name) => (reading.number(constraint, name) ?? 0) !== 0);
    list.push({ relation, node, at: places.get(node)!, on, isApart });
  }
  return found;
}

/** The joint of one end: the one that is there, or else the one of two that is nearer to it and says where it is on the member. */
function jointAt(
  reading: Reading,
  member: StepEntity,
  joints: readonly Joint[],
  [mine, other]: readonly [Point, Point],
): Joint | undefined {
  const fitting = joints.filter(({ relation, at, on }) => {
    const place = on ?? at;
    if (distance(place, mine) < NEAR) return true;
    return relation.type === 'IFCRELCONNECTSWITHECCENTRICITY' && !on && distance(place, mine) < distance(place, other);
  });
  if (fitting.length > 1) reading.fault(member, WORDS.twoJoints, WORDS.mend);
  return fitting[0];
}

type AtEnd = readonly [joint: Joint | undefined, at: Point];

function checkJoints(reading: Reading, member: StepEntity, joints: readonly Joint[], ends: readonly AtEnd[]): void {
  for (const joint of joints)
    if (!ends.some(([used]) => used === joint)) reading.fault(member, WORDS.jointElsewhere(joint.node), WORDS.divide);
  for (const [joint, at] of ends)
    if (joint?.isApart && distance(joint.at, at) < NEAR) reading.fault(member, WORDS.armByNumbers, WORDS.drawArm);
}

/** Rigid arms from nodes to the ends of a member. */
function offsetOf(
  reading: Reading,
  places: ReadonlyMap<string, Point>,
  ends: Readonly<Record<MemberEnd, readonly [node: string, at: Point]>>,
): Member['offset'] | undefined {
  const arm = ([node, at]: readonly [string, Point]): Point | undefined => {
    const way = minus(at, places.get(node)!);
    return size(way) < 1e-9 ? undefined : reading.turned(way);
  };
  const [start, end] = [arm(ends.start), arm(ends.end)];
  return start || end ? { ...(start && { start }), ...(end && { end }) } : undefined;
}

/** Degrees about the member's axis: its own z there is our y. */
function rollOf(reading: Reading, member: StepEntity, start: Point, end: Point): number {
  const axis = directionOf(reading, member, 'Axis');
  const along = reading.turned(minus(end, start));
  if (!axis || size(cross(along, reading.turned(axis))) < 1e-9 * size(along) * size(axis)) {
    reading.fault(member, WORDS.noAxis, WORDS.giveAxis);
    return 0;
  }
  const up = reading.turned(axis);
  const axes = memberAxes(...along, 0);
  const own = (row: number): number => dot(up, [axes[row]!, axes[row + 1]!, axes[row + 2]!]);
  return degreesOf(own(3), own(6));
}

/** The angle of a direction, degrees; what rounding has left of a whole number of them is taken away. */
function degreesOf(along: number, across: number): number {
  const degrees = (Math.atan2(across, along) * 180) / Math.PI;
  const near = Math.round(degrees) + 0;
  return Math.abs(degrees - near) < 1e-9 ? near : degrees;
}

/** A condition of the file as ours: held, free, or a spring; nothing where it says nothing. */
function restraintOf(reading: Reading, condition: StepEntity, name: string): Restraint | undefined {
  const value = condition.attributes[name];
  if (typeof value === 'boolean') return value ? 'fixed' : 'free';
  return value instanceof Measure ? reading.units.inSi(value, condition) : undefined;
}

function conditionOf(reading: Reading, entity: StepEntity): StepEntity | undefined {
  const condition = reading.ref(entity, 'AppliedCondition');
  if (!condition) return undefined;
  if (condition.type === 'IFCBOUNDARYNODECONDITION') return condition;
  if (condition.type === 'IFCBOUNDARYNODECONDITIONWARPING') {
    reading.warn(entity, WORDS.warping);
    return condition;
  }
  reading.fault(entity, WORDS.condition(spelled(condition.type)), WORDS.mend);
  return undefined;
}

function supportOf(reading: Reading, connection: StepEntity, node: string, space: Model['space']): Support | undefined {
  const condition = conditionOf(reading, connection);
  const placement = reading.ref(connection, 'ConditionCoordinateSystem');
  if (!condition) return undefined;
  const axes = placement ? axesOf(reading, placement) : GLOBAL;
  if (!axes) reading.fault(connection, WORDS.noAxis, WORDS.mend);
  const ways = (axes ?? GLOBAL).map(reading.turned);
  // Which of its axes leads out of the plane of a plane model, whatever that is called in the file; else the one that is our z.
  const out = space === 'space' ? 1 : ways.findIndex((way) => Math.abs(way[2]) > 1 - 1e-9);
  if (out < 0) reading.fault(connection, WORDS.tiltedSupport, WORDS.mend);
  const [first, second] = space === 'space' ? [0, 2] : [0, 1, 2].filter((k) => k !== out);
  const order = { x: first ?? 0, y: second ?? 2, z: Math.max(0, out) };
  const held: { -readonly [freedom in Freedom]?: Restraint } = {};
  for (const freedom of freedoms) {
    const letter = 'XYZ'[order[freedom[1] as 'x' | 'y' | 'z']]!;
    const restraint = restraintOf(
      reading,
      condition,
      `${freedom.startsWith('u') ? 'Translational' : 'Rotational'}Stiffness${letter}`,
    );
    if (restraint === undefined || restraint === 'free') continue;
    if (space === 'space' || IN_PLANE.has(freedom)) held[freedom] = restraint;
  }
  if (Object.keys(held).length === 0) return undefined;
  const [x, y] = [ways[order.x]!, ways[order.y]!];
  if (distance(x, [1, 0, 0]) < 1e-12 && Math.abs(y[1]) > 1 - 1e-12) return { node, ...held };
  if (space === 'space') return { node, ...held, axes: { x, y } };
  return { node, ...held, angle: degreesOf(x[0], x[1]) };
}

const GLOBAL: readonly [Point, Point, Point] = [
  [1, 0, 0],
  [0, 1, 0],
  [0, 0, 1],
];

function releasesOf(
  reading: Reading,
  joints: Readonly<Record<MemberEnd, Joint | undefined>>,
  behaviour: Behaviour | undefined,
  local: Local,
  space: Model['space'],
): Member['releases'] | undefined {
  const one = (joint: Joint | undefined): EndReleases | undefined => {
    if (!joint) return undefined;
    const { relation } = joint;
    const condition = conditionOf(reading, relation);
    for (const name of ['AdditionalConditions', 'SupportedLength'])
      if (relation.attributes[name] !== null && relation.attributes[name] !== undefined)
        reading.warn(relation, WORDS.notTaken(name));
    if (!condition) return undefined;
    const all: { -readonly [freedom in EndFreedom]?: Restraint } = {};
    for (const [freedom, name] of Object.entries(local.attributes)) {
      const restraint = restraintOf(reading, condition, name);
      if (restraint === undefined || (space === 'plane' && !IN_PLANE.has(freedom))) continue;
      const isHinged = behaviour !== undefined && isPinEnded({ behaviour }) && (freedom === 'my' || freedom === 'mz');
      // A bar whose joint is said to hold it is one thing or the other.
      if (isHinged && restraint !== 'free') reading.fault(relation, WORDS.heldBar, WORDS.letTurn);
      if (!isHinged && restraint !== 'fixed') all[freedom as EndFreedom] = restraint;
    }
    if (Object.keys(all).length === 0) return undefined;
    if (reading.ref(relation, 'ConditionCoordinateSystem')) reading.fault(relation, WORDS.turnedJoint, WORDS.mend);
    return all;
  };
  const [start, end] = [one(joints.start), one(joints.end)];
  return start || end ? { ...(start && { start }), ...(end && { end }) } : undefined;
}

/** Names for nodes and members that belong together; groups of anything else are none of ours. */
function groupsOf(reading: Reading, nodes: ReadonlyMap<number, string>, members: ReadonlyMap<number, ReadMember>): Group[] {
  const relations = reading.all('IfcRelAssignsToGroup');
  const named = uniqueNames([]);
  return reading.all('IfcGroup').flatMap((group) => {
    const ids = relations
      .filter((one) => reading.ids(one, 'RelatingGroup')[0] === group.id)
      .flatMap((one) => reading.ids(one, 'RelatedObjects'));
    const [ofNodes, ofMembers] = [ids.flatMap((id) => nodes.get(id) ?? []), ids.flatMap((id) => members.get(id)?.id ?? [])];
    if (ofNodes.length + ofMembers.length === 0) return [];
    const id = named(idFrom(reading.text(group, 'Name'), 'Group'));
    return [{ id, ...(ofNodes.length > 0 && { nodes: ofNodes }), ...(ofMembers.length > 0 && { members: ofMembers }) }];
  });
}
