import { graphOfPairs, minimumDegree } from '../linear-algebra/minimum-degree';
import { FREEDOMS, nodeCount, type Structure } from './structure';

/** Which unknown each freedom of each node is: `unknowns[3·node + freedom]`, or -1 where a support holds it. */
export interface Numbering {
  readonly unknowns: Int32Array;
  readonly size: number;
}

/** Numbers the free freedoms node by node in an order that keeps the factor sparse. */
export function numberFreedoms(s: Structure): Numbering {
  const n = nodeCount(s);
  const order = minimumDegree(graphOfPairs(n, s.memberNodes));
  const unknowns = new Int32Array(FREEDOMS * n).fill(-1);
  let size = 0;
  for (const node of order) {
    for (let k = 0; k < FREEDOMS; k++) {
      if (s.restraints[FREEDOMS * node + k] !== Infinity) unknowns[FREEDOMS * node + k] = size++;
    }
  }
  return { unknowns, size };
}
