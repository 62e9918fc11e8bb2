import type { Freedom } from '../model/model';
import type { Brake } from '../stiffness/assemble';
import { FREEDOMS, memberCount, nodeCount, type Structure } from '../stiffness/structure';

/** An independent motion that nothing resists. Amounts are scaled so that the largest is 1. */
export interface Mechanism {
  readonly harmless: boolean;
  readonly description: string;
  readonly cause: string;
  readonly freedoms: readonly { readonly node: string; readonly freedom: Freedom; readonly amount: number }[];
  readonly members: readonly string[];
  /** Ids of the cases that drive it. */
  readonly cases: readonly string[];
  readonly remedies: readonly { readonly description: string; readonly edit: unknown }[];
}

const PLANE_FREEDOMS: readonly Freedom[] = ['ux', 'uy', 'rz'];
const NEGLIGIBLE = 1e-9;

/** The cases whose loads (3n, nodes' axes) do work on the motion. */
function drivingCases(s: Structure, motion: Float64Array, loads: readonly Float64Array[]): string[] {
  return s.names.cases.filter((_, c) => {
    let [work, size] = [0, 0];
    loads[c]!.forEach((p, f) => {
      work += p * motion[f]!;
      size += Math.abs(p * motion[f]!);
    });
    // Loads so small beside the others in the case that they are rounding do not drive anything.
    const largest = loads[c]!.reduce((max, p) => Math.max(max, Math.abs(p)), 0);
    return Math.abs(work) > NEGLIGIBLE * Math.max(size, 1e-3 * largest);
  });
}

/** From the nodes' own axes to global ones, scaled to a largest amount of 1. */
function globalMotion(s: Structure, motion: Float64Array): Float64Array {
  const result = motion.slice();
  for (let i = 0; i < nodeCount(s); i++) {
    const [c, sn] = [s.turns[2 * i]!, s.turns[2 * i + 1]!];
    const [x, y] = [motion[3 * i]!, motion[3 * i + 1]!];
    result[3 * i] = c * x - sn * y;
    result[3 * i + 1] = sn * x + c * y;
  }
  const largest = result.reduce((max, part) => (Math.abs(part) > Math.abs(max) ? part : max), 0);
  return result.map((part) => (Math.abs(part) < NEGLIGIBLE * Math.abs(largest) ? 0 : part / largest));
}

function mechanismOf(
  s: Structure,
  motion: Float64Array,
  cases: readonly string[],
  words: Pick<Mechanism, 'harmless' | 'description' | 'cause'>,
): Mechanism {
  const freedoms: { node: string; freedom: Freedom; amount: number }[] = [];
  motion.forEach((amount, f) => {
    if (amount !== 0)
      freedoms.push({ node: s.names.nodes[Math.floor(f / FREEDOMS)]!, freedom: PLANE_FREEDOMS[f % FREEDOMS]!, amount });
  });
  const moves = (node: number): boolean => motion[3 * node] !== 0 || motion[3 * node + 1] !== 0;
  const members = s.names.members.filter((_, m) => moves(s.memberNodes[2 * m]!) || moves(s.memberNodes[2 * m + 1]!));
  return { ...words, freedoms, members, cases, remedies: [] };
}

/** A motion of one node alone: harmless unless a case drives it. */
export function nodeMechanism(s: Structure, brake: Brake, loads: readonly Float64Array[]): Mechanism {
  const motion = new Float64Array(FREEDOMS * nodeCount(s));
  motion.set(brake.motion, FREEDOMS * brake.node);
  const cases = drivingCases(s, motion, loads);
  const node = s.names.nodes[brake.node]!;
  const global = globalMotion(s, motion);
  const [x, y] = [global[3 * brake.node]!, global[3 * brake.node + 1]!];
  const spins = x === 0 && y === 0;
  const joined = Array.from({ length: memberCount(s) }, (_, m) => m).some(
    (m) => s.memberNodes[2 * m] === brake.node || s.memberNodes[2 * m + 1] === brake.node,
  );
  const how = spins ? 'spin' : `move ${along(x, y)}`;
  const cause = !joined
    ? 'no member meets there'
    : spins
      ? 'every member that meets there is hinged'
      : 'no member or support resists in this direction';
  const driven = cases.length > 0 ? ` ${caseWords(cases)} it.` : ' No load drives it, so it is held still.';
  return mechanismOf(s, global, cases, {
    harmless: cases.length === 0,
    description: `Node ${node} can ${how}: ${cause}.${driven}`,
    cause,
  });
}

const caseWords = (cases: readonly string[]): string =>
  cases.length === 1 ? `Case ${cases[0]} drives` : `Cases ${cases.slice(0, 5).join(', ')} drive`;

