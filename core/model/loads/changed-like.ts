import type { Load } from '../model';

/** Where a load stands and what it is called: a change of its size or direction leaves that of others as it is. */
const OWN: ReadonlySet<string> = new Set(['id', 'case', 'member', 'members', 'node', 'nodes']);

/** Another load with the change that led from `before` to `after`: only what changed there is changed in it. */
export function changedLike(before: Load, after: Load, other: Load): Load {
  if (other === before) return after;
  const [was, is] = [before, after] as unknown as Record<string, unknown>[];
  const changed: Record<string, unknown> = { ...other };
  // Of a pressure, `to` names who carries it.
  const own = new Set(other.type === 'area' ? [...OWN, 'to'] : OWN);
  for (const key of new Set([...Object.keys(was!), ...Object.keys(is!)])) {
    if (own.has(key) || JSON.stringify(was![key]) === JSON.stringify(is![key])) continue;
    if (is![key] === undefined) Reflect.deleteProperty(changed, key);
    else changed[key] = is![key];
  }
  return changed as unknown as Load;
}
