import { isObject, type Entity } from '../findings';
import { byId, checkReference, listOf, type RuleContext } from './context';

/** Combinations name what is there, never themselves, and sums no envelope. */
export function checkCombinations({ model, findings }: RuleContext): void {
  const combinations = byId(model, 'combinations');
  const known = new Map([...byId(model, 'cases'), ...combinations]);
  const named = new Map([...combinations.values()].map((one) => [one, partsOf(one)]));
  const circular = findCircular(combinations, named);
  listOf(model, 'combinations').forEach((combination, i) => {
    const path = `combinations[${i}].${combination.type === 'sum' ? 'factors' : 'of'}`;
    partsOf(combination).forEach((part, k) => {
      const at = combination.type === 'sum' ? `${path}.${part}` : `${path}[${k}]`;
      checkReference(findings, known, part, at, 'case or combination');
      if (combination.type === 'sum' && combinations.get(part)?.type === 'envelope') {
        findings.fault({
          code: 'sum-of-envelope',
          path: at,
          value: part,
          what: `“${part}” is an envelope, and a sum can only add cases and other sums`,
          expected: 'a case or a sum',
          remedy: 'Name the cases or sums themselves, and make an envelope of the sums',
        });
      }
    });
    if (circular.has(combination.id)) {
      findings.fault({
        code: 'circular-combination',
        path,
        value: partsOf(combination),
        what: `The combination “${String(combination.id)}” refers to itself`,
        expected: 'cases, or combinations that do not lead back here',
        remedy: 'Remove the part that leads back',
        subjects: [`combination ${String(combination.id)}`],
      });
    }
  });
}

/** The ids that a combination names. */
function partsOf({ of, factors }: Entity): readonly string[] {
  if (Array.isArray(of)) return of as string[];
  return isObject(factors) ? Object.keys(factors) : [];
}

/** Ids of combinations that can be reached from themselves; an explicit stack, since chains in a file may be long. */
function findCircular(combinations: ReadonlyMap<unknown, Entity>, named: ReadonlyMap<Entity, readonly string[]>): Set<unknown> {
  const circular = new Set<unknown>();
  /** How deep each one stands that is on the way at the moment; −1 for those that are done. */
  const depths = new Map<unknown, number>();
  for (const root of combinations.keys()) {
    if (depths.has(root)) continue;
    // `back`: the least depth that a way on from here leads back to.
    const stack = [{ id: root, next: 0, back: Infinity }];
    depths.set(root, 0);
    while (stack.length > 0) {
      const depth = stack.length - 1;
      const top = stack[depth]!;
      const part = named.get(combinations.get(top.id)!)![top.next++];
      if (part === undefined) {
        if (top.back <= depth) circular.add(top.id);
        depths.set(top.id, -1);
        stack.pop();
        const before = stack[depth - 1];
        if (before && top.back < depth) before.back = Math.min(before.back, top.back);
      } else if (!depths.has(part)) {
        if (!combinations.has(part)) continue;
        depths.set(part, depth + 1);
        stack.push({ id: part, next: 0, back: Infinity });
      } else if (depths.get(part)! >= 0) top.back = Math.min(top.back, depths.get(part)!);
    }
  }
  return circular;
}
