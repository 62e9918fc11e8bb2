import type { LooseNodes } from '../kinematics/loose-nodes';
import type { StructuralResponse } from '../results/results';
import { NodalRows, type NodalTable } from '../stiffness/nodal-table';
import {
  caseCount,
  FREEDOMS,
  MEMBER_FREEDOMS,
  memberCount,
  nodeCount,
  STIFFNESS_WIDTH,
  type MemberLoadTable,
  type Structure,
} from '../stiffness/structure';
import { toOwnAxes } from '../stiffness/transformation';
import type { Acting } from './acting';

/** A part of a large structure with all that meets in it, as a structure of its own. */
export interface WorkedPart {
  readonly structure: Structure;
  readonly loose: Pick<LooseNodes, 'absent' | 'artificialRestraints'>;
  readonly acting: Acting;
  readonly response: StructuralResponse;
  /** By node of the part: which one of the whole it is, and whether the rest joins on there. */
  readonly nodes: Int32Array;
  readonly isOuter: Uint8Array;
  /** Members that were chosen, by their ids; all others only lead away from them. */
  readonly chosen: readonly string[];
}

/**
 * Chosen members (by place) with all others that meet at their nodes. Where these lead away, the rest of the structure is stood in for by the movements
 * that the analysis found: they are given there as settlements of held freedoms, in a case of their own. What is free is free as in the whole, so that its equations
 * are those of the whole.
 */
export function partOf(
  whole: Structure,
  loose: LooseNodes,
  { acting, response, chosen }: { acting: Acting; response: StructuralResponse; chosen: readonly number[] },
): WorkedPart {
  const inner = new Uint8Array(nodeCount(whole));
  for (const m of chosen) for (let e = 0; e < 2; e++) inner[whole.memberNodes[2 * m + e]!] = 1;
  const ends = (m: number): readonly [number, number] => [whole.memberNodes[2 * m]!, whole.memberNodes[2 * m + 1]!];
  const members = [...Array(memberCount(whole)).keys()].filter((m) => ends(m).some((node) => inner[node]));
  const nodes = Int32Array.from([...new Set(members.flatMap(ends))].sort((a, b) => a - b));
  const places = new Map(Array.from(nodes, (node, i) => [node, i] as const));
  const isOuter = Uint8Array.from(nodes, (node) => (inner[node] ? 0 : 1));
  const ofNodes = (values: Float64Array, width: number): Float64Array => picked(values, nodes, width);
  const ofMembers = (values: Float64Array, width: number): Float64Array => picked(values, members, width);
  const restraints = ofNodes(whole.restraints, FREEDOMS);
  isOuter.forEach((one, i) => one && restraints.fill(Infinity, FREEDOMS * i, FREEDOMS * (i + 1)));

  const moved = response.displacements.slice();
  toOwnAxes(whole, moved);
  const cases = caseCount(whole);
  const settlements = new NodalRows(cases + 1);
  copyRows(whole.settlements, cases, (c, node, row) => {
    const i = places.get(node);
    if (i !== undefined && !isOuter[i]) settlements.add(c, i, row);
  });
  isOuter.forEach((one, i) => one && settlements.add(cases, i, [...moved.subarray(FREEDOMS * nodes[i]!, FREEDOMS * nodes[i]! + FREEDOMS)])); // oxfmt-ignore
  const nodeLoads = new NodalRows(cases + 1);
  copyRows(whole.nodeLoads, cases, (c, node, row) => {
    const i = places.get(node);
    if (i !== undefined && !isOuter[i]) nodeLoads.add(c, i, row);
  });
  const structure: Structure = {
    ...whole,
    names: {
      nodes: Array.from(nodes, (node) => whole.names.nodes[node]!),
      members: members.map((m) => whole.names.members[m]!),
      cases: [...whole.names.cases, ''],
    },
    coordinates: ofNodes(whole.coordinates, 3),
    restraints,
    supportRotations: new Map([...whole.supportRotations].flatMap(([node, turn]) => (places.has(node) ? [[places.get(node)!, turn] as const] : []))), // oxfmt-ignore
    memberNodes: Int32Array.from(members.flatMap(ends), (node) => places.get(node)!),
    lengths: ofMembers(whole.lengths, 1),
    axes: ofMembers(whole.axes, 9),
    endOffsets: ofMembers(whole.endOffsets, 6),
    stiffnesses: ofMembers(whole.stiffnesses, STIFFNESS_WIDTH),
    keepsLength: Uint8Array.from(members, (m) => whole.keepsLength[m]!),
    bows: Uint8Array.from(members, (m) => whole.bows[m]!),
    releases: ofMembers(whole.releases, MEMBER_FREEDOMS),
    nodeLoads: nodeLoads.table(),
    settlements: settlements.table(),
    lineLoads: tableOf(whole.lineLoads, members),
    pointLoads: tableOf(whole.pointLoads, members),
    strains: tableOf(whole.strains, members),
  };
  const absent = new Uint8Array(FREEDOMS * nodes.length);
  nodes.forEach((node, i) => absent.set(loose.absent.subarray(FREEDOMS * node, FREEDOMS * node + FREEDOMS), FREEDOMS * i));
  return {
    structure,
    loose: { absent, artificialRestraints: loose.artificialRestraints.flatMap((one) => (inner[one.node] ? [{ ...one, node: places.get(one.node)! }] : [])) }, // oxfmt-ignore
    acting: [...acting, [cases, 1]],
    response: {
      ...response,
      displacements: ofNodes(response.displacements, FREEDOMS),
      reactions: ofNodes(response.reactions, FREEDOMS),
      ends: ofMembers(response.ends, MEMBER_FREEDOMS),
    },
    nodes,
    isOuter,
    chosen: chosen.map((m) => whole.names.members[m]!),
  };
}

function picked(values: Float64Array, places: ArrayLike<number>, width: number): Float64Array {
  const found = new Float64Array(width * places.length);
  for (let i = 0; i < places.length; i++) found.set(values.subarray(width * places[i]!, width * places[i]! + width), width * i);
  return found;
}

function copyRows(
  { first, nodes, values }: NodalTable,
  cases: number,
  take: (c: number, node: number, row: number[]) => void,
): void {
  for (let c = 0; c < cases; c++)
    for (let i = first[c]!; i < first[c + 1]!; i++)
      take(c, nodes[i]!, [...values.subarray(FREEDOMS * i, FREEDOMS * i + FREEDOMS)]);
}

function tableOf({ first, cases, values, width }: MemberLoadTable, members: readonly number[]): MemberLoadTable {
  const rows = members.flatMap((m) => Array.from({ length: first[m + 1]! - first[m]! }, (_, k) => first[m]! + k));
  const begins = new Int32Array(members.length + 1);
  members.forEach((m, i) => (begins[i + 1] = begins[i]! + first[m + 1]! - first[m]!));
  return { first: begins, cases: Int32Array.from(rows, (row) => cases[row]!), values: picked(values, rows, width), width };
}
