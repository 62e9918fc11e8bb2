import { once } from '../../once';
import { isObject, type Entity } from '../findings';
import { MISSING, type PlacedStructure } from '../structures/measures';
import { builtOf, typicalOf, unbuildable } from '../structures/placed';
import { checkReference, listOf, type RuleContext } from './context';

/** What measures build, counted. */
const sizeOf = once((values: PlacedStructure['values'], type: string) => {
  const part = builtOf({ type, values });
  return { nodes: part.nodes.length, members: part.members.length };
});

/** Typical structures have measures that can be built, and name as many nodes and members as these build. */
export function checkStructures({ model, findings, nodes, members }: RuleContext): void {
  listOf(model, 'structures').forEach((one: Entity, i) => {
    const { id, type, values } = one as unknown as PlacedStructure;
    // What is not readable has been told.
    if (typeof type !== 'string' || !typicalOf(type) || !isObject(values)) return;
    const subjects = [`structure ${String(id)}`];
    const bad = unbuildable(type, values);
    if (bad)
      return void findings.fault({
        code: 'bad-measure',
        path: `structures[${i}].values${bad.key === undefined ? '' : `.${bad.key}`}`,
        value: bad.key === undefined ? undefined : values[bad.key],
        what: `${bad.what} in structure “${String(id)}”`,
        expected: 'measures that can be built',
        remedy: 'Give others',
        subjects,
      });
    const size = sizeOf(values, type);
    for (const [list, known, word] of [
      ['nodes', nodes, 'node'],
      ['members', members, 'member'],
    ] as const) {
      // oxfmt-ignore
      const own = listOf(one, list) as unknown as readonly string[];
      own.forEach((name, k) => name !== MISSING && checkReference(findings, known, name, `structures[${i}].${list}[${k}]`, word));
      if (own.length !== size[list])
        findings.fault({
          code: 'bad-structure',
          path: `structures[${i}].${list}`,
          value: own.length,
          what: `Structure “${String(id)}” names ${own.length} ${list}, and its measures build ${size[list]}`,
          expected: `${size[list]} names`,
          remedy: 'Name as many, or leave the structure out of the list: what it consists of stays',
          subjects,
        });
    }
  });
}
