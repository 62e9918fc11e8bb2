'use client';

import { useMemo } from 'react';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import { type Section } from '@rigid-beam/core/model/model';
import { shapeTypes, type ShapeType } from '@rigid-beam/core/shapes/registry';
import { massUnit, unitOf } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { billOf } from '@rigid-beam/core/sections/bill';
import { extentOfShape } from '@rigid-beam/core/sections/outline';
import { giveRelative, isInextensible, relativeWords } from '@rigid-beam/core/sections/relative';
import { sectionProperties } from '@rigid-beam/core/sections/section-properties';
import { firstShape, shapeWords, shortShapeWords } from '@rigid-beam/core/shapes/first-shape';
import { SectionEditor } from '../cards/SectionEditor';
import { useDisplay, useEditor, useModel } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { ApplyTool } from '../sheet/tools/apply-tool';
import { PanelSubtitle, Stack } from '../ui/controls';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { Instruments, InstrumentFace } from '../ui/Instrument';
import { ShapePicture } from '../ui/ShapePicture';
import { CatalogueSearch } from '../cards/catalogue/CatalogueSearch';
import { Neighbours } from '../cards/catalogue/Neighbours';
import { GIVEN } from '../editor/catalogue/words';
import { catalogueSearch as CATALOGUE, neighbours as NEIGHBOURS } from '../cards/catalogue/words';
import { AddMaterial } from './sections/AddMaterial';
import { Bill } from './sections/Bill';
import { MaterialEditor } from './sections/MaterialEditor';
import { Stock } from './sections/Stock';
import { AxesQuestion } from './sections/AxesQuestion';
import { STOCK } from './sections/words';

const PICTURE = 34;

/** What members are made of, drawn to one scale: taken in hand and given to members, begun from a shape, changed in place. */
export function SectionsBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const largest = Math.max(
    0,
    ...model.sections.map(({ shape }) => {
      const extent = shape && extentOfShape(shape);
      return extent ? Math.max(extent.y[1] - extent.y[0], extent.z[1] - extent.z[0]) : 0;
    }),
  );
  const names = (list: readonly { readonly id: string }[]): string[] => list.map(({ id }) => id);
  const begin = (type: ShapeType): void => {
    const id = freeName(shapeWords(type).toLowerCase().replaceAll(' ', '-'), names(model.sections));
    const entry = type === 'general' ? { id, A: 0.01, Iz: 1e-4 } : { id, shape: firstShape(type) };
    editor.edit({ type: 'put', list: 'sections', entry });
  };
  /** Members that are clicked get so many times the reference. */
  const takeRelative = (times: number): void => {
    const name = relativeWords({ I: times });
    sheet.take(
      new ApplyTool(sheet, {
        name: `shape ${name}`,
        hint: CATALOGUE.hint(name),
        on: 'member',
        intent: (current, members) => {
          const { id, intents } = giveRelative(current, members, times);
          return intents.length > 0 ? { type: 'batch', intents, label: GIVEN(id, members.length) } : undefined;
        },
      }),
    );
  };
  const bill = useMemo(() => billOf(model), [model]);
  const noteOf = (section: Section, i: number): string => {
    const { A, Iz } = sectionProperties(section);
    const unit = display.section;
    const mass = bill[i]?.mass;
    return [
      section.catalogue === undefined || section.catalogue === section.id ? '' : section.catalogue,
      section.relative ? relativeWords(section.relative) : '',
      A === undefined || isInextensible(section) ? '' : `A ${showNumber(inUnit(A, `${unit}2`), 4)} ${unit}²`,
      Iz === undefined ? '' : `I ${showNumber(inUnit(Iz, `${unit}4`), 4)} ${unit}⁴`,
      mass ? showQuantity(mass, massUnit(display), 3) : '',
    ]
      .filter(Boolean)
      .join(' · ');
  };
  return (
    <Stack>
      <CatalogueSearch
        relative={(times) => ({
          words: CATALOGUE.times(relativeWords({ I: times })),
          act: () => takeRelative(times),
        })}
        actionOf={({ designation }) => ({
          words: CATALOGUE.take(designation),
          act: ({ giveShape }, one) => {
            // From now on keys are meant for the sheet.
            if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
            sheet.take(
              new ApplyTool(sheet, {
                name: `shape ${designation}`,
                hint: CATALOGUE.hint(designation),
                on: 'member',
                intent: (current, members) => {
                  const { id, intents, material } = giveShape(current, members, one);
                  return intents.length > 0 ? { type: 'batch', intents, label: GIVEN(id, members.length, material) } : undefined;
                },
              }),
            );
          },
        })}
      />
      <AxesQuestion />
      <PanelSubtitle>{STOCK.sections}</PanelSubtitle>
      <Stock
        sheet={sheet}
        list="sections"
        items={model.sections.map((section, i) => ({
          id: section.id,
          picture: <ShapePicture shape={section.shape} size={PICTURE} {...(largest > 0 && { metres: largest })} />,
          note: noteOf(section, i),
          ...(section.catalogue && {
            more: () => (
              <Neighbours
                designation={section.catalogue!}
                onTake={({ exchangeSection }, next) => {
                  const { id, intents } = exchangeSection(editor.state.model, section.id, next);
                  editor.edit({ type: 'batch', intents, label: NEIGHBOURS.exchanged(section.id, id) });
                }}
              />
            ),
          }),
          editor: () => <SectionEditor section={section} />,
        }))}
      />
      <Bill rows={bill} />
      <PanelSubtitle>{STOCK.begin}</PanelSubtitle>
      <Instruments role="group" aria-label={STOCK.begin}>
        {shapeTypes.map((type) => (
          <InstrumentFace key={type} aria-label={shapeWords(type)} onPress={() => begin(type)}>
            <ShapePicture shape={type === 'general' ? undefined : firstShape(type)} size={24} />
            {shortShapeWords(type)}
          </InstrumentFace>
        ))}
        <InstrumentFace
          aria-label={STOCK.relative}
          onPress={() =>
            editor.edit({ type: 'batch', intents: giveRelative(editor.state.model, [], 2).intents, label: STOCK.relative })
          }
        >
          <ShapePicture shape={undefined} size={24} />
          {STOCK.relativeShort}
        </InstrumentFace>
      </Instruments>
      <PanelSubtitle>{STOCK.materials}</PanelSubtitle>
      <Stock
        sheet={sheet}
        list="materials"
        items={model.materials.map((material) => ({
          id: material.id,
          note: `E ${showQuantity(material.E, display.stress === 'MPa' ? 'GPa' : display.stress)}${material.density ? ` · ${withPowers(showQuantity(material.density, unitOf('density', display)))}` : ''}`,
          editor: () => <MaterialEditor material={material} />,
        }))}
      />
      <AddMaterial />
    </Stack>
  );
}
