'use client';

import type { Section, Shape, ShapeType } from '@rigid-beam/core/model/model';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { shapeFault } from '@rigid-beam/core/sections/shape-fault';
import { shapeTable } from '@rigid-beam/core/sections/shape-table';
import { useDisplay, useEditor } from '../session/use-editor';
import { Columns, FieldNote, Select, Stack } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { QuantityField } from '../ui/QuantityField';
import { sectionEditor as WORDS } from './words';

const DIMENSION_WORDS: Record<Exclude<keyof Shape, 'type'>, string> = {
  h: WORDS.depthH,
  b: WORDS.widthB,
  tw: WORDS.webTw,
  tf: WORDS.flangeTf,
  r: WORDS.rootRadiusR,
  bTop: WORDS.upperWidth,
  tfTop: WORDS.upperFlange,
  t: WORDS.wallT,
  ro: WORDS.outerRadius,
  ri: WORDS.innerRadius,
  d: WORDS.diameterD,
  rt: WORDS.toeRadius,
  slope: WORDS.slope,
};

const PROPERTIES = [
  { key: 'A', label: WORDS.areaA, dimension: 'area', power: 2 },
  { key: 'Iz', label: WORDS.strongI, dimension: 'inertia', power: 4 },
  { key: 'Iy', label: WORDS.weakI, dimension: 'inertia', power: 4 },
  { key: 'Ay', label: WORDS.shearArea, dimension: 'area', power: 2 },
] as const;

/** A section changed in place: its shape and dimensions, and properties that may be typed over. */
export function SectionEditor({ section }: { readonly section: Section }) {
  const editor = useEditor();
  const display = useDisplay();
  const put = (entry: Section): boolean => editor.edit({ type: 'put', list: 'sections', entry: { ...entry }, key: section.id });
  const type = section.shape?.type ?? 'general';
  const { needs, may } = shapeTable[type];
  const properties = sectionProperties(section);
  const fault = section.shape && shapeFault(section.shape);

  const reshape = (next: ShapeType): void => {
    const { A, Iz, Iy, Ay } = properties;
    if (next === 'general') put({ id: section.id, ...(A && { A }), ...(Iz && { Iz }), ...(Iy && { Iy }), ...(Ay && { Ay }) });
    else put({ id: section.id, shape: { type: next, ...shapeTable[next].begin } });
  };

  return (
    <Stack>
      <NameField label={WORDS.section} value={section.id} onCommit={(id) => put({ ...section, id })} />
      <Select
        label={WORDS.shape}
        choices={Object.entries(shapeTable).map(([id, { words }]) => ({ id, text: words }))}
        value={type}
        onChange={(id) => reshape(id as ShapeType)}
      />
      {section.shape && (
        <Columns>
          {[...needs, ...may].map((key) => (
            <QuantityField
              key={key}
              label={DIMENSION_WORDS[key]}
              value={section.shape![key]}
              // A slope is a length over a length.
              dimension={key === 'slope' ? 'number' : 'length'}
              unit={key === 'slope' ? '' : display.deflection}
              mayBeEmpty
              onCommit={(value) => {
                const { [key]: _, ...rest } = section.shape!;
                // With a dimension of its own it is none of the catalogue any more.
                const { catalogue: __, ...own } = section;
                put({ ...own, shape: value === undefined ? rest : { ...rest, [key]: value } });
              }}
            />
          ))}
        </Columns>
      )}
      {fault && <FieldNote data-fault>{WORDS.notSound(fault)}</FieldNote>}
      <Columns>
        {PROPERTIES.map(({ key, label, dimension, power }) => {
          const unit = `${display.section}${power}`;
          const computed = section[key] === undefined ? properties[key] : undefined;
          return (
            <QuantityField
              key={key}
              label={label}
              value={section[key]}
              dimension={dimension}
              unit={unit}
              mayBeEmpty
              placeholder={computed === undefined ? WORDS.notGiven : showNumber(inUnit(computed, unit), 5)}
              onCommit={(value) => {
                const { [key]: _, ...rest } = section;
                put(value === undefined ? rest : { ...rest, [key]: value });
              }}
            />
          );
        })}
      </Columns>
    </Stack>
  );
}
