'use client';

import { useState } from 'react';
import styled from 'styled-components';
import { inDegrees } from '@rigid-beam/core/quantities/in-degrees';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import type { SectionPart, Shape } from '@rigid-beam/core/shapes/shape';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { linesOfPart } from '@rigid-beam/core/sections/built/lines';
import { paired } from '@rigid-beam/core/sections/built/paired';
import { edgesOf, extentOf, pointsOf } from '@rigid-beam/core/sections/path';
import { shapeWords } from '@rigid-beam/core/shapes/first-shape';
import { useCatalogue } from '../../editor/catalogue/use-catalogue';
import { useDisplay } from '../../editor/use-editor';
import { Button, Columns, Hint, PanelSubtitle, Row, Stack, ToggleButton } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { pathOf } from '../../ui/ShapeLines';
import { ShapePicture } from '../../ui/ShapePicture';
import { TextLine } from '../../ui/TextLine';
import { CornersField } from './CornersField';
import { layoutOf } from './layout';
import { parts as WORDS } from './words';

const ROOM = { width: 238, height: 150, left: 16, right: 16, top: 12, bottom: 12 };

const Sheet = styled.svg`
  display: block;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
`;

interface PartsEditorProps {
  readonly parts: readonly SectionPart[];
  /** Where they stand in the model. */
  readonly place: readonly string[];
  readonly onChange: (parts: readonly SectionPart[]) => void;
}

/** A section built of plates, standard shapes and outlines: drawn together, each placed by numbers. */
export function PartsEditor({ parts, place, onChange }: PartsEditorProps) {
  const display = useDisplay();
  const catalogue = useCatalogue('wanted');
  const [open, setOpen] = useState(0);
  const [gap, setGap] = useState(0.01);
  const lines = parts.map((part) => linesOfPart(part).map((line) => pointsOf(edgesOf(line))));
  const layout = lines.flat().length > 0 ? layoutOf(lines.flat(), ROOM) : undefined;
  const unit = display.deflection;
  const put = (i: number, part: SectionPart): void => onChange(parts.map((one, k) => (k === i ? part : one)));
  const add = (part: SectionPart): void => {
    const right = layout ? layout.box[1] : 0;
    const { z } = extentOf(linesOfPart(part).flatMap(edgesOf));
    onChange([...parts, { ...part, at: [right - z[0], 0] }]);
    setOpen(parts.length);
  };
  const standard = (): void => {
    const one = catalogue?.shapeCalled('UPN 200');
    if (one) add({ catalogue: one.designation, shape: one.shape });
  };
  return (
    <Stack>
      {layout && (
        <>
          <Sheet width={ROOM.width} height={ROOM.height} viewBox={`0 0 ${ROOM.width} ${ROOM.height}`} aria-hidden>
            {lines.map((loops, i) => (
              <path
                key={i}
                d={pathOf(loops, layout.x, layout.y)}
                fill={i === open ? 'var(--draw-selection)' : 'currentColor'}
                fillOpacity={i === open ? 0.45 : 0.2}
                fillRule="evenodd"
                stroke="currentColor"
                onPointerDown={() => setOpen(i)}
              />
            ))}
          </Sheet>
          <Hint className="number">
            {WORDS.extents(
              showQuantity(layout.box[1] - layout.box[0], unit, 5),
              showQuantity(layout.box[3] - layout.box[2], unit, 5),
            )}
          </Hint>
        </>
      )}
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      {parts.map((part, i) => (
        <Stack key={i} role="group" aria-label={WORDS.of(i + 1)}>
          <ToggleButton isSelected={open === i} onChange={() => setOpen(i)}>
            <ShapePicture shape={pictureOf(part)} size={18} /> {WORDS.of(i + 1)} · {nameOf(part, unit)}
          </ToggleButton>
          {open === i && (
            <>
              <PartShape part={part} place={[...place, String(i)]} onChange={(next) => put(i, next)} />
              <Columns>
                {([0, 1] as const).map((k) => (
                  <QuantityField
                    key={k}
                    label={k === 0 ? WORDS.right : WORDS.up}
                    value={part.at?.[k] ?? 0}
                    dimension="length"
                    unit={unit}
                    place={placeText(...place, String(i), 'at', String(k))}
                    onCommit={(value) =>
                      put(i, { ...part, at: [0, 1].map((j) => (j === k ? (value ?? 0) : (part.at?.[j] ?? 0))) })
                    }
                  />
                ))}
                <QuantityField
                  label={WORDS.turned}
                  value={((part.angle ?? 0) * Math.PI) / 180}
                  dimension="angle"
                  unit="°"
                  place={placeText(...place, String(i), 'angle')}
                  onCommit={(angle = 0) => put(i, { ...part, angle: inDegrees(angle) })}
                />
              </Columns>
              <Row>
                <ToggleButton
                  isSelected={part.mirrored === true}
                  onChange={(on) => {
                    const { mirrored: _, ...rest } = part;
                    put(i, on ? { ...rest, mirrored: true } : rest);
                  }}
                >
                  {WORDS.mirrored}
                </ToggleButton>
                {parts.length > 1 && (
                  <Button
                    onPress={() => {
                      onChange(parts.filter((_, k) => k !== i));
                      setOpen(0);
                    }}
                  >
                    {WORDS.remove}
                  </Button>
                )}
              </Row>
            </>
          )}
        </Stack>
      ))}
      <Row>
        <Button onPress={() => add({ shape: { type: 'rectangle', h: 0.01, b: 0.2 } })}>{WORDS.plate}</Button>
        <Button isDisabled={!catalogue} onPress={standard}>
          {WORDS.shape}
        </Button>
        <Button
          onPress={() =>
            add({
              outline: [
                [0, 0],
                [0.1, 0],
                [0.1, 0.05],
                [0.05, 0.1],
                [0, 0.1],
              ],
            })
          }
        >
          {WORDS.outline}
        </Button>
      </Row>
      <Row>
        <QuantityField label={WORDS.pairGap} value={gap} dimension="length" unit={unit} onCommit={(value = 0) => setGap(value)} />
        <Button onPress={() => onChange(paired(parts, gap))}>{WORDS.pair}</Button>
      </Row>
    </Stack>
  );
}

