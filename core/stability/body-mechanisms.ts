import { MATRIX_WIDTH, type MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, isPlane, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { toOwnAxes } from '../stiffness/transformation';
import { globalMotion, namedFreedoms, type Drivers, type Found, type Pattern } from './mechanism';
import { separated } from './null-space';
import { findPanel } from './panel';
import { isAtRest, ownEnds } from './own-ends';
import { partsOf, rigidAt, unresistedMotions, type Part, type RigidMotion } from './rigid-motions';
import { about, along, axisOf, caseWords, driven, memberWords, nodeWords } from './words';

/** What the search for motions of several nodes looks at. */
export interface Scene {
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  readonly members: readonly (readonly number[])[];
  readonly drivers: Drivers;
  /** 6n: 1 where the freedom is an unknown of the system. */
  readonly free: Uint8Array;
}

/**
 * Motions of several nodes, from a basis of the null space (6n each, nodes' axes): first those that move a whole part of the
 * structure as one body, then the rest, separated from each other. `complete`: the basis spans the whole null space.
 */
export function bodyMechanisms(scene: Scene, basis: readonly Float64Array[], complete: boolean): Found[] {
  if (basis.length === 0) return [];
  const parts = partsOf(scene.structure);
  const stiffened = stiffenedFreedoms(scene.structure, scene.matrices);
  const rigid = parts.flatMap((part) => unresistedMotions(scene.structure, part, stiffened));
  const rigidVectors = rigid.map((motion) => rigidVector(scene, motion));
  const others = separated(rigidVectors, basis, complete);
  return [
    ...rigid.map((motion, i) => rigidMechanism(scene, motion, rigidVectors[i]!, parts)),
    ...others.map((vector) => looseMechanism(scene, vector)),
  ];
}

/** 6n: 1 where a member is stiff against the freedom. */
function stiffenedFreedoms(s: Structure, { nodal }: MemberMatrices): Uint8Array {
  const stiffened = new Uint8Array(FREEDOMS * nodeCount(s));
  for (let m = 0; m < memberCount(s); m++)
    for (let i = 0; i < MEMBER_FREEDOMS; i++)
      if (nodal[MATRIX_WIDTH * m + i * (MEMBER_FREEDOMS + 1)]! > 0)
        stiffened[FREEDOMS * s.memberNodes[2 * m + (i < FREEDOMS ? 0 : 1)]! + (i % FREEDOMS)] = 1;
  return stiffened;
}

function rigidVector({ structure: s, free }: Scene, motion: RigidMotion): Float64Array {
  const vector = new Float64Array(FREEDOMS * nodeCount(s));
  for (const i of motion.part.nodes) vector.set(rigidAt(s, motion, i), FREEDOMS * i);
  toOwnAxes(s, vector);
  return vector.map((x, f) => (free[f] ? x : 0));
}

/** The members whose axis moves. In a motion that costs no energy an axis is at rest exactly when its two ends are. */
function movedMembers(scene: Scene, own: Float64Array): number[] {
  const { structure: s } = scene;
  const largest = own.reduce((max, x) => Math.max(max, Math.abs(x)), 0);
  const moved: number[] = [];
  for (let m = 0; m < memberCount(s); m++) {
    if (isAtRest(own, s.memberNodes[2 * m]!) && isAtRest(own, s.memberNodes[2 * m + 1]!)) continue;
    const d = ownEnds(s, scene.matrices, m, own);
    if ([0, 1, 2, 6, 7, 8].some((i) => Math.abs(d[i]!) > 1e-7 * largest)) moved.push(m);
  }
  return moved;
}

interface Words {
  readonly description: string;
  readonly cause: string;
  readonly pattern: Pattern;
}

function finish(scene: Scene, own: Float64Array, describe: (amounts: Float64Array, moved: number[]) => Words): Found {
  const { structure: s } = scene;
  const amounts = globalMotion(s, own);
  const freedoms = Array.from(own, (_, f) => f).filter((f) => own[f] !== 0);
  const cases = scene.drivers.of(
    freedoms,
    freedoms.map((f) => own[f]!),
  );
  const moved = movedMembers(scene, own);
  const harmless = moved.length === 0 && cases.length === 0;
  const { description, cause, pattern } = describe(amounts, moved);
  const ending = moved.length === 0 ? driven(cases) : cases.length > 0 ? ` ${caseWords(cases)} it.` : '';
  const touched = moved.length > 0 ? moved : turningMembers(s, amounts);
  return {
    mechanism: {
      harmless,
      description: `${description}: ${cause}.${ending}`,
      cause,
      freedoms: namedFreedoms(s, amounts),
      members: touched.map((m) => s.names.members[m]!),
      cases,
      remedies: [],
    },
    motion: { amounts, pattern },
  };
}

function turningMembers(s: Structure, amounts: Float64Array): number[] {
  return s.names.members.flatMap((_, m) =>
    isAtRest(amounts, s.memberNodes[2 * m]!) || isAtRest(amounts, s.memberNodes[2 * m + 1]!) ? [] : [m],
  );
}

function chainWords(s: Structure, amounts: Float64Array, moved: readonly number[]): Words | undefined {
  if (moved.length > 0) return undefined;
  const nodes = s.names.nodes.flatMap((_, i) => (isAtRest(amounts, i) ? [] : [i]));
  const names = nodes.map((i) => s.names.nodes[i]!);
  const axis = Array.from(amounts.subarray(FREEDOMS * nodes[0]! + 3, FREEDOMS * nodes[0]! + 6));
  const members = turningMembers(s, amounts).map((m) => s.names.members[m]!);
  const what = members.length === 1 ? `Member ${members[0]}` : `The chain ${names[0]}–${names.at(-1)} (${memberWords(members)})`;
  return {
    description: `${what} can turn about its own axis`,
    cause: 'nothing holds it in torsion',
    pattern: { kind: 'chain', nodes, axis },
  };
}

function rigidMechanism(scene: Scene, motion: RigidMotion, own: Float64Array, parts: readonly Part[]): Found {
  const { structure: s } = scene;
  const { part, translation, rotation } = motion;
  return finish(scene, own, (amounts, moved) => {
    const chain = chainWords(s, amounts, moved);
    if (chain) return chain;
    const nodes = part.nodes;
    const names = nodeWords(nodes.map((i) => s.names.nodes[i]!));
    const held = nodes.some((i) => s.active.some((k) => s.restraints[FREEDOMS * i + k]! > 0));
    const what = parts.length === 1 ? `The whole structure, ${names},` : `The part with ${names}`;
    const apart = 'this part is connected to nothing that is supported';
    if (rotation.every((x) => x === 0)) {
      return {
        description: `${what} can slide ${along(translation)}`,
        cause: held ? `no support resists in this direction${parallel(s, part)}` : apart,
        pattern: { kind: 'slide', nodes, direction: translation },
      };
    }
    const size = rotation.reduce((sum, x) => sum + x * x, 0);
    const [a, b, c] = rotation as [number, number, number];
    const [u, v, w] = translation as [number, number, number];
    // The point of the axis nearest to the part's middle: (ω × t)/ω².
    const point = [(b * w - c * v) / size, (c * u - a * w) / size, (a * v - b * u) / size].map((x, k) => x + part.middle[k]!);
    const pitch = (a * u + b * v + c * w) / size;
    const screw = Math.abs(pitch) > 1e-6 * part.reach ? ' while it slides along it' : '';
    const meeting = isPlane(s)
      ? 'the reactions of all supports pass through one point'
      : 'the reactions of all supports meet this axis or are parallel to it';
    return {
      description: `${what} can turn ${about(s, point, rotation)}${screw}`,
      cause: held ? meeting : apart,
      pattern: { kind: 'turn', nodes, axis: rotation, point },
    };
  });
}

/** In a plane, supports that let the whole slide all react the same way. */
function parallel(s: Structure, { nodes }: Part): string {
  const reacting = nodes.filter((i) => [0, 1].some((k) => s.restraints[FREEDOMS * i + k]! > 0));
  return isPlane(s) && reacting.length > 1 ? ' (all reactions are parallel)' : '';
}

function looseMechanism(scene: Scene, own: Float64Array): Found {
  const { structure: s } = scene;
  return finish(scene, own, (amounts, moved) => {
    const chain = chainWords(s, amounts, moved);
    if (chain) return chain;
    const travel = (i: number): number => Math.hypot(...amounts.subarray(FREEDOMS * i, FREEDOMS * i + 3));
    const moving = s.names.nodes.flatMap((_, i) => (travel(i) > 1e-7 ? [i] : []));
    const [cause, pattern] = causeOf(scene, amounts, moving);
    if (moving.length === 0) {
      return {
        description: `${memberWords(moved.map((m) => s.names.members[m]!))} can turn between the nodes`.replace(/^m/, 'M'),
        cause,
        pattern,
      };
    }
    const byTravel = [...moving].sort((p, q) => travel(q) - travel(p));
    const names = nodeWords(byTravel.map((i) => s.names.nodes[i]!));
    const most = byTravel[0]!;
    const direction = amounts.subarray(FREEDOMS * most, FREEDOMS * most + 3);
    const together = moving.every((i) => isParallel(amounts.subarray(FREEDOMS * i, FREEDOMS * i + 3), direction));
    if (together && axisOf(direction) !== 'Y' && direction[1] === 0)
      return { description: `A part of the structure sways ${along(direction)}: ${names} can move`, cause, pattern };
    if (together && moving.length > 1)
      return { description: `A part of the structure slides ${along(direction)}: ${names} can move`, cause, pattern };
    const best = `node ${s.names.nodes[most]} moves most, ${along(direction)}`;
    return { description: `A part of the structure folds: ${names} can move (${best})`, cause, pattern };
  });
}

const isParallel = (a: Float64Array, b: Float64Array): boolean =>
  Math.hypot(a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!) <
  1e-6 * Math.hypot(...a) * Math.hypot(...b);

function causeOf(scene: Scene, amounts: Float64Array, moving: readonly number[]): [string, Pattern] {
  const { structure: s } = scene;
  const corners = findPanel(s, scene.members, amounts);
  if (corners) {
    const names = corners.map((i) => s.names.nodes[i]!).join(', ');
    return [`the panel between nodes ${names} is not braced and its corners are hinged`, { kind: 'panel', corners }];
  }
  const hinged = moving.find((i) => isHinged(scene, i));
  if (hinged !== undefined)
    return [`every end at node ${s.names.nodes[hinged]} is hinged, and nothing else holds it`, { kind: 'hinge', node: hinged }];
  return [
    'hinges, free ends or missing members leave this part able to move without bending or stretching anything',
    { kind: 'fold' },
  ];
}

/** Whether every member's end at the node is free to bend. */
function isHinged({ structure: s, members }: Scene, node: number): boolean {
  return members[node]!.every((m) => {
    const end = s.memberNodes[2 * m] === node ? 0 : 6;
    const free = (k: number): boolean => s.releases[12 * m + end + k]! < Infinity;
    return free(5) && (isPlane(s) || free(4));
  });
}
