'use client';

import type { Shape } from '@rigid-beam/core/combinations/outcome';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { bendingMost } from '@rigid-beam/core/results/buckling-lengths';
import { responseOf } from '@rigid-beam/core/results/sums';
import type { Solution } from '@rigid-beam/core/results/results';
import { bucklingLengthsTable } from '@rigid-beam/core/tables/results/buckling-lengths';
import { useDisplay, useEditor } from '../../editor/use-editor';
import { CopiedTable } from '../../ui/CopiedTable';
import { Button, Hint, PanelSubtitle, Row, Stack } from '../../ui/controls';
import { shapePart as WORDS } from './words';

/** Members that are named. */
const NAMED = 6;
/** Rows that stand here; all of them stand in the schedule. */
const MOST_ROWS = 40;

const AWAY: ReadonlySet<string> = new Set(['N', 'length']);

/** A shape in which the structure gives way: by which factor, who bends, and how long the members are in it. */
export function ShapePart({
  solution,
  outcome,
  shape,
}: {
  readonly solution: Solution;
  readonly outcome: number;
  readonly shape: Shape;
}) {
  const editor = useEditor();
  const display = useDisplay();
  const { structure } = solution;
  const bending = bendingMost(structure, responseOf(solution, outcome)!);
  const names = bending.slice(0, NAMED).map((m) => structure.names.members[m]!);
  const of = shape.of === undefined ? '' : solution.outcomes[shape.of]!.id;
  const table = bucklingLengthsTable(solution, outcome, display);
  // What fits beside the sheet; the rest stands in the schedule.
  const narrow = table && {
    ...table,
    columns: table.columns.filter(({ key }) => !AWAY.has(key)),
    rows: table.rows.slice(0, MOST_ROWS),
  };
  return (
    <Stack>
      <PanelSubtitle>{shape.id}</PanelSubtitle>
      <Hint role="status">
        {WORDS.factor(showNumber(shape.value), of)} {names.length > 0 && WORDS.bends(names, bending.length - names.length)}
      </Hint>
      {shape.value > 0 && shape.value < 1 && <Hint>{WORDS.beyond}</Hint>}
      {shape.value >= 1 && shape.value < 10 && !solution.firstOrder && <Hint>{WORDS.below10}</Hint>}
      {table && narrow && (
        <>
          <PanelSubtitle>{table.title}</PanelSubtitle>
          <CopiedTable table={narrow} />
          <Row>
            <Button onPress={() => editor.show({ drawer: 'bucklingLengths' })}>{WORDS.schedule}</Button>
          </Row>
        </>
      )}
    </Stack>
  );
}
