import isSame from 'fast-deep-equal';
import { isCompound, kindOfLoad } from './compound';
import type { Load } from '../model';

/** Where a load stands and what it is called: a change of its size or direction leaves that of others as it is. */
const OWN: readonly string[] = ['id', 'case', 'member', 'node'];

/** Another load with the change that led from `before` to `after`: only what changed there is changed in it. */
export function changedLike(before: Load, after: Load, other: Load): Load {
  if (other === before) return after;
  const [was, is] = [before, after] as unknown as Record<string, unknown>[];
  const changed: Record<string, unknown> = { ...other };
  const own = new Set([...OWN, ...(isCompound(other) ? kindOfLoad(other).places : [])]);
  for (const key of new Set([...Object.keys(was!), ...Object.keys(is!)])) {
    if (own.has(key) || isSame(was![key], is![key])) continue;
    if (is![key] === undefined) Reflect.deleteProperty(changed, key);
    else changed[key] = is![key];
  }
  return changed as unknown as Load;
}
