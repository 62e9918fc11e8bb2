// The inner loops in AssemblyScript: what `../kernels.ts` describes, on places in bytes.
// `node scripts/build-kernels.mjs` compiles this file and those beside it into `../kernels-bytes.ts`.
import { backwardFour, forwardFour } from './substitute-four';
import { backwardOne, forwardOne } from './substitute-one';

export { addDots, takeTimes } from './columns';
export { bound, combine } from './combine';
export { factorPanel, updateBorder } from './dense';
export { extendAdd, gather } from './fronts';
export { residual } from './residual';

export function forward(table: usize, supernodes: i32, x: usize, together: i32, work: usize): void {
  if (together == 1) forwardOne(table, supernodes, x, work);
  else forwardFour(table, supernodes, x, work);
}

export function backward(table: usize, supernodes: i32, x: usize, together: i32, work: usize, ofUnits: i32): void {
  if (together == 1) backwardOne(table, supernodes, x, work, ofUnits);
  else backwardFour(table, supernodes, x, ofUnits);
}
