import { isObject, type Entity, type Findings } from '../findings';

/** A model that is read, but whose entries may contradict each other, and where to tell so. */
export interface RuleContext {
  readonly model: Entity;
  readonly findings: Findings;
  readonly nodes: ReadonlyMap<unknown, Entity>;
  readonly members: ReadonlyMap<unknown, Entity>;
}

export const ruleContext = (model: Entity, findings: Findings): RuleContext => ({
  model,
  findings,
  nodes: byId(model, 'nodes'),
  members: byId(model, 'members'),
});

export const listOf = (model: Entity, name: string): Entity[] => (Array.isArray(model[name]) ? (model[name] as Entity[]) : NONE);
/** One list, so that what is found of it once is found again. */
const NONE: Entity[] = [];
export const byId = (model: Entity, list: string): Map<unknown, Entity> =>
  new Map(listOf(model, list).map((item) => [item.id, item]));
export const numberOf = (value: unknown, otherwise = 0): number => (typeof value === 'number' ? value : otherwise);

export function checkReference(
  findings: Findings,
  known: ReadonlyMap<unknown, Entity>,
  id: unknown,
  path: string,
  word: string,
): void {
  if (id === undefined || known.has(id)) return;
  findings.fault({
    code: 'broken-reference',
    path,
    value: id,
    what: `There is no ${word} “${String(id)}”`,
    expected: `the id of a ${word}`,
    remedy: `Name an existing ${word}, or add “${String(id)}”`,
    subjects: [`${word} ${String(id)}`],
  });
}

/** Length between the offset ends in metres; undefined while a node is missing or unreadable. */
export function memberLength(member: Entity, nodes: ReadonlyMap<unknown, Entity>): number | undefined {
  const start = nodes.get(member.start);
  const end = nodes.get(member.end);
  if (!start || !end || [start.x, start.y, end.x, end.y].some((value) => typeof value !== 'number')) return undefined;
  const offset = isObject(member.offset) ? member.offset : {};
  const arm = (side: string, axis: number): number =>
    Array.isArray(offset[side]) ? numberOf((offset[side] as unknown[])[axis]) : 0;
  return Math.hypot(
    ...['x', 'y', 'z'].map((axis, i) => numberOf(end[axis]) + arm('end', i) - numberOf(start[axis]) - arm('start', i)),
  );
}

/** A position along something, and how to name that in a message. */
interface Position {
  readonly load: Entity;
  readonly at: unknown;
  readonly path: string;
  /** 1 for a ratio, else the length in metres. */
  readonly furthest: number;
  readonly what: string;
  readonly subjects: readonly string[];
}

/** A position must lie between the start and the furthest place. */
export function checkPosition(findings: Findings, { load, at, path, furthest, what, subjects }: Position): void {
  if (typeof at !== 'number' || (at >= 0 && at <= furthest * (1 + 1e-9))) return;
  findings.fault({
    code: 'position-outside',
    path,
    value: at,
    what: `The load lies outside ${what}`,
    expected: load.measure === 'length' ? `0 to ${furthest} m` : 'a ratio from 0 to 1',
    remedy: `Give a position between 0 and ${furthest}`,
    subjects,
  });
}
