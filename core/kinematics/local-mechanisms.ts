import type { MemberMatrices } from '../stiffness/member-matrices';
import { slotOf } from '../stiffness/load-slots';
import type { MemberLoads } from '../stiffness/equivalent-loads';
import { FREEDOMS, isPlane, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import { SOFT, type LooseNodes } from './loose-nodes';
import { globalMotion, namedFreedoms, type Drivers, type Found, type Pattern } from './mechanism';
import { openingsIn, openingWords } from './openings';
import { aboutWords, along, driven, loadWords } from './words';

export const NO_MEMBER = 'no member meets there';
/** Such a motion only looks free: where a load drives it, no number would be right. */
export const LOST = 'what resists in this direction is lost in rounding beside the rest';

/** A structure, the members at each of its nodes, and what drives its motions. */
export interface NodeScene {
  readonly structure: Structure;
  readonly matrices: MemberMatrices;
  readonly members: readonly (readonly number[])[];
  readonly drivers: Drivers;
}

/** A motion of one node: how far each of some freedoms goes. Soft: what resists it is lost in rounding. */
interface NodeMotion {
  readonly node: number;
  readonly freedoms: readonly number[];
  readonly amounts: readonly number[];
  readonly isSoft: boolean;
}

/** Motions of one node alone: harmless unless a case drives them. */
export function nodeMechanisms(scene: NodeScene, { absent, artificialRestraints }: LooseNodes): Found[] {
  const found: Found[] = [];
  for (let f = 0; f < absent.length; f++)
    if (absent[f]) {
      const motion = { node: Math.floor(f / FREEDOMS), freedoms: [f], amounts: [1], isSoft: absent[f] === SOFT };
      found.push(nodeMechanism(scene, motion));
    }
  for (const { node, motion, isSoft } of artificialRestraints) {
    const freedoms = Array.from(motion, (_, k) => FREEDOMS * node + k).filter((_, k) => motion[k] !== 0);
    const amounts = freedoms.map((f) => motion[f % FREEDOMS]!);
    found.push(nodeMechanism(scene, { node, freedoms, amounts, isSoft }));
  }
  return found;
}

function nodeMechanism(scene: NodeScene, { node, freedoms, amounts, isSoft }: NodeMotion): Found {
  const { structure: s, matrices, members, drivers } = scene;
  // Alone on its node: the six amounts are all there is to turn and to name.
  const own = new Float64Array(FREEDOMS);
  freedoms.forEach((f, i) => (own[f % FREEDOMS] = amounts[i]!));
  const turn = s.supportRotations.get(node);
  const alone = {
    ...s,
    supportRotations: turn ? new Map([[0, turn]]) : new Map<number, Float64Array>(),
    names: { ...s.names, nodes: [s.names.nodes[node]!] },
  };
  const global = globalMotion(alone, own);
  const cases = drivers.of(freedoms, amounts);
  const amount = (c: number): number => Math.abs(drivers.work(c, freedoms, amounts));
  const spins = global[0] === 0 && global[1] === 0 && global[2] === 0;
  const joined = members[node]!;
  const axis = global.subarray(3, 6);
  // Members that turn with the node give way at their other ends.
  const swings = !spins && axis.some((x) => x !== 0);
  const openings = swings ? openingsIn(s, matrices, atNode(s, node, own), joined) : [];
  const spin = isPlane(s) ? 'spin' : `spin about ${aboutWords(s, axis)}`;
  const cause =
    joined.length === 0
      ? NO_MEMBER
      : isSoft
        ? LOST
        : spins
          ? 'every member that meets there is hinged'
          : openings.length > 0
            ? `${openingWords(s, openings)}, and nothing else holds it`
            : 'no member or support resists in this direction';
  const how = spins ? spin : `move ${along(s, global)}`;
  // The largest load names itself.
  const strongest = cases.map((id) => s.names.cases.indexOf(id)).reduce((a, c) => (a < 0 || amount(c) > amount(a) ? c : a), -1);
  const load = strongest < 0 ? '' : loadWords(amount(strongest), spins ? 'turn' : 'move', s.names.nodes[node]!);
  return {
    mechanism: {
      harmless: cases.length === 0,
      description: `Node ${s.names.nodes[node]} can ${how}: ${cause}.${driven(cases, load)}`,
      cause,
      freedoms: namedFreedoms(alone, global),
      members: spins ? [] : joined.map((m) => s.names.members[m]!),
      cases,
    },
    motion: { amounts: global, pattern: spins ? { kind: 'spin', node } : { kind: 'loose-node', node, openings } },
  };
}

/** A movement of one node among those of all (6n). */
function atNode(s: Structure, node: number, own: Float64Array): Float64Array {
  const motion = new Float64Array(FREEDOMS * nodeCount(s));
  motion.set(own, FREEDOMS * node);
  return motion;
}

const looseWords = (kind: number): string =>
  kind === 0 ? 'slide along its own axis' : kind === 3 ? 'turn about its own axis' : 'move across its own axis';

/**
 * Members that their own releases leave loose between their nodes. One that only turns about its own axis moves no point of it and
 * is harmless unless a couple drives it; any other is not.
 */
export function memberMechanisms(s: Structure, { condensed }: MemberMatrices, loads: readonly MemberLoads[]): Found[] {
  const found: Found[] = [];
  for (let m = 0; m < memberCount(s); m++)
    for (const freedom of condensed[m]?.loose ?? []) {
      const kind = freedom % FREEDOMS;
      const twists = kind === 3;
      const cases = s.names.cases.filter((_, c) => {
        const { values } = loads[c]!;
        const at = slotOf(loads[c]!, m);
        if (at < 0) return false;
        const [own, far] = [values[at + freedom]!, values[at + ((freedom + FREEDOMS) % 12)]!];
        return own !== 0 || far !== 0;
      });
      const harmless = twists && cases.length === 0;
      const cause = twists ? 'it is hinged in torsion at both ends' : 'too many of its end freedoms are released';
      const ending = twists || cases.length > 0 ? driven(cases) : '';
      const pattern: Pattern = { kind: 'loose-member', member: m, freedom };
      found.push({
        mechanism: {
          harmless,
          description: `Member ${s.names.members[m]} can ${looseWords(kind)} between its nodes: ${cause}.${ending}`,
          cause,
          freedoms: [],
          members: [s.names.members[m]!],
          cases,
        },
        motion: { amounts: new Float64Array(0), pattern },
      });
    }
  return found;
}
