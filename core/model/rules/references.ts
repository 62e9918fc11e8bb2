import type { Findings } from '../findings';
import type { Entity } from '../findings';
import { checkReference, listOf, type RuleContext } from './context';

/** Ids are used once in their list; cases, actions and combinations share one space of names. */
export function checkDuplicates({ model, findings }: RuleContext): void {
  const lists: [string, string, string][] = [
    ['materials', 'id', 'material'],
    ['sections', 'id', 'section'],
    ['nodes', 'id', 'node'],
    ['members', 'id', 'member'],
    ['supports', 'node', 'support of node'],
    ['groups', 'id', 'group'],
    ['trains', 'id', 'train'],
    ['expected', 'id', 'expected value'],
    ['ruleSets', 'id', 'set of rules'],
    ['loads', 'id', 'load'],
    ['parameters', 'id', 'parameter'],
    ['formulas', 'of', 'expression of'],
    ['structures', 'id', 'structure'],
  ];
  for (const [list, key, word] of lists) {
    const seen = new Set<unknown>();
    listOf(model, list).forEach((item, i) => {
      noteDuplicate(findings, seen, item[key], `${list}[${i}].${key}`, word);
    });
  }
  const outcomes = new Set<unknown>();
  for (const list of ['cases', 'actions', 'combinations']) {
    listOf(model, list).forEach((item, i) =>
      noteDuplicate(findings, outcomes, item.id, `${list}[${i}].id`, 'case or combination'),
    );
  }
}

function noteDuplicate(findings: Findings, seen: Set<unknown>, id: unknown, path: string, word: string): void {
  if (id === undefined) return;
  if (seen.has(id)) {
    findings.fault({
      code: 'duplicate-id',
      path,
      value: id,
      what: `There is already a ${word} “${String(id)}”`,
      expected: 'an id used once',
      remedy: 'Rename or remove one of the two',
      subjects: [`${word} ${String(id)}`],
    });
  }
  seen.add(id);
}

/** Groups name what is there. */
export function checkGroups({ model, findings, nodes, members }: RuleContext): void {
  listOf(model, 'groups').forEach((group, i) => {
    const parts = [
      ['nodes', nodes, 'node'],
      ['members', members, 'member'],
    ] as const;
    for (const [list, known, word] of parts)
      listOf(group, list).forEach((id, k) => checkReference(findings, known, id, `groups[${i}].${list}[${k}]`, word));
  });
}

/** What is expected is of a member and an outcome that are there. */
export function checkExpected({ model, findings, members }: RuleContext): void {
  const all = listOf(model, 'expected');
  if (all.length === 0) return;
  const outcomes = new Map([...listOf(model, 'cases'), ...listOf(model, 'combinations')].map((one) => [one.id, one]));
  all.forEach(({ member, outcome }, i) => {
    checkReference(findings, members, member, `expected[${i}].member`, 'member');
    checkReference(findings, outcomes, outcome, `expected[${i}].outcome`, 'case or combination');
  });
}

/** A report reads members closely that are there, in the chapter that is for that. */
export function checkReport({ model, findings, members }: RuleContext): void {
  const report = model.report as Entity | undefined;
  if (typeof report !== 'object' || report === null) return;
  listOf(report, 'chapters').forEach((chapter, i) => {
    if (Array.isArray(chapter.pictures) && chapter.chapter !== 'text')
      findings.fault({
        code: 'idle-key',
        path: `report.chapters[${i}].pictures`,
        value: chapter.chapter,
        what: 'Only chapters of the user’s own have pictures',
        expected: 'no pictures in other chapters',
        remedy: 'Move them to a chapter “text”',
      });
    if (!Array.isArray(chapter.members)) return;
    const path = `report.chapters[${i}].members`;
    chapter.members.forEach((id, k) => checkReference(findings, members, id, `${path}[${k}]`, 'member'));
    if (chapter.chapter !== 'members')
      findings.fault({
        code: 'idle-key',
        path,
        value: chapter.chapter,
        what: 'Only the chapter “members” reads members closely',
        expected: 'no members in other chapters',
        remedy: 'Leave them out, or name them in that chapter',
      });
  });
}
