'use client';

import type { Section, Shape, ShapeType } from '@rigid-beam/core/model/model';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { shapeDimensions, shapeFault } from '@rigid-beam/core/sections/shape-properties';
import { useDisplay, useEditor } from '../session/use-editor';
import { Columns, FieldNote, Select, Stack } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { QuantityField } from '../ui/QuantityField';

const SHAPE_WORDS: Record<ShapeType, string> = {
  i: 'I-shape',
  channel: 'Channel',
  angle: 'Angle',
  tee: 'Tee',
  rhs: 'Rectangular tube',
  chs: 'Round tube',
  rectangle: 'Rectangle',
  round: 'Round bar',
  general: 'By its properties',
};

const DIMENSION_WORDS: Record<Exclude<keyof Shape, 'type'>, string> = {
  h: 'Depth h',
  b: 'Width b',
  tw: 'Web tw',
  tf: 'Flange tf',
  r: 'Root radius r',
  bTop: 'Upper width',
  tfTop: 'Upper flange',
  t: 'Wall t',
  ro: 'Outer radius',
  d: 'Diameter d',
};

/** Dimensions to begin with when the shape is changed, metres. */
const BEGIN: Record<ShapeType, Omit<Shape, 'type'>> = {
  i: { h: 0.2, b: 0.1, tw: 0.0056, tf: 0.0085, r: 0.012 },
  channel: { h: 0.2, b: 0.075, tw: 0.0085, tf: 0.0115 },
  angle: { h: 0.1, b: 0.1, t: 0.01 },
  tee: { h: 0.1, b: 0.1, tw: 0.006, tf: 0.009 },
  rhs: { h: 0.15, b: 0.1, t: 0.006, ro: 0.009 },
  chs: { d: 0.1143, t: 0.005 },
  rectangle: { h: 0.2, b: 0.1 },
  round: { d: 0.024 },
  general: {},
};

const PROPERTIES = [
  { key: 'A', label: 'Area A', dimension: 'area', power: 2 },
  { key: 'Iz', label: 'Strong I', dimension: 'inertia', power: 4 },
  { key: 'Iy', label: 'Weak I', dimension: 'inertia', power: 4 },
  { key: 'Ay', label: 'Shear area', dimension: 'area', power: 2 },
] as const;

/** A section changed in place: its shape and dimensions, and properties that may be typed over. */
export function SectionEditor({ section }: { readonly section: Section }) {
  const editor = useEditor();
  const display = useDisplay();
  const put = (entry: Section): boolean => editor.edit({ type: 'put', list: 'sections', entry: { ...entry }, key: section.id });
  const type = section.shape?.type ?? 'general';
  const { needs, may } = shapeDimensions[type];
  const properties = sectionProperties(section);
  const fault = section.shape && shapeFault(section.shape);

  const reshape = (next: ShapeType): void => {
    const { A, Iz, Iy, Ay } = properties;
    if (next === 'general') put({ id: section.id, ...(A && { A }), ...(Iz && { Iz }), ...(Iy && { Iy }), ...(Ay && { Ay }) });
    else put({ id: section.id, shape: { type: next, ...BEGIN[next] } });
  };

  return (
    <Stack>
      <NameField label="Section" value={section.id} onCommit={(id) => put({ ...section, id })} />
      <Select
        label="Shape"
        choices={Object.entries(SHAPE_WORDS).map(([id, text]) => ({ id, text }))}
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
              dimension="length"
              unit={display.deflection}
              mayBeEmpty
              onCommit={(value) => {
                const { [key]: _, ...rest } = section.shape!;
                put({ ...section, shape: value === undefined ? rest : { ...rest, [key]: value } });
              }}
            />
          ))}
        </Columns>
      )}
      {fault && <FieldNote data-fault>This shape cannot be built: {fault}.</FieldNote>}
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
              placeholder={computed === undefined ? 'not given' : showNumber(inUnit(computed, unit), 5)}
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
