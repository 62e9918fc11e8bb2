import { isObject } from '../findings';
import { REFERENCE } from '../model';
import { listOf, type RuleContext } from './context';

/** Relative sections share one reference, and have no shape beside it. */
export function checkSections({ model, findings }: RuleContext): void {
  let shared: number | undefined;
  listOf(model, 'sections').forEach(({ id, relative, shape }, i) => {
    if (!isObject(relative)) return;
    const subjects = [`section ${String(id)}`];
    if (shape !== undefined) {
      findings.fault({
        code: 'two-stiffnesses',
        path: `sections[${i}].shape`,
        value: isObject(shape) ? shape.type : shape,
        what: `Section “${String(id)}” is relative and has a shape`,
        expected: 'one of the two',
        remedy: 'Remove “relative” or “shape”',
        subjects,
      });
    }
    const reference = typeof relative.reference === 'number' ? relative.reference : REFERENCE;
    shared ??= reference;
    if (reference === shared) return;
    findings.fault({
      code: 'two-references',
      path: `sections[${i}].relative.reference`,
      value: relative.reference,
      what: `Section “${String(id)}” has another reference than the relative sections before it`,
      expected: `${shared}, as theirs`,
      remedy: 'Give all relative sections one reference',
      subjects,
    });
  });
}
