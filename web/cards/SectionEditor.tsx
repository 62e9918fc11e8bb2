'use client';

import { useContext } from 'react';
import { REFERENCE, type Section } from '@rigid-beam/core/model/model';
import type { ShapeType } from '@rigid-beam/core/shapes/registry';
import { inUnit, showNumber } from '@rigid-beam/core/quantities/show';
import { isInextensible, referenceBy, referencePlace, withReference } from '@rigid-beam/core/sections/relative';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { shapeFault } from '@rigid-beam/core/sections/shape-fault';
import { firstShape, shapeWords } from '@rigid-beam/core/shapes/first-shape';
import { shapeTypes } from '@rigid-beam/core/shapes/registry';
import { useDisplay, useEditor } from '../editor/use-editor';
import { Columns, FieldNote, Select, Stack } from '../ui/controls';
import { ExpressionsContext } from '../ui/expressions';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField } from '../ui/QuantityField';
import { MeshedProperties } from './section/MeshedProperties';
import { PartsEditor } from './section/PartsEditor';
import { SectionDrawing } from './section/SectionDrawing';
import { meshed, sectionEditor as WORDS } from './section/words';

const PROPERTIES = [
  { key: 'A', label: WORDS.areaA, dimension: 'area', power: 2 },
  { key: 'Iz', label: WORDS.strongI, dimension: 'inertia', power: 4 },
  { key: 'Iy', label: WORDS.weakI, dimension: 'inertia', power: 4 },
  { key: 'J', label: WORDS.torsion, dimension: 'inertia', power: 4 },
  { key: 'Ay', label: WORDS.shearArea, dimension: 'area', power: 2 },
] as const;

const RELATIVE = 'relative';

/** A section changed in place: its shape drawn with its dimensions, its parts or its multiple, and properties that may be typed over. */
export function SectionEditor({ section }: { readonly section: Section }) {
  const editor = useEditor();
  const display = useDisplay();
  const put = (entry: Section): boolean => editor.edit({ type: 'put', list: 'sections', entry: { ...entry }, key: section.id });
  const { textAt } = useContext(ExpressionsContext);
  const { shape, relative } = section;
  const type = shape?.type ?? 'general';
  const properties = sectionProperties(section);
  const fault = shape && shapeFault(shape);
  // With a dimension or a property of its own it is none of the catalogue any more.
  const { catalogue: _, ...own } = section;

  const reshape = (next: ShapeType | typeof RELATIVE): void => {
    const { A, Iz, Iy, Ay } = properties;
    if (next === RELATIVE) put({ id: section.id, relative: { I: 1 } });
    else if (next === 'general')
      put({ id: section.id, ...(A && { A }), ...(Iz && { Iz }), ...(Iy && { Iy }), ...(Ay && { Ay }) });
    // What has a shape already becomes a part of what is built.
    else if (next === 'built' && shape && type !== 'general' && fault === undefined)
      put({
        id: section.id,
        shape: { type: next, parts: [{ shape, ...(section.catalogue && { catalogue: section.catalogue }) }] },
      });
    else put({ id: section.id, shape: firstShape(next) });
  };

  return (
    <Stack>
      <NameField label={WORDS.section} value={section.id} onCommit={(id) => put({ ...section, id })} />
      <Select
        label={WORDS.shape}
        choices={[...shapeTypes.map((id) => ({ id, text: shapeWords(id) })), { id: RELATIVE, text: WORDS.relative }]}
        value={relative ? RELATIVE : type}
        onChange={(id) => reshape(id as ShapeType | typeof RELATIVE)}
      />
      {relative && (
        <Columns>
          <QuantityField
            label={WORDS.times}
            value={relative.I}
            dimension="number"
            unit=""
            place={placeText('sections', section.id, 'relative', 'I')}
            onCommit={(I) => I !== undefined && put({ ...section, relative: { ...relative, I } })}
          />
          <QuantityField
            label={WORDS.reference}
            value={relative.reference ?? REFERENCE}
            dimension="inertia"
            unit={`${display.section}4`}
            keeping={{
              text: textAt(referencePlace(section.id)),
              keep: (is) => editor.edit({ type: 'batch', intents: referenceBy(editor.state.model, is), label: WORDS.reference }),
            }}
            onCommit={(reference) =>
              reference !== undefined &&
              editor.edit({
                type: 'batch',
                intents: withReference(editor.state.model, reference),
                label: WORDS.reference,
              })
            }
          />
        </Columns>
      )}
      {shape && type === 'built' && (
        <PartsEditor
          parts={shape.parts ?? []}
          place={['sections', section.id, 'shape', 'parts']}
          onChange={(parts) => put({ ...own, shape: { ...shape, parts } })}
        />
      )}
      {shape && type !== 'built' && type !== 'general' && (
        <SectionDrawing
          shape={shape}
          {...(section.catalogue === undefined && { placeOf: (key: string) => placeText('sections', section.id, 'shape', key) })}
          onChange={(key, value) => {
            const { [key]: __, ...rest } = shape;
            put({ ...own, shape: value === undefined ? rest : { ...rest, [key]: value } });
          }}
        />
      )}
      {fault && <FieldNote data-fault>{WORDS.notSound(fault)}</FieldNote>}
      <Columns>
        {PROPERTIES.map(({ key, label, dimension, power }) => {
          const unit = `${display.section}${power}`;
          const computed = section[key] === undefined ? properties[key] : undefined;
          const isEndless = key === 'A' && isInextensible(section);
          const isMeshed = shape !== undefined && type !== 'general' && (key === 'J' || key === 'Ay');
          return (
            <QuantityField
              key={key}
              label={label}
              value={section[key]}
              dimension={dimension}
              unit={unit}
              place={placeText('sections', section.id, key)}
              mayBeEmpty
              placeholder={
                isEndless
                  ? WORDS.endless
                  : computed !== undefined
                    ? showNumber(inUnit(computed, unit), 5)
                    : isMeshed
                      ? WORDS.fromMesh
                      : WORDS.notGiven
              }
              onCommit={(value) => {
                const { [key]: __, ...rest } = own;
                put(value === undefined ? rest : { ...rest, [key]: value });
              }}
            />
          );
        })}
      </Columns>
      {shape && type !== 'general' && fault === undefined && (
        <Fold title={meshed.title}>
          <MeshedProperties shape={shape} />
        </Fold>
      )}
    </Stack>
  );
}
