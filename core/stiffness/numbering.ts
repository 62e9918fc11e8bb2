import { analyse, type Analysis } from '../linear-algebra/analysis';
import { graphOfPairs, type Graph } from '../linear-algebra/graph';
import { sameNumbers } from '../linear-algebra/same-numbers';
import { FREEDOMS, nodeCount, type Structure } from './structure';

/** Which unknown each freedom of each node is: `unknowns[6·node + freedom]`, or -1 where it is held or takes no part. */
export interface Numbering {
  readonly unknowns: Int32Array;
  /** By unknown: its freedom, 6·node + freedom. */
  readonly freedoms: Int32Array;
  readonly size: number;
  readonly analysis: Analysis;
  /** What it was made for: the nodes of the members (2m), restraints and absent freedoms (6n). */
  readonly memberNodes: Int32Array;
  readonly restraints: Float64Array;
  readonly absent: Uint8Array;
  /** Nodes that share a member, only those with unknowns. */
  readonly graph: Graph;
  /** 6n: 1 where the freedom is an unknown. */
  readonly free: Uint8Array;
}

/**
 * Numbers the free freedoms node by node in an order that keeps the factor sparse. `absent`: freedoms (6n) that nothing stiffens,
 * left out. `former`: the numbering of an earlier structure, taken over where the pattern is the same.
 */
export function numberFreedoms(s: Structure, absent: Uint8Array, former?: Numbering): Numbering {
  const isJoined = former !== undefined && sameNumbers(former.memberNodes, s.memberNodes);
  if (isJoined && former.restraints === s.restraints && sameNumbers(former.absent, absent)) return former;
  const n = nodeCount(s);
  const free = new Uint8Array(FREEDOMS * n);
  const weights = new Int32Array(n);
  for (let i = 0; i < n; i++)
    for (const k of s.active) {
      const f = FREEDOMS * i + k;
      if (s.restraints[f] === Infinity || absent[f]) continue;
      free[f] = 1;
      weights[i]!++;
    }
  const isFree = former !== undefined && sameNumbers(former.free, free);
  if (isFree && isJoined) return former;
  const graph = graphOfPairs(n, s.memberNodes, (node) => weights[node]! > 0);
  if (isFree && sameNumbers(former.graph.pointers, graph.pointers) && sameNumbers(former.graph.neighbours, graph.neighbours))
    return former;
  const analysis = analyse(graph, weights, s.coordinates);
  const unknowns = new Int32Array(FREEDOMS * n).fill(-1);
  for (let i = 0; i < n; i++) {
    let next = analysis.firstUnknown[i]!;
    for (const k of s.active) if (free[FREEDOMS * i + k]) unknowns[FREEDOMS * i + k] = next++;
  }
  const freedoms = new Int32Array(analysis.size);
  for (let f = 0; f < unknowns.length; f++) if (unknowns[f]! >= 0) freedoms[unknowns[f]!] = f;
  const { memberNodes, restraints } = s;
  return { unknowns, freedoms, size: analysis.size, analysis, memberNodes, restraints, absent, graph, free };
}
