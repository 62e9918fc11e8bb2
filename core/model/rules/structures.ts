import { once } from '../../once';
import { isObject, type Entity } from '../findings';
import { MISSING, type PlacedStructure } from '../structures/measures';
import { builtOf, typicalOf } from '../structures/placed';
import { valueFault } from '../typical/typical';
import { checkReference, listOf, type RuleContext } from './context';

/** Nodes of a structure, at most: measures that would build more are a slip of the finger. */
const MOST_NODES = 20_000;

/** What measures build, counted; undefined where it would be too much. */
const sizeOf = once((values: PlacedStructure['values'], type: string): { nodes: number; members: number } | undefined => {
  const typical = typicalOf(type)!;
  const counts = typical.fields.map(({ kind, key }) => {
    const value = values[key];
    return kind === 'count' ? Number(value) + 1 : Array.isArray(value) ? value.length + 1 : 1;
  });
  if (counts.reduce((product, one) => product * one, 4) > MOST_NODES) return undefined;
  const part = builtOf({ type, values });
  return { nodes: part.nodes.length, members: part.members.length };
});

/** Typical structures have measures that can be built, and name as many nodes and members as these build. */
export function checkStructures({ model, findings, nodes, members }: RuleContext): void {
  listOf(model, 'structures').forEach((one: Entity, i) => {
    const { id, type, values } = one as unknown as PlacedStructure;
    const typical = typeof type === 'string' ? typicalOf(type) : undefined;
    if (!typical || !isObject(values)) return;
    const subjects = [`structure ${String(id)}`];
    const bad = typical.fields.flatMap((field) => {
      const what = valueFault(field, values[field.key]);
      return what === undefined ? [] : [{ key: field.key, what }];
    });
    for (const { key, what } of bad)
      findings.fault({
        code: 'bad-measure',
        path: `structures[${i}].values.${key}`,
        value: values[key],
        what: `${what} in structure “${String(id)}”`,
        expected: 'a measure that can be built',
        remedy: 'Give another one',
        subjects,
      });
    if (bad.length > 0) return;
    const size = sizeOf(values, type);
    if (!size)
      return void findings.fault({
        code: 'bad-measure',
        path: `structures[${i}].values`,
        value: undefined,
        what: `Structure “${String(id)}” would have more nodes than can be built at once`,
        expected: `at most ${MOST_NODES} nodes`,
        remedy: 'Give fewer parts',
        subjects,
      });
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
