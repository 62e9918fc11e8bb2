import { maxNorm } from '../linear-algebra/max-norm';
import { orthogonalise } from '../linear-algebra/orthogonalise';
import { freedomOf, type ArtificialRestraint } from '../stiffness/assemble';
import { nodalEntry, type MemberMatrices } from '../stiffness/member-matrices';
import { FREEDOMS, isPlane, meanLength, memberCount, MEMBER_FREEDOMS, nodeCount, type Structure } from '../stiffness/structure';
import { toOwnAxes } from '../stiffness/transformation';
import { globalMotion, namedFreedoms, NEGLIGIBLE, type Drivers, type Found, type Pattern } from './mechanism';
import { separated } from './null-space';
import { openingsIn, openingWords } from './openings';
import { findPanel } from './panel';
import { isAtRest, ownEnds } from './own-ends';
import { partsOf, rigidAt, unresistedMotions, type Part, type RigidMotion } from './rigid-motions';
import { isStrained } from './strain';
import { about, along, axisOf, caseWords, driven, memberWords, nodeWords } from './words';

/** What the search for motions of several nodes looks at. */
export interface Scene {
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  readonly members: readonly (readonly number[])[];
  readonly drivers: Drivers;
  /** 6n: 1 where the freedom is an unknown of the system. */
  readonly free: Uint8Array;
  /** Motions of single nodes that are held apart; the null space of the system is at right angles to them. */
  readonly artificialRestraints: readonly ArtificialRestraint[];
}

/**
 * Motions of several nodes, from a basis of the null space (6n each, nodes' axes): first those that move a whole part of the
 * structure as one body, then the rest, separated from each other. `spanned`: how much of the null space the basis spans.
 */
export function bodyMechanisms(scene: Scene, basis: readonly Float64Array[], spanned: 'all' | 'some'): Found[] {
  if (basis.length === 0) return [];
  const parts = partsOf(scene.structure);
  const stiffened = stiffenedFreedoms(scene.structure, scene.matrices);
  // Parts have no node in common: only motions of the same one can say the same.
  const bodies = parts.flatMap((part) =>
    independent(unresistedMotions(scene.structure, part, stiffened).flatMap((motion) => bodyOf(scene, motion, stiffened) ?? [])),
  );
  // Turns as displacements at the mean length of a member: what is told apart does not depend on the size of a structure. Displacements lead,
  // so that what only turns stands by itself: it may be harmless.
  const lever = meanLength(scene.structure);
  const times = (factor: number, vector: Float64Array): Float64Array => vector.map((x, f) => (f % FREEDOMS < 3 ? x : factor * x));
  const others = separated(
    bodies.map(({ vector }) => times(lever, vector)),
    basis.map((vector) => times(lever, vector)),
    spanned,
    (f) => f % FREEDOMS < 3,
  );
  const motions = others.map((vector) =>
    times(
      1 / lever,
      vector.map((x) => (Math.abs(x) < NEGLIGIBLE ? 0 : x)),
    ),
  );
  return [...bodies.map((body) => rigidMechanism(scene, body, parts)), ...motions.map((vector) => looseMechanism(scene, vector))];
}

/** Those that say something of their own: of a bar between hinges, all that turns it comes to a movement of its ends. */
function independent(bodies: readonly Body[]): Body[] {
  const seen: Float64Array[] = [];
  return bodies.filter(({ vector }) => {
    const rest = vector.slice();
    for (const other of seen) orthogonalise(rest, other);
    const isNew = maxNorm(rest) > SMALL * maxNorm(vector);
    if (isNew) seen.push(rest);
    return isNew;
  });
}

/** 6n: 1 where a member is stiff against the freedom. */
function stiffenedFreedoms(s: Structure, matrices: MemberMatrices): Uint8Array {
  const stiffened = new Uint8Array(FREEDOMS * nodeCount(s));
  for (let m = 0; m < memberCount(s); m++)
    for (let i = 0; i < MEMBER_FREEDOMS; i++) if (nodalEntry(s, matrices, m, i, i) > 0) stiffened[freedomOf(s, m, i)] = 1;
  return stiffened;
}

/** A part of the structure that moves as one body: the motion, and which of its nodes go along. */
interface Body {
  readonly motion: RigidMotion;
  /** 6n, nodes' axes. */
  readonly vector: Float64Array;
  readonly nodes: readonly number[];
}

/**
 * A rigid motion less what single nodes can do by themselves, which is told of them: spinning above all. Undefined where fewer than two
 * nodes are left, and where supports hardly resist it, but do.
 */
