import type { Reading, Sketch } from '../build';

/** A value and what theory says, compared to 1e-9 of `size` (of the value itself where none is given). */
export type Check = readonly [what: string, ours: (r: Reading) => number, theory: number, size?: number];
/** A structure whose answer is known in closed form: its name, the structure, and what is known of it. */
export type Case = readonly [name: string, structure: Sketch, checks: readonly Check[]];
export type LooseLoad = NonNullable<Sketch['loads']>[number];
