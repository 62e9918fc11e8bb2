import { ACTION_WAYS } from '../../limits';
import type { Entity } from '../findings';
import { inOrderOfReference } from '../reference-order';
import { byId, checkReference, listOf, type RuleContext } from './context';
import { circularOf } from './circular';

const partsOf = ({ of }: Entity): readonly string[] => (Array.isArray(of) ? (of as string[]) : []);

interface Found {
  readonly categories: ReadonlySet<unknown>;
  readonly ways: number;
}

function foundIn({ type }: Entity, parts: readonly Found[]): Found {
  const ways = parts.map((one) => one.ways);
  const sum = ways.reduce((a, b) => a + b, 0);
  return {
    categories: new Set(parts.flatMap(({ categories }) => [...categories])),
    ways: type === 'together' ? ways.reduce((a, b) => a * b, 1) : type === 'both signs' ? 2 * sum : sum,
  };
}

/** Actions name cases and other actions of one category, each of which stands in no other, and never themselves. */
export function checkActions({ model, findings }: RuleContext): void {
  const [cases, actions] = [byId(model, 'cases'), byId(model, 'actions')];
  const known = new Map([...cases, ...actions]);
  const circular = circularOf(actions, (id) => partsOf(actions.get(id)!));
  const owners = new Map<string, unknown>();
  /** What the cases at the bottom are, and in how many ways the whole acts; from the bottom up. */
  const found = new Map<unknown, Found>([...cases].map(([id, one]) => [id, { categories: new Set([one.category]), ways: 1 }]));
  for (const id of inOrderOfReference(
    [...actions].filter(([id]) => !circular.has(id)).map(([id, one]) => ({ id: String(id), parts: partsOf(one) })),
  ))
    found.set(
      id,
      foundIn(
        actions.get(id)!,
        partsOf(actions.get(id)!).flatMap((part) => found.get(part) ?? []),
      ),
    );
  listOf(model, 'actions').forEach((action, i) => {
    const subjects = [`action ${String(action.id)}`];
    partsOf(action).forEach((part, k) => {
      const path = `actions[${i}].of[${k}]`;
      checkReference(findings, known, part, path, 'case or action');
      if (owners.has(part))
        findings.fault({
          code: 'part-of-two',
          path,
          value: part,
          what: `“${part}” belongs to “${String(owners.get(part))}” already, and acts in one action only`,
          expected: 'a case or an action that belongs to no other',
          remedy: `Take it out of one of the two, or put “${String(owners.get(part))}” here`,
          subjects,
        });
      owners.set(part, action.id);
    });
    if (circular.has(action.id))
      findings.fault({
        code: 'circular-action',
        path: `actions[${i}].of`,
        value: partsOf(action),
        what: `The action “${String(action.id)}” is part of itself`,
        expected: 'cases, or actions that do not lead back here',
        remedy: 'Remove the part that leads back',
        subjects,
      });
    const { categories, ways } = found.get(action.id) ?? { categories: new Set(), ways: 1 };
    const kinds = [...categories];
    if (kinds.length > 1)
      findings.fault({
        code: 'mixed-action',
        path: `actions[${i}].of`,
        value: kinds.join(', '),
        what: `The cases of the action “${String(action.id)}” are of several categories, and one factor is for all of them`,
        expected: 'cases of one category',
        remedy: 'Group cases of one category, or change the category of some',
        subjects,
      });
    if (ways > ACTION_WAYS)
      findings.fault({
        code: 'too-many-ways',
        path: `actions[${i}].of`,
        value: ways,
        what: `The action “${String(action.id)}” could act in ${ways.toLocaleString('en-GB')} ways, and ${ACTION_WAYS} is the most`,
        expected: `at most ${ACTION_WAYS} ways`,
        remedy: 'Take fewer cases that turn round or take turns together',
        subjects,
      });
  });
}
