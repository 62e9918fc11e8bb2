import { limitStates, limitStateTable, type LimitState } from '../model/categories';
import type { Outcome } from './outcome';
import type { Combination, Model } from '../model/model';
import { titleOfCombination } from './sum-text';

/** What is looked at together: cases, sums for a limit state, envelopes. */
export const listKinds = ['case', ...limitStates, 'envelope', 'critical load', 'natural mode', 'earthquake'] as const;
export type ListKind = (typeof listKinds)[number];

const KIND_TITLES: Readonly<Partial<Record<ListKind, string>>> = {
  case: 'Cases',
  envelope: 'Envelopes',
  'critical load': 'Critical loads',
  'natural mode': 'Natural modes',
  earthquake: 'Earthquake',
};
export const kindTitle = (kind: ListKind): string => KIND_TITLES[kind] ?? limitStateTable[kind as LimitState].title;

/** A case or a combination as it is listed: its place among the outcomes, and why rules have made it. */
export interface Listed {
  readonly id: string;
  readonly title: string;
  readonly why: string;
  readonly outcome: number;
  readonly kind: ListKind;
  /** How many results it governs among those of its kind, where that is known. */
  readonly governs: number | undefined;
}

const kindOf = (one: Combination): ListKind => (one.type === 'envelope' ? 'envelope' : (one.limitState ?? 'other'));

/**
 * All cases and combinations by their kinds; of sums those that govern something first, each in the order of the model. `governs`: by id, as
 * `readGoverningSums` finds it; `outcomes`: of a solution, whose shapes stand last.
 */
export function listed(
  { cases, combinations }: Pick<Model, 'cases' | 'combinations'>,
  governs?: ReadonlyMap<string, number>,
  outcomes: readonly Outcome[] = [],
): readonly Listed[] {
  const named = cases.length + combinations.length;
  const all = [
    ...cases.map(({ id, title = '' }, outcome): Listed => ({ id, title, why: title, outcome, kind: 'case', governs: undefined })),
    ...combinations.map((one, i): Listed => {
      const title = titleOfCombination(one);
      const why = one.made ? `${title} · ${one.made.reason}` : title;
      return { id: one.id, title, why, outcome: cases.length + i, kind: kindOf(one), governs: governs?.get(one.id) };
    }),
    ...outcomes.flatMap((one, outcome): Listed[] => {
      const isOwn =
        one.kind === 'spectral' || (one.kind === 'envelope' && outcome >= named && outcomes[one.parts[0]!]?.kind === 'spectral');
      if (one.kind !== 'shape' && !isOwn) return [];
      const { id, title } = one;
      const kind = one.kind !== 'shape' ? 'earthquake' : one.measure === 'factor' ? 'critical load' : 'natural mode';
      return [{ id, title, why: title, outcome, kind, governs: undefined }];
    }),
  ];
  const groups = new Map(listKinds.map((kind) => [kind, [[], []] as [Listed[], Listed[]]]));
  for (const one of all) groups.get(one.kind)![one.governs === 0 ? 1 : 0].push(one);
  return [...groups.values()].flatMap(([first, last]) => [...first, ...last]);
}
