'use client';

import { useRef, useState } from 'react';
import styled from 'styled-components';
import type { Underlay } from '@rigid-beam/core/model/model';
import { distance, minus, type Point } from '@rigid-beam/core/model/point';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { unitOf } from '../../commands/geometry-commands';
import { useEditor, useEditorState } from '../../session/use-editor';
import type { SheetController } from '../../sheet/controller';
import { PickTool } from '../../sheet/tools/pick-tool';
import { Button, Columns, Hint, Row } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { QuantityField } from '../../ui/QuantityField';
import { Slider } from '../../ui/Slider';
import { unseen } from '../../ui/theme';
import { calibrated, levelled } from '../../underlay/placing';
import { readPicture } from '../../underlay/read-picture';

const HiddenInput = styled.input`
  ${unseen}
`;

/** Metres that a new underlay is wide on the drawing before it is calibrated. */
const FIRST_WIDTH = 20;

/** A picture behind the drawing to trace on: put there, calibrated, checked, moved, turned, dimmed. */
export function UnderlayFold({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const underlay = useEditorState((state) => state.model.underlay);
  const [page, setPage] = useState(1);
  const [trouble, setTrouble] = useState<string>();
  const [reading, setReading] = useState(false);
  const file = useRef<HTMLInputElement>(null);

  const put = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    setReading(true);
    setTrouble(undefined);
    try {
      const picture = await readPicture(chosen, page);
      const place = underlay ? {} : { x: 0, y: 0, metresPerPixel: FIRST_WIDTH / picture.width, strength: 0.5 };
      if (editor.edit({ type: 'underlay', change: { ...picture, name: chosen.name.slice(0, 200), ...place } })) sheet.showAll();
    } catch (fault) {
      setTrouble(fault instanceof Error ? fault.message : String(fault));
    }
    setReading(false);
  };

  return (
    <Fold title="Underlay" note={underlay ? underlay.name : 'none'}>
      <HiddenInput
        ref={file}
        type="file"
        aria-label="Picture or PDF for the underlay"
        accept=".pdf,.png,.jpg,.jpeg,.svg"
        onChange={(event) => {
          void put(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Columns>
        <Button isDisabled={reading} onPress={() => file.current?.click()}>
          {reading ? 'Reading …' : underlay ? 'Another file' : 'Put a file behind'}
        </Button>
        <QuantityField
          label="Page of a PDF"
          value={page}
          dimension="number"
          unit=""
          onCommit={(value) => setPage(Math.max(1, Math.round(value ?? 1)))}
        />
      </Columns>
      {trouble && <Hint role="alert">{trouble}</Hint>}
      {underlay ? <Placing sheet={sheet} underlay={underlay} /> : <Hint>A page of a PDF, a PNG, JPEG or SVG, to trace on.</Hint>}
    </Fold>
  );
}

function Placing({ sheet, underlay }: { readonly sheet: SheetController; readonly underlay: Underlay }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const unit = unitOf(model);
  const [picked, setPicked] = useState<readonly [Point, Point]>();
  const [measured, setMeasured] = useState<number>();
  const change = (part: Partial<Underlay>): boolean => editor.edit({ type: 'underlay', change: part });
  const two = (first: string, second: string, done: (points: readonly [Point, Point]) => void) => () =>
    sheet.take(new PickTool(sheet, [first, second], (points) => done(points as unknown as [Point, Point]), undefined, 'free'));
  return (
    <>
      <Button onPress={two('Click one end of a known dimension.', 'Click its other end.', setPicked)}>
        Calibrate by two points
      </Button>
      {picked && (
        <QuantityField
          label="True length between them"
          value={distance(...picked)}
          dimension="length"
          unit={unit}
          autoFocus
          onCancel={() => setPicked(undefined)}
          onCommit={(length) => {
            if (length !== undefined && length > 0) change(calibrated(underlay, picked, length));
            setPicked(undefined);
          }}
        />
      )}
      <Row>
        <Button
          onPress={two('Click one end of another dimension.', 'Click its other end.', ([a, b]) => setMeasured(distance(a, b)))}
        >
          Measure
        </Button>
        <Button
          onPress={two('Click a point of the underlay.', 'Click where it belongs.', ([a, b]) => {
            const by = minus(b, a);
            change({ x: underlay.x + by[0], y: underlay.y + by[1] });
          })}
        >
          Move
        </Button>
        <Button
          onPress={two('Click a point on a line that is level or upright.', 'Click another point on it.', (points) =>
            change(levelled(underlay, points)),
          )}
        >
          Level it
        </Button>
      </Row>
      {measured !== undefined && <Hint role="status">Measured: {showQuantity(measured, unit, 5)}</Hint>}
      <QuantityField
        label="Turned by (°)"
        value={underlay.angle ?? 0}
        dimension="number"
        unit=""
        onCommit={(angle) => change({ angle: angle ?? 0 })}
      />
      <Hint aria-hidden>Strength</Hint>
      <Slider
        label="Strength of the underlay"
        range={[0, 1]}
        step={0.05}
        value={underlay.strength ?? 0.5}
        onChange={(strength) => change({ strength })}
      />
      <Row>
        <Button onPress={() => change({ strength: (underlay.strength ?? 0.5) > 0 ? 0 : 0.5 })}>
          {(underlay.strength ?? 0.5) > 0 ? 'Hide' : 'Show'}
        </Button>
        <Button onPress={() => editor.edit({ type: 'underlay', change: null })}>Take it away</Button>
      </Row>
    </>
  );
}
