'use client';

import type { Shape } from '@rigid-beam/core/combinations/outcome';
import { axisKeys, inReaderOrder, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { bendingMost } from '@rigid-beam/core/results/buckling-lengths';
import { responseOf } from '@rigid-beam/core/results/sums';
import type { Solution } from '@rigid-beam/core/results/results';
import { shapeMotion } from '@rigid-beam/core/results/shape-motion';
import { massesTable, modesOf, naturalModesTable } from '@rigid-beam/core/tables/results/natural-modes';
import { bucklingLengthsTable } from '@rigid-beam/core/tables/results/buckling-lengths';
import { isOn } from '@rigid-beam/drawing/stage-view';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { CopiedTable } from '../../ui/CopiedTable';
import { Button, Hint, PanelSubtitle, Row, Stack, ToggleButton } from '../../ui/controls';
import { HarmonicPart } from './HarmonicPart';
import { shapePart as WORDS } from './words';

/** Members that are named. */
const NAMED = 6;
/** Rows that stand here; all of them stand in the schedule. */
const MOST_ROWS = 40;

const AWAY: ReadonlySet<string> = new Set(['N', 'length']);

interface ShapePartProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly shape: Shape;
}

/** A shape of no particular size: a critical load, or a natural mode. */
export const ShapePart = (props: ShapePartProps) =>
  props.shape.swing ? <SwingingPart {...props} /> : <BucklingPart {...props} />;

/** A natural mode: how quick, what of the mass takes part, and what swings at all. */
function SwingingPart({ solution, outcome, shape }: ShapePartProps) {
  const editor = useEditor();
  const display = useDisplay();
  const row = modesOf(solution).find(({ id }) => id === shape.id)!;
  const axes = inReaderOrder(axisKeys, display);
  const shares = axes.flatMap((key) => {
    const percent = Math.round(100 * row.shares[axisKeys.indexOf(key)]!);
    return percent > 0 ? [[percent, structureAxis(display, key).letter] as const] : [];
  });
  const modes = naturalModesTable(solution, outcome, display)!;
  const masses = massesTable(solution, outcome, display)!;
  const narrow = {
    ...modes,
    columns: modes.columns.flatMap((column) => {
      const axis = axes.find((key) => column.key === `share ${key}`);
      if (axis) return [{ ...column, title: structureAxis(display, axis).letter }];
      return column.key === 'frequency' ? [{ ...column, title: WORDS.f }] : column.key === 'mode' ? [column] : [];
    }),
  };
  const areAllLocal = modes.rows.every(({ shares }) => shares.every((share) => share < LOCAL));
  return (
    <Stack>
      <PanelSubtitle>{shape.id}</PanelSubtitle>
      <Hint role="status">
        {WORDS.frequency(showNumber(shape.value), showNumber(1 / shape.value))} <Motion solution={solution} outcome={outcome} />{' '}
        {shares.length > 0 ? WORDS.takesPart(shares) : WORDS.takesNoPart}
      </Hint>
      <Watch />
      <PanelSubtitle>{modes.title}</PanelSubtitle>
      <CopiedTable table={narrow} />
      {areAllLocal && <Lumping />}
      <HarmonicPart solution={solution} />
      <PanelSubtitle>{WORDS.masses}</PanelSubtitle>
      <CopiedTable table={{ ...masses, columns: masses.columns.filter(({ key }) => !key.startsWith('centre')) }} />
      <Row>
        <Button onPress={() => editor.show({ drawer: 'naturalModes' })}>{WORDS.schedule}</Button>
      </Row>
    </Stack>
  );
}

/** Lets the shape move to and fro on the sheet. */
function Watch() {
  const editor = useEditor();
  const isOnNow = useEditorState(({ stage, switches }) => isOn(stage, switches, 'moving'));
  return (
    <Row>
      <ToggleButton isSelected={isOnNow} onChange={(moving) => editor.go({ switches: { ...editor.state.switches, moving } })}>
        {WORDS.watch}
      </ToggleButton>
    </Row>
  );
}

/** Modes of the whole structure take more of the mass with them. */
const LOCAL = 0.1;

/** Where only members swing: how to see what the nodes do. */
function Lumping() {
  const editor = useEditor();
  const lump = (): void => {
    const { analysis } = editor.state.model;
    editor.edit({
      type: 'set',
      settings: { analysis: { ...analysis, naturalModes: { ...analysis?.naturalModes, between: 'lumped' } } },
    });
  };
  return (
    <>
      <Hint>{WORDS.byThemselves}</Hint>
      <Row>
        <Button onPress={lump}>{WORDS.lump}</Button>
      </Row>
    </>
  );
}

/** Where it moves most, in words. */
function Motion({ solution, outcome }: Pick<ShapePartProps, 'solution' | 'outcome'>) {
  const display = useDisplay();
  const { names } = solution.structure;
  const motion = shapeMotion(solution, responseOf(solution, outcome)!);
  if (motion.at === 'node') return WORDS.moves(names.nodes[motion.node]!, structureAxis(display, motion.axis).letter);
  const ids = motion.members.slice(0, NAMED).map((m) => names.members[m]!);
  return WORDS.between(ids, motion.members.length - ids.length);
}

/** A shape in which the structure gives way: by which factor, who bends, and how long the members are in it. */
function BucklingPart({ solution, outcome, shape }: ShapePartProps) {
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
        {WORDS.factor(showNumber(shape.value), of)} <Motion solution={solution} outcome={outcome} />{' '}
        {names.length > 0 && WORDS.bends(names, bending.length - names.length)}
      </Hint>
      <Watch />
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
