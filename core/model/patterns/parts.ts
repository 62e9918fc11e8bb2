import { isOnMember, type PrimitiveLoad } from '../loads/primitive';
import type { ActionGroup, Model } from '../model';
import { uniqueNames } from '../unique-names';
import { spansOf, type Span } from './spans';

/** How a pattern is loaded where it does not say: what EN 1992-1-1, 5.1.3, asks for, and the whole. */
export const USUAL_WAYS = ['everywhere', 'alternate', 'adjacent'] as const;

/** What of a case lies on some members, solved for itself: a span, a bay or a storey; the last one is what lies on no member. */
export interface PartCase {
  /** As the solution names it: “Q, span 2”. */
  readonly id: string;
  readonly of: string;
  readonly action: string;
  /** Its number among those of its case, from 1; undefined of what is on no member, and always acts. */
  readonly number: number | undefined;
  readonly members: ReadonlySet<string>;
  /** The run of a span, and its place along it; bays and storeys are one run. */
  readonly run: number;
  readonly place: number;
  readonly selfWeight?: number;
}

const WORDS = { spans: 'span', bays: 'bay', storeys: 'storey' } as const;

/** What a pattern is said to be on: “spans 1, 3”. */
export const partWords = (by: NonNullable<ActionGroup['by']>, numbers: readonly number[]): string =>
  `${WORDS[by]}${numbers.length === 1 ? '' : 's'} ${numbers.join(', ')}`;

/** Metres within which bays and storeys are the same. */
const SAME = 0.01;

/** Spans as the parts of a pattern: each for itself, or those on one level, or between the same lines. */
function partsBy(
  by: NonNullable<ActionGroup['by']>,
  spans: readonly Span[],
): readonly Pick<PartCase, 'members' | 'run' | 'place'>[] {
  if (by === 'spans') return spans.map(({ members, run, place }) => ({ members: new Set(members), run, place }));
  const at = ({ across, up }: Span): number => (by === 'bays' ? across : up);
  const groups: { readonly at: number; readonly members: Set<string> }[] = [];
  for (const span of spans.toSorted((a, b) => at(a) - at(b))) {
    const last = groups.at(-1);
    if (last && at(span) - last.at <= SAME) for (const id of span.members) last.members.add(id);
    else groups.push({ at: at(span), members: new Set(span.members) });
  }
  return groups.map(({ members }, place) => ({ members, run: 0, place }));
}

type Patterned = Pick<Model, 'cases' | 'actions' | 'nodes' | 'members' | 'supports' | 'combinations'>;

/** The cases that patterns are made of, beside those of a sound model; `loads`: what all its loads stand for. */
export function partCases(model: Patterned, loads: readonly PrimitiveLoad[]): readonly PartCase[] {
  const { cases, actions = [], members, combinations } = model;
  const patterns = actions.filter(({ type }) => type === 'pattern');
  if (patterns.length === 0) return [];
  const free = uniqueNames([...cases, ...actions, ...combinations].map(({ id }) => id));
  return patterns.flatMap(({ id: action, of: [source], by = 'spans' }): PartCase[] => {
    const { id: of, selfWeight } = cases.find(({ id }) => id === source)!;
    const own = loads.filter((load) => load.case === of);
    const loaded = selfWeight ? members.map(({ id }) => id) : own.filter(isOnMember).map(({ member }) => member);
    const parts = partsBy(by, spansOf(model, new Set(loaded))).map((part, i): PartCase => ({
      id: free(`${of}, ${partWords(by, [i + 1])}`),
      ...{ of, action, number: i + 1 },
      ...part,
      ...(selfWeight && { selfWeight }),
    }));
    const isElsewhere = own.some((load) => !isOnMember(load));
    return isElsewhere
      ? [...parts, { id: free(`${of}, elsewhere`), of, action, number: undefined, members: new Set(), run: 0, place: 0 }]
      : parts;
  });
}

/** Whether two models have the same parts. */
export const sameParts = (a: readonly PartCase[], b: readonly PartCase[]): boolean =>
  a === b ||
  (a.length === b.length &&
    a.every((one, i) => {
      const other = b[i]!;
      return (
        one.id === other.id &&
        one.selfWeight === other.selfWeight &&
        one.members.size === other.members.size &&
        [...one.members].every((id) => other.members.has(id))
      );
    }));

/** The sets of parts (by their numbers) that a pattern loads one after the other; those that are the same once. */
export function loadedSets(parts: readonly PartCase[], ways: NonNullable<ActionGroup['ways']>): readonly (readonly number[])[] {
  const numbered = parts.filter((part): part is PartCase & { number: number } => part.number !== undefined);
  const all = numbered.map(({ number }) => number);
  const sets: Readonly<Record<(typeof ways)[number], readonly (readonly number[])[]>> = {
    everywhere: [all],
    // Of several runs those above each other take turns, as fields of a chequered board.
    alternate: [0, 1].map((odd) => numbered.filter((part) => (part.place + part.run) % 2 === odd).map(({ number }) => number)),
    adjacent: numbered.slice(1).flatMap((part, i) => (numbered[i]!.run === part.run ? [[numbered[i]!.number, part.number]] : [])),
    each: all.map((number) => [number]),
  };
  const found = new Map(ways.flatMap((way) => sets[way]).filter(({ length }) => length > 0).map((set) => [set.join(), set])); // oxfmt-ignore
  // Too few spans for what is asked for: then all of it acts.
  return found.size > 0 ? [...found.values()] : [all];
}
