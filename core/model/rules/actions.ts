import type { Entity } from '../findings';
import { isOneTerm, type ActionGroup } from '../model';
import { inOrderOfReference } from '../reference-order';
import { byId, checkReference, listOf, type RuleContext } from './context';
import { circularOf } from './circular';

const partsOf = ({ of }: Entity): readonly string[] => (Array.isArray(of) ? (of as string[]) : []);

/** Actions name cases and other actions of one category, each of which stands in no other, and never themselves. */
export function checkActions({ model, findings }: RuleContext): void {
  const [cases, actions] = [byId(model, 'cases'), byId(model, 'actions')];
  const known = new Map([...cases, ...actions]);
  const circular = circularOf(actions, (id) => partsOf(actions.get(id)!));
  const owners = new Map<string, unknown>();
  /** The categories of the cases at the bottom; from the bottom up. */
  const found = new Map<unknown, ReadonlySet<unknown>>([...cases].map(([id, one]) => [id, new Set([one.category])]));
  const sound = [...actions].filter(([id]) => !circular.has(id));
  for (const id of inOrderOfReference(sound.map(([own, one]) => ({ id: String(own), parts: partsOf(one) }))))
    found.set(id, new Set(partsOf(actions.get(id)!).flatMap((part) => [...(found.get(part) ?? [])])));
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
    if (isOneTerm(action.type as ActionGroup['type']) && (partsOf(action).length !== 1 || actions.has(partsOf(action)[0])))
      findings.fault({
        code: action.type === 'pattern' ? 'wrong-pattern' : 'wrong-travelling',
        path: `actions[${i}].of`,
        value: partsOf(action).join(', '),
        what:
          action.type === 'pattern'
            ? `The pattern “${String(action.id)}” is of one case, of which it loads some spans at a time`
            : `The action “${String(action.id)}” is of one case, whose trains travel`,
        expected: 'one load case',
        remedy:
          action.type === 'pattern'
            ? 'Name the case that loads the whole; make a pattern of each other one'
            : 'Name the case that holds the trains; let those of each other one travel by themselves',
        subjects,
      });
    const kinds = [...(found.get(action.id) ?? [])];
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
  });
}
