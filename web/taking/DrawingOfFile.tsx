'use client';

import { useMemo, useState } from 'react';
import { Heading } from 'react-aria-components';
import styled from 'styled-components';
import type { MembersOfLines } from '@rigid-beam/core/formats/dxf/members-of-lines';
import type { Drawing, DrawnLine } from '@rigid-beam/core/formats/dxf/read-dxf';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { units } from '@rigid-beam/core/quantities/units';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { readPicture } from '../underlay/read-picture';
import { prepareTrace } from '../underlay/trace';
import { Button, Hint, PanelSubtitle, PlainButton, Row, Select } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import { Tick } from '../ui/Tick';
import { DialogDesk, DialogHead, DialogSide } from '../ui/WideDialog';
import { extentOf, pathOf, pictureOf } from './drawn';
import { Foot, Trouble } from './faces';
import { useDrawing, useMembers } from './use-drawing';
import { drawingDialog as WORDS, fileDialog as FILE } from './words';

const Look = styled.svg`
  width: 100%;
  height: 100%;
  min-height: 0;
  background: var(--paper);
  path {
    fill: none;
    stroke: var(--ink);
    stroke-width: 1.4px;
    vector-effect: non-scaling-stroke;
  }
  path[data-left='true'] {
    stroke: var(--rule-strong);
    stroke-width: 1px;
  }
`;

const Layer = styled(Row)`
  justify-content: space-between;
  flex-wrap: nowrap;
  small {
    color: var(--soft);
    white-space: nowrap;
  }
`;

const UNITS = ['m', 'cm', 'mm', 'in', 'ft'] as const;
type Unit = (typeof UNITS)[number];
const metresOf = (unit: Unit): number => units.get(unit)!.factor;
/** Metres: what is drawn by hand and snapped is joined, what is built is not. */
const TOLERANCE = 0.005;
/** Degrees of a part of an arc. */
const [FINEST, COARSEST] = [1, 90];
/** In a drawing larger than that, in its units, these are hardly metres. */
const HARDLY_METRES = 300;

interface DrawingOfFileProps {
  readonly file: File;
  readonly sheet: SheetController;
  readonly onClose: () => void;
}

/** A drawing of a file: which of its lines become members, and how. */
export function DrawingOfFile({ file, sheet, onClose }: DrawingOfFileProps) {
  const [degrees, setDegrees] = useState(10);
  const { client, drawing, trouble } = useDrawing(file, degrees);
  return (
    <>
      <DialogHead>
        <Heading slot="title">{FILE.title(file.name)}</Heading>
        <PlainButton onPress={onClose}>{FILE.close}</PlainButton>
      </DialogHead>
      {drawing && client ? (
        <Read {...{ file, sheet, client, drawing, onClose, degrees }} onDegrees={setDegrees} />
      ) : (
        <>
          <DialogSide />
          {trouble === undefined ? <Trouble as={Hint}>{WORDS.reading}</Trouble> : <Trouble role="alert">{trouble}.</Trouble>}
        </>
      )}
    </>
  );
}

interface ReadProps extends DrawingOfFileProps {
  readonly client: NonNullable<ReturnType<typeof useDrawing>['client']>;
  readonly drawing: Drawing;
  readonly degrees: number;
  readonly onDegrees: (degrees: number) => void;
}

