'use client';

import type { LineLoad, Load, PointLoad } from '@rigid-beam/core/model/model';
import { intensityUnit } from '@rigid-beam/core/quantities/display';
import { useDisplay, useEditor } from '../session/use-editor';
import { loadValue } from '../sheet/load-values';
import { Columns, Hint, PanelSubtitle, Select, Stack } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';

/** One load in full: its size, its direction and where it lies. */
export function LoadCard({ load, index }: { readonly load: Load; readonly index: number }) {
  const editor = useEditor();
  const display = useDisplay();
  const put = (next: Load): boolean => editor.edit({ type: 'putLoad', at: index, load: { ...next } });
  const { label, value, dimension, unit, resized } = loadValue(load, display);
  return (
    <Stack>
      <Hint>
        On {'member' in load ? `member ${load.member}` : `node ${load.node}`}, in case {load.case}
      </Hint>
      <QuantityField
        label={label}
        value={value}
        dimension={dimension}
        unit={unit}
        onCommit={(next) => next !== undefined && put(resized(next))}
      />
      {load.type === 'line' && <LineFields load={load} put={put} />}
      {(load.type === 'point' || load.type === 'node') && (
        <Columns>
          {(['fx', 'fy'] as const).map((key) => (
            <QuantityField
              key={key}
              label={`Along ${load.type === 'point' && load.axes === 'local' ? 'local ' : ''}${key === 'fx' ? 'X' : 'Y'}`}
              value={load[key] ?? 0}
              dimension="force"
              unit={display.force}
              onCommit={(next) => next !== undefined && put({ ...load, [key]: next })}
            />
          ))}
          <QuantityField
            label="Couple"
            value={load.mz ?? 0}
            dimension="moment"
            unit={display.moment}
            onCommit={(next) => next !== undefined && put({ ...load, mz: next })}
          />
          {load.type === 'point' && <PositionField load={load} put={put} />}
        </Columns>
      )}
    </Stack>
  );
}

function PositionField({ load, put }: { readonly load: PointLoad; readonly put: (load: Load) => boolean }) {
  const display = useDisplay();
  const byLength = load.measure === 'length';
  return (
    <QuantityField
      label={byLength ? 'From the start' : 'Part of the length'}
      value={load.at}
      dimension={byLength ? 'length' : 'number'}
      unit={byLength ? display.length : ''}
      onCommit={(at) => at !== undefined && put({ ...load, at })}
    />
  );
}

const AXES = [
  { id: 'global', text: 'Global, along the member' },
  { id: 'projected', text: 'Global, on plan' },
  { id: 'local', text: 'The member’s own axes' },
];

function LineFields({ load, put }: { readonly load: LineLoad; readonly put: (load: Load) => boolean }) {
  const display = useDisplay();
  const unit = intensityUnit(display);
  const byLength = load.measure === 'length';
  return (
    <>
      <Select
        label="Axes"
        choices={AXES}
        value={load.axes ?? 'global'}
        onChange={(axes) => put({ ...load, axes: axes as LineLoad['axes'] & string })}
      />
      <Select
        label="Positions"
        choices={[
          { id: 'ratio', text: 'As parts of the length' },
          { id: 'length', text: 'As lengths from the start' },
        ]}
        value={load.measure ?? 'ratio'}
        onChange={(measure) => {
          // A position keeps its number only where it means the same: the whole member does.
          const { at: _, ...from } = load.from;
          const { at: __, ...to } = load.to;
          put({ ...load, measure: measure as 'ratio' | 'length', from, to });
        }}
      />
      {(['from', 'to'] as const).map((end) => (
        <div key={end}>
          <PanelSubtitle>{end === 'from' ? 'Begins' : 'Ends'}</PanelSubtitle>
          <Columns>
            <QuantityField
              label="Intensity X"
              value={load[end].wx ?? 0}
              dimension="intensity"
              unit={unit}
              onCommit={(wx) => wx !== undefined && put({ ...load, [end]: { ...load[end], wx } })}
            />
            <QuantityField
              label="Intensity Y"
              value={load[end].wy ?? 0}
              dimension="intensity"
              unit={unit}
              onCommit={(wy) => wy !== undefined && put({ ...load, [end]: { ...load[end], wy } })}
            />
            <QuantityField
              label="at"
              value={load[end].at}
              dimension={byLength ? 'length' : 'number'}
              unit={byLength ? display.length : ''}
              mayBeEmpty
              placeholder={end === 'from' ? 'the start' : 'the end'}
              onCommit={(at) => {
                const { at: _, ...rest } = load[end];
                put({ ...load, [end]: at === undefined ? rest : { ...rest, at } });
              }}
            />
          </Columns>
        </div>
      ))}
    </>
  );
}
