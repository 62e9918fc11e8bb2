import { isObject, type Entity } from '../findings';
import type { Model } from '../model';
import { circularOf } from './circular';
import { byId, checkReference, listOf, type RuleContext } from './context';

/** Combinations name what is there, never themselves, and sums no envelope. */
export function checkCombinations({ model, findings }: RuleContext): void {
  const combinations = byId(model, 'combinations');
  const known = new Map([...byId(model, 'cases'), ...byId(model, 'actions'), ...combinations]);
  const isShaken = isObject((model as Partial<Model>).analysis?.naturalModes?.spectrum);
  const circular = circularOf(combinations, (id) => partsOf(combinations.get(id)!));
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
    if (combination.earthquake === true && !isShaken)
      findings.fault({
        code: 'no-earthquake',
        path: `combinations[${i}].earthquake`,
        value: true,
        what: `The envelope “${String(combination.id)}” is to enclose the earthquake, and none is described`,
        expected: 'a spectrum under analysis, naturalModes',
        remedy: 'Describe the earthquake under Analysis, or leave it out of the envelope',
        subjects: [`combination ${String(combination.id)}`],
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
