import { extremesOverMembers } from '@rigid-beam/core/results/extremes-over-members';
import { quantitiesOf, symbolOf, unitOfQuantity, isLine } from '@rigid-beam/core/results/quantities';
import { nameOf as nameOfOutcome } from '@rigid-beam/core/model/named';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { formulasOf, type Formula } from '@rigid-beam/core/tables/results/formulas';
import { headlinesOf, memberLines } from '@rigid-beam/core/tables/results/headlines/headlines';
import type { Table } from '@rigid-beam/core/tables/column';
import type { Writing } from '../asked';
import { heading, table, words, type Block } from '../blocks';
import { chartPicture } from '../chart-picture';
import { reportWords as WORDS } from '../words';
import { reported } from './results';

/** Members that are read closely where none are named, and pictures at most: more would be no report. */
const USUAL = 3;
const MOST = 200;

/** The members in which something governs in what is reported, the largest moments first. */
function governing(writing: Writing): readonly number[] {
  const { model, solution, display } = writing;
  const found = reported(writing).map((outcome) =>
    headlinesOf({ model, solution: solution!, outcome, display }, (quantity) =>
      extremesOverMembers(solution!, outcome, quantity),
    ),
  );
  const places = [0, 1, 2, 3].flatMap((k) => found.flatMap((lines) => (lines[k] ? [lines[k].at.member] : [])));
  return [...new Set(places)].slice(0, USUAL);
}

/** Members one by one: what each is, and in each outcome what governs in it, its diagrams over one axis, and their formulas. */
export function members(writing: Writing, named: readonly string[] | undefined): Block[] | string {
  const { model, solution, asked, display, widthOf } = writing;
  const places = new Map(model.members.map(({ id }, i) => [id, i]));
  const lost = named?.find((id) => !places.has(id));
  if (lost !== undefined) return WORDS.noMember(lost);
  if (!solution) return [words(WORDS.notSolved)];
  const chosen = named && named.length > 0 ? named.map((id) => places.get(id)!) : governing(writing);
  const outcomes = reported(writing);
  if (chosen.length * outcomes.length > MOST) return WORDS.tooManyMembers(chosen.length, outcomes.length, MOST);
  const { structure } = solution;
  const inPlace = new Set(quantitiesOf(structure));
  const quantities = asked.quantities.filter((quantity) => inPlace.has(quantity));
  return chosen.flatMap((m): Block[] => {
    const { id, start, end, section, material, behaviour } = model.members[m]!;
    return [
      heading(2, WORDS.member(id)),
      {
        is: 'facts',
        facts: [
          [WORDS.reaches, WORDS.fromTo(start, end, showQuantity(structure.lengths[m]!, display.length))],
          [WORDS.made, WORDS.of(section, material)],
          ...(behaviour === 'truss' ? [[WORDS.behaves, WORDS.truss] as const] : []),
        ],
      },
      ...outcomes.flatMap((outcome): Block[] => {
        const name = nameOfOutcome(solution.outcomes[outcome]!);
        writing.told?.(WORDS.along(id, name));
        const lines = memberLines({ model, solution, outcome, display, members: [m] });
        const picture = chartPicture({ solution, outcome, member: m, quantities, display, inks: asked.inks, widthOf });
        return [
          words(WORDS.inOutcome(name)),
          ...(lines.length > 0
            ? [
                {
                  is: 'facts',
                  facts: lines.map(({ title, value, words: where }) => [title, `${value} ${where}`] as const),
                } as const,
              ]
            : []),
          ...(picture ? [{ is: 'picture', picture, caption: WORDS.along(id, name) } as const] : []),
          ...table(formulas(writing, outcome, m)),
        ];
      }),
    ];
  });
}

interface FormulaRow extends Formula {
  readonly what: string;
}

/** The formulas of what is drawn, of an outcome of one value; none of an envelope. */
function formulas({ solution, asked, display, model }: Writing, outcome: number, m: number): Table<FormulaRow> | undefined {
  const rows = asked.quantities.flatMap((quantity): FormulaRow[] => {
    if (!isLine(quantity)) return [];
    const what = `${symbolOf(model.space, quantity, display)} (${unitOfQuantity(quantity, display)})`;
    return (formulasOf(solution!, outcome, m, quantity, display) ?? []).map((one) => ({ ...one, what }));
  });
  if (rows.length === 0) return undefined;
  const place = (metres: number): string => showQuantity(metres, display.length);
  return {
    title: WORDS.formulas(display.length),
    columns: [
      { key: 'what', title: WORDS.quantity, value: ({ what }) => what },
      { key: 'from', title: WORDS.from, value: ({ from }) => place(from) },
      { key: 'to', title: WORDS.to, value: ({ to }) => place(to) },
      { key: 'text', title: WORDS.formula, value: ({ text }) => text },
    ],
    rows,
  };
}