function bodyOf(scene: Scene, motion: RigidMotion, stiffened: Uint8Array): Body | undefined {
  const { structure: s, matrices, free, artificialRestraints } = scene;
  const whole = new Float64Array(FREEDOMS * nodeCount(s));
  for (const i of motion.part.nodes) whole.set(rigidAt(s, motion, i), FREEDOMS * i);
  toOwnAxes(s, whole);
  // Nodes that no member turns stay as they are.
  const vector = whole.map((x, f) => (free[f] && (f % FREEDOMS < 3 || stiffened[f]) ? x : 0));
  for (const { node, motion: loose } of artificialRestraints) orthogonalise(vector, loose, FREEDOMS * node);
  const small = SMALL * maxNorm(whole);
  const goesAlong = (i: number): boolean =>
    [0, 1, 2].every((k) => Math.abs(vector[FREEDOMS * i + k]! - whole[FREEDOMS * i + k]!) <= small);
  const nodes = motion.part.nodes.filter(goesAlong);
  const isOwn = nodes.length > 1 && !isStrained(s, matrices, artificialRestraints, vector);
  return isOwn ? { motion, vector, nodes } : undefined;
}

/** The members whose axis moves. In a motion that costs no energy an axis is at rest exactly when its two ends are. */
function movedMembers(scene: Scene, own: Float64Array): number[] {
  const { structure: s } = scene;
  const largest = maxNorm(own);
  const moved: number[] = [];
  for (let m = 0; m < memberCount(s); m++) {
    if (isAtRest(own, s.memberNodes[2 * m]!) && isAtRest(own, s.memberNodes[2 * m + 1]!)) continue;
    const d = ownEnds(s, scene.matrices, m, own);
    if ([0, 1, 2, 6, 7, 8].some((i) => Math.abs(d[i]!) > SMALL * largest)) moved.push(m);
  }
  return moved;
}

/** Below this part of the largest amount a part of a motion is rounding. */
const SMALL = 1e-7;

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

function rigidMechanism(scene: Scene, { motion, vector, nodes }: Body, parts: readonly Part[]): Found {
  const { structure: s } = scene;
  const { part, translation, rotation } = motion;
  return finish(scene, vector, (amounts, moved) => {
    const chain = chainWords(s, amounts, moved);
    if (chain) return chain;
    const names = nodeWords(nodes.map((i) => s.names.nodes[i]!));
    const held = nodes.some((i) => s.active.some((k) => s.restraints[FREEDOMS * i + k]! > 0));
    const isAll = parts.length === 1 && nodes.length === part.nodes.length;
    const what = isAll ? `The whole structure, ${names},` : `The part with ${names}`;
    const apart = 'this part is connected to nothing that is supported';
    if (rotation.every((x) => x === 0)) {
      return {
        description: `${what} can slide ${along(s, translation)}`,
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
    const moving = s.names.nodes.flatMap((_, i) => (travel(i) > SMALL ? [i] : []));
    const [cause, pattern] = causeOf(scene, own, amounts, moving);
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
    if (together && axisOf(direction) !== 'y' && direction[1] === 0)
      return { description: `A part of the structure sways ${along(s, direction)}: ${names} can move`, cause, pattern };
    if (together && moving.length > 1)
      return { description: `A part of the structure slides ${along(s, direction)}: ${names} can move`, cause, pattern };
    const how = moving.length === 1 ? along(s, direction) : `(node ${s.names.nodes[most]} moves most, ${along(s, direction)})`;
    return { description: `A part of the structure folds: ${names} can move ${how}`, cause, pattern };
  });
}

const isParallel = (a: Float64Array, b: Float64Array): boolean =>
  Math.hypot(a[1]! * b[2]! - a[2]! * b[1]!, a[2]! * b[0]! - a[0]! * b[2]!, a[0]! * b[1]! - a[1]! * b[0]!) <
  1e-6 * Math.hypot(...a) * Math.hypot(...b);

function causeOf(scene: Scene, own: Float64Array, amounts: Float64Array, moving: readonly number[]): [string, Pattern] {
  const { structure: s } = scene;
  const corners = findPanel(s, scene.members, amounts);
  if (corners) {
    const names = corners.map((i) => s.names.nodes[i]!).join(', ');
    return [`the panel between nodes ${names} is not braced and its corners are hinged`, { kind: 'panel', corners }];
  }
  const hinged = moving.find((i) => isHinged(scene, i));
  if (hinged !== undefined)
    return [`every end at node ${s.names.nodes[hinged]} is hinged, and nothing else holds it`, { kind: 'hinge', node: hinged }];
  const openings = openingsIn(s, scene.matrices, own);
  if (openings.length > 0) return [`${openingWords(s, openings)}, and nothing else holds it`, { kind: 'fold', openings }];
  return ['missing members leave this part able to move without bending or stretching anything', { kind: 'fold', openings }];
}

/** Whether every member's end at the node is free to bend. */
function isHinged({ structure: s, members }: Scene, node: number): boolean {
  return members[node]!.every((m) => {
    const end = s.memberNodes[2 * m] === node ? 0 : 6;
    const free = (k: number): boolean => s.releases[12 * m + end + k]! < Infinity;
    return free(5) && (isPlane(s) || free(4));
  });
}
