import { isObject, type Entity } from '../findings';
import { byId, checkReference, listOf, type RuleContext } from './context';

/** Combinations name what is there, never themselves, and sums no envelope. */
export function checkCombinations({ model, findings }: RuleContext): void {
  const combinations = byId(model, 'combinations');
  const known = new Map([...byId(model, 'cases'), ...combinations]);
  const partsOf = (combination: Entity | undefined): string[] => {
    if (Array.isArray(combination?.of)) return combination.of as string[];
    return isObject(combination?.factors) ? Object.keys(combination.factors) : [];
  };
  const circular = findCircular(combinations, partsOf);
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

/** Ids of combinations that can be reached from themselves; an explicit stack, since chains in a file may be long. */
function findCircular(combinations: ReadonlyMap<unknown, Entity>, partsOf: (c: Entity | undefined) => string[]): Set<unknown> {
  const circular = new Set<unknown>();
  const state = new Map<unknown, 'open' | 'done'>();
  for (const root of combinations.keys()) {
    const stack: { id: unknown; next: number }[] = state.has(root) ? [] : [{ id: root, next: 0 }];
    if (stack.length > 0) state.set(root, 'open');
    while (stack.length > 0) {
      const top = stack[stack.length - 1]!;
      const part = partsOf(combinations.get(top.id))[top.next++];
      if (part === undefined) {
        state.set(top.id, 'done');
        stack.pop();
      } else if (state.get(part) === 'open') {
        for (let i = stack.length - 1; i >= 0; i--) {
          circular.add(stack[i]!.id);
          if (stack[i]!.id === part) break;
        }
      } else if (combinations.has(part) && !state.has(part)) {
        state.set(part, 'open');
        stack.push({ id: part, next: 0 });
      }
    }
  }
  return circular;
}
