'use client';

import { placeText } from '@rigid-beam/core/model/parameters/place';
import { alongAxis, structureAxis, withAxes } from '@rigid-beam/core/quantities/axis-names';
import { useState } from 'react';
import { gridThrough, linesOf, respace } from '@rigid-beam/core/model/grid-lines';
import type { GridAxis } from '@rigid-beam/core/model/model';
import { axisNames, type AxisName } from '@rigid-beam/core/model/point';
import { parseSpacings, showSpacings } from '@rigid-beam/core/quantities/spacings';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { useEditor, useEditorState } from '../../editor/use-editor';
import { Button, Columns, Hint, PlainButton, Row, ToggleButton } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { TextLine } from '../../ui/TextLine';
import { gridPart as WORDS } from './words';

const LINES: Record<AxisName, string> = { x: WORDS.baysAlongX, y: WORDS.levels, z: WORDS.framesAlongZ };

/** Named grid lines as spacings; the structure follows them when it is told to. */
export function GridPart() {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const [follows, setFollows] = useState(true);
  const axes = model.space === 'plane' ? (['x', 'y'] as const) : axisNames;
  const display = displayOf(model);
  const unit = display.length;
  const linesOfAxis = (axis: AxisName): string => withAxes(LINES[axis], display);
  const set = (axis: AxisName, next: GridAxis | undefined): void => {
    if (next) editor.edit(respace(model, axis, next, follows ? 'follow' : 'stay'));
    else {
      const { [axis]: _, ...rest } = model.grid ?? {};
      editor.edit({ type: 'set', settings: { grid: Object.keys(rest).length > 0 ? rest : null } });
    }
  };
  return (
    <>
      <ToggleButton isSelected={follows} onChange={setFollows}>
        {WORDS.theStructureFollows}
      </ToggleButton>
      {axes.map((axis) => {
        const lines = model.grid?.[axis];
        return lines ? (
          <div key={axis}>
            <TextLine
              label={`${linesOfAxis(axis)} (${unit})`}
              value={showSpacings(lines.steps, unit)}
              understand={(text) => {
                const parsed = parseSpacings(text, unit);
                return parsed.ok
                  ? { ok: true, words: WORDS.lines(parsed.steps.length + 1) }
                  : { ok: false, words: parsed.reason };
              }}
              onCommit={(text) => {
                const parsed = parseSpacings(text, unit);
                if (parsed.ok) set(axis, { ...lines, steps: parsed.steps });
              }}
            />
            <Columns>
              <QuantityField
                label={WORDS.firstLineAt}
                value={alongAxis(structureAxis(display, axis), lines.from)}
                dimension="length"
                unit={unit}
                place={placeText('grid', axis, 'from')}
                isTurned={structureAxis(display, axis).sign < 0}
                onCommit={(from) =>
                  from !== undefined && set(axis, { ...lines, from: alongAxis(structureAxis(display, axis), from) })
                }
              />
              <TextLine
                label={WORDS.names}
                value={lines.names?.join(', ') ?? ''}
                placeholder={linesOf(axis, { ...lines, names: [] })
                  .map(({ name }) => name)
                  .join(', ')}
                onCommit={(text) => set(axis, { ...lines, names: text.split(',').map((name) => name.trim().slice(0, 12)) })}
              />
            </Columns>
            <PlainButton onPress={() => set(axis, undefined)}>{WORDS.takeTheseLinesAway}</PlainButton>
          </div>
        ) : (
          <Row key={axis}>
            <Button onPress={() => set(axis, gridThrough(model, axis) ?? { from: 0, steps: [5, 5] })}>
              {WORDS.add(linesOfAxis(axis))}
            </Button>
          </Row>
        );
      })}
      <Hint>{WORDS.hint}</Hint>
    </>
  );
}