function along(x: number, y: number): string {
  if (Math.abs(y) < 1e-6 * Math.abs(x)) return 'along X';
  if (Math.abs(x) < 1e-6 * Math.abs(y)) return 'along Y';
  const angle = ((Math.atan2(y, x) * 180) / Math.PI + 180) % 180;
  return `in the direction ${angle.toFixed(1)}° from X`;
}

/** A motion of several nodes: never harmless in a plane structure. `motion`: 3n in the nodes' own axes. */
export function bodyMechanism(s: Structure, motion: Float64Array, loads: readonly Float64Array[]): Mechanism {
  const global = globalMotion(s, motion);
  const cases = drivingCases(s, motion, loads);
  const rigid = rigidMotion(s, global);
  const words = rigid ? rigidWords(s, rigid) : foldingWords(s, global);
  return mechanismOf(s, global, cases, { harmless: false, ...words });
}

/** Translation (a, b) and rotation w when every node moves as on one rigid body: u = a − w·Y, v = b + w·X. */
function rigidMotion(s: Structure, motion: Float64Array): { a: number; b: number; w: number } | undefined {
  const n = nodeCount(s);
  if (n < 2) return undefined;
  const [x0, y0] = [s.coordinates[0]!, s.coordinates[1]!];
  let far = 1;
  for (let i = 2; i < n; i++) if (distance(s, i, x0, y0) > distance(s, far, x0, y0)) far = i;
  const [dx, dy] = [s.coordinates[2 * far]! - x0, s.coordinates[2 * far + 1]! - y0];
  const [du, dv] = [motion[3 * far]! - motion[0]!, motion[3 * far + 1]! - motion[1]!];
  const w = (dx * dv - dy * du) / (dx * dx + dy * dy);
  const a = motion[0]! + w * y0;
  const b = motion[1]! - w * x0;
  for (let i = 0; i < n; i++) {
    const [x, y] = [s.coordinates[2 * i]!, s.coordinates[2 * i + 1]!];
    if (Math.abs(motion[3 * i]! - (a - w * y)) > 1e-6 || Math.abs(motion[3 * i + 1]! - (b + w * x)) > 1e-6) return undefined;
  }
  return { a, b, w };
}

const distance = (s: Structure, i: number, x: number, y: number): number =>
  Math.hypot(s.coordinates[2 * i]! - x, s.coordinates[2 * i + 1]! - y);

function rigidWords(s: Structure, { a, b, w }: { a: number; b: number; w: number }): { description: string; cause: string } {
  if (Math.abs(w) * 1e3 < Math.hypot(a, b) * 1e-3) {
    const cause = 'no support resists in this direction';
    return { description: `The whole structure, ${nodeWords(s.names.nodes)}, can slide ${along(a, b)}: ${cause}.`, cause };
  }
  const show = (x: number): string => String(Number(x.toFixed(3)));
  const cause = 'the reactions of all supports pass through one point';
  return {
    description: `The whole structure, ${nodeWords(s.names.nodes)}, can turn about the point X ${show(-b / w)} m, Y ${show(a / w)} m: ${cause}.`,
    cause,
  };
}

function foldingWords(s: Structure, motion: Float64Array): { description: string; cause: string } {
  const moving: { name: string; amount: number; x: number; y: number }[] = [];
  s.names.nodes.forEach((name, i) => {
    const [x, y] = [motion[3 * i]!, motion[3 * i + 1]!];
    if (x !== 0 || y !== 0) moving.push({ name, amount: Math.hypot(x, y), x, y });
  });
  moving.sort((p, q) => q.amount - p.amount);
  const cause = 'hinges, free ends or missing members leave this part able to move without bending or stretching anything';
  const first = moving[0];
  if (!first) {
    const spinning = s.names.nodes.filter((_, i) => motion[3 * i + 2] !== 0);
    return { description: `${nodeWords(spinning)} can turn: ${cause}.`, cause };
  }
  const most = `node ${first.name} moves most, ${along(first.x, first.y)}`;
  return {
    description: `A part of the structure folds: ${nodeWords(moving.map(({ name }) => name))} can move (${most}); ${cause}.`,
    cause,
  };
}

const nodeWords = (names: readonly string[]): string => {
  if (names.length === 1) return `node ${names[0]}`;
  return `nodes ${names.slice(0, 8).join(', ')}${names.length > 8 ? ` and ${names.length - 8} more` : ''}`;
};

/** A member that its own releases leave loose between its nodes. */
export function memberMechanism(s: Structure, m: number, freedom: number): Mechanism {
  const name = s.names.members[m]!;
  const how = freedom % FREEDOMS === 0 ? 'slide along its own axis' : 'move across its own axis';
  const cause = 'too many of its end freedoms are released';
  return {
    harmless: false,
    description: `Member ${name} can ${how} between its nodes: ${cause}.`,
    cause,
    freedoms: [],
    members: [name],
    cases: [],
    remedies: [],
  };
}