interface PartShapeProps {
  readonly part: SectionPart;
  readonly place: readonly string[];
  readonly onChange: (part: SectionPart) => void;
}

/** What a part is: its dimensions, its designation or its corners. */
function PartShape({ part, place, onChange }: PartShapeProps) {
  const unit = useDisplay().deflection;
  const catalogue = useCatalogue('wanted');
  const { shape, outline } = part;
  if (outline) {
    const lines = { outline, ...(part.holes && { holes: part.holes }) };
    return (
      <CornersField
        lines={lines}
        onChange={(next) => {
          const { holes: _, ...rest } = part;
          onChange({ ...rest, ...next });
        }}
      />
    );
  }
  if (shape?.type === 'rectangle' && part.catalogue === undefined)
    return (
      <Columns>
        {(['b', 'h'] as const).map((key) => (
          <QuantityField
            key={key}
            label={key === 'b' ? WORDS.width : WORDS.depth}
            value={shape[key]}
            dimension="length"
            unit={unit}
            place={placeText(...place, 'shape', key)}
            onCommit={(value) => value !== undefined && onChange({ ...part, shape: { ...shape, [key]: value } })}
          />
        ))}
      </Columns>
    );
  return (
    <TextLine
      label={WORDS.designation}
      value={part.catalogue ?? ''}
      understand={(text) => {
        if (!catalogue) return { ok: false, words: WORDS.comes };
        const one = catalogue.shapeCalled(text);
        return one ? { ok: true, words: one.designation } : { ok: false, words: WORDS.unknown(text) };
      }}
      onCommit={(text) => {
        const one = catalogue?.shapeCalled(text);
        if (one) onChange({ ...part, catalogue: one.designation, shape: one.shape });
      }}
    />
  );
}

const pictureOf = ({ shape, outline, holes }: SectionPart): Shape | undefined =>
  shape ?? (outline && { type: 'built', parts: [{ outline, ...(holes && { holes }) }] });

function nameOf({ catalogue, shape, outline }: SectionPart, unit: string): string {
  if (catalogue !== undefined) return catalogue;
  if (outline || !shape) return WORDS.outline;
  if (shape.type !== 'rectangle') return shapeWords(shape.type);
  const [b, h] = [shape.b ?? 0, shape.h ?? 0].map((size) => showNumber(inUnit(size, unit), 4));
  return `${WORDS.plate} ${b} × ${h} ${unit}`;
}