function Read({ file, sheet, client, drawing, degrees, onDegrees, onClose }: ReadProps) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const { space, sections, materials } = model;
  const length = lengthUnit(model);
  const counts = useMemo(() => countsOf(drawing.lines), [drawing]);
  const extent = useMemo(() => extentOf(drawing.lines), [drawing]);
  const [layers, setLayers] = useState<readonly string[]>(() => [...counts.keys()]);
  const [unit, setUnit] = useState<Unit>(() => unitOf(drawing, Math.max(extent.width, extent.height)));
  const [tolerance, setTolerance] = useState(TOLERANCE);
  const [stands, setStands] = useState<'upright' | 'on the ground'>('upright');
  const [section, setSection] = useState(sections[0]?.id ?? '');
  const [material, setMaterial] = useState(materials[0]?.id ?? '');
  const [refused, setRefused] = useState<string>();
  const metres = metresOf(unit);
  const asked = useMemo(
    () => ({ layers, space, asked: { unit: metres, tolerance, stands, section, material } }),
    [layers, space, metres, tolerance, stands, section, material],
  );
  const made = useMembers(client, asked);
  const isTaken = new Set(layers);
  const taken = drawing.lines.filter(({ layer }) => isTaken.has(layer));
  const hasBoth = sections.length > 0 && materials.length > 0;
  const take = ({ part }: MembersOfLines): void => {
    const intent = { type: 'insert', part, at: [0, 0, 0], name: WORDS.name(file.name) } as const;
    const fault = editor.refusalOf(intent)[0]?.message;
    if (fault !== undefined || !editor.edit(intent)) return setRefused(fault);
    onClose();
    sheet.view.showAll();
  };
  const behind = async (): Promise<void> => {
    const { svg, x, y, metresPerPixel } = pictureOf(taken, metres);
    try {
      const { picture } = await readPicture(new File([svg], `${file.name}.svg`, { type: 'image/svg+xml' }));
      const place = { x, y, metresPerPixel: metresPerPixel(picture.width), strength: 0.5 };
      const across = space === 'space' && stands === 'on the ground' ? { across: 'y' as const } : {};
      if (!editor.edit({ type: 'underlay', change: { ...picture, name: file.name.slice(0, 200), ...place, ...across } })) return;
      prepareTrace(picture.image);
      onClose();
      sheet.view.showAll();
    } catch (fault) {
      setRefused((fault as Error).message);
    }
  };
  return (
    <>
      <DialogSide>
        <PanelSubtitle>{WORDS.layers}</PanelSubtitle>
        <div role="group" aria-label={WORDS.layers}>
          {[...counts].map(([layer, count]) => (
            <Layer key={layer}>
              <Tick
                isSelected={isTaken.has(layer)}
                onChange={(on) => setLayers(on ? [...layers, layer] : layers.filter((one) => one !== layer))}
              >
                {layer}
              </Tick>
              <small>{WORDS.lines(count)}</small>
            </Layer>
          ))}
        </div>
        <Select
          label={drawing.unit === metres ? `${WORDS.unit}, ${WORDS.unitSaid}` : WORDS.unit}
          value={unit}
          choices={UNITS.map((id) => ({ id, text: WORDS.units[id] }))}
          onChange={(id) => setUnit(id as Unit)}
        />
        <Hint>
          {WORDS.size(showQuantity(extent.width * metres, length), showQuantity(extent.height * metres, length))}
          {drawing.unit === undefined && `. ${WORDS.unitUnsaid}`}
        </Hint>
        <QuantityField
          label={WORDS.joins}
          value={tolerance}
          dimension="length"
          unit="mm"
          onCommit={(value) => value !== undefined && value > 0 && setTolerance(value)}
        />
        <QuantityField
          label={WORDS.arcs}
          value={(degrees * Math.PI) / 180}
          dimension="angle"
          unit="°"
          onCommit={(value) => {
            const said = ((value ?? 0) * 180) / Math.PI;
            if (said >= FINEST && said <= COARSEST) onDegrees(said);
          }}
        />
        {space === 'space' && (
          <Select
            label={WORDS.stands}
            value={stands}
            choices={(['upright', 'on the ground'] as const).map((id) => ({ id, text: WORDS[id] }))}
            onChange={(id) => setStands(id as typeof stands)}
          />
        )}
        {hasBoth ? (
          <>
            <Select label={WORDS.section} value={section} choices={sections.map(named)} onChange={setSection} />
            <Select label={WORDS.material} value={material} choices={materials.map(named)} onChange={setMaterial} />
          </>
        ) : (
          <Hint>{WORDS.noSection}</Hint>
        )}
      </DialogSide>
      <DialogDesk>
        <Lines lines={drawing.lines} isTaken={isTaken} label={WORDS.preview(file.name)} />
        <Foot>
          <Hint role="status" data-testid="taken">
            {refused ?? (made ? sentences(made, drawing, length) : WORDS.reading)}
          </Hint>
          <Row>
            <Button isDisabled={taken.length === 0} onPress={() => void behind()}>
              {WORDS.behind}
            </Button>
            <Button isDisabled={!made || made.part.members.length === 0 || !hasBoth} onPress={() => made && take(made)}>
              {WORDS.take(made?.part.members.length ?? 0)}
            </Button>
          </Row>
        </Foot>
      </DialogDesk>
    </>
  );
}

const named = ({ id }: { readonly id: string }) => ({ id, text: id });

function countsOf(lines: readonly DrawnLine[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>();
  for (const { layer } of lines) counts.set(layer, (counts.get(layer) ?? 0) + 1);
  return counts;
}

/** The unit that the file says, or the one that gives a structure its likely size. */
function unitOf({ unit }: Drawing, extent: number): Unit {
  const said = UNITS.find((one) => Math.abs(metresOf(one) - (unit ?? 0)) < 1e-12);
  return said ?? (extent > HARDLY_METRES ? 'mm' : 'm');
}

/** What becomes of the lines, in sentences. */
function sentences({ part, joined, cut, short, doubled, beside }: MembersOfLines, { leftOut }: Drawing, length: string): string {
  if (part.members.length + beside + short === 0) return `${WORDS.nothing}.`;
  const kinds = leftOut.slice(0, 4).map(({ count, kind, layer, line }) => WORDS.kind(count, kind, layer, line));
  return [
    WORDS.summary(part.members.length, part.nodes.length),
    joined.count > 0 && WORDS.joined(joined.count, showQuantity(joined.farthest, length === 'm' ? 'mm' : length)),
    cut > 0 && WORDS.cut(cut),
    short > 0 && WORDS.short(short),
    doubled > 0 && WORDS.doubled(doubled),
    beside > 0 && WORDS.beside(beside),
    leftOut.length > 0 && WORDS.leftOut(kinds.join(', ') + (leftOut.length > kinds.length ? ' …' : '')),
  ]
    .filter(Boolean)
    .map((sentence) => `${sentence as string}.`)
    .join(' ');
}

interface LinesProps {
  readonly lines: readonly DrawnLine[];
  readonly isTaken: ReadonlySet<string>;
  readonly label: string;
}

/** All lines, those that are taken in ink. */
function Lines({ lines, isTaken, label }: LinesProps) {
  const { left, bottom, width, height } = extentOf(lines);
  const room = Math.max(width, height) * 0.04 || 1;
  return (
    <Look
      role="img"
      aria-label={label}
      viewBox={`${left - room} ${-(bottom + height + room)} ${width + 2 * room} ${height + 2 * room}`}
    >
      <path data-left d={pathOf(lines.filter(({ layer }) => !isTaken.has(layer)))} />
      <path d={pathOf(lines.filter(({ layer }) => isTaken.has(layer)))} />
    </Look>
  );
}
