import type { Draft } from 'immer';
import { isCompound, kindOfLoad } from '../loads/compound';
import type { Renaming } from '../loads/compound-kind';
import type { Load } from '../model';

/** Has a load on several things call its nodes and members as they are called now; one that names none of them stays the very same. */
export function renameIn(loads: Draft<Load>[], i: number, names: Renaming): void {
  const load = loads[i]!;
  if (!isCompound(load)) return;
  const next = kindOfLoad(load).renamed(load, names);
  if (JSON.stringify(next) !== JSON.stringify(load)) loads[i] = next as Draft<Load>;
}
