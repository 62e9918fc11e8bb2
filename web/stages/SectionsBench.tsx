'use client';

import { useMemo } from 'react';
import { shapeTypes, type ShapeType } from '@rigid-beam/core/shapes/registry';
import { billOf } from '@rigid-beam/core/sections/bill';
import { giveRelative, relativeWords } from '@rigid-beam/core/sections/relative';
import { firstShape, shapeWords, shortShapeWords } from '@rigid-beam/core/shapes/first-shape';
import { SectionEditor } from '../cards/SectionEditor';
import { useDisplay, useEditor, useModel } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { ApplyTool } from '../sheet/tools/apply-tool';
import { PanelSubtitle, Stack } from '../ui/controls';
import { Instruments, InstrumentFace } from '../ui/Instrument';
import { ShapePicture } from '../ui/ShapePicture';
import { CatalogueSearch } from '../cards/catalogue/CatalogueSearch';
import { Neighbours } from '../cards/catalogue/Neighbours';
import { catalogueSearch as CATALOGUE, neighbours as NEIGHBOURS } from '../cards/catalogue/words';
import { AddMaterial } from './sections/AddMaterial';
import { Bill } from './sections/Bill';
import { MaterialEditor } from './sections/MaterialEditor';
import { Stock } from './sections/Stock';
import { AxesQuestion } from './sections/AxesQuestion';
import { STOCK } from './sections/words';
import { begunSection, givenStep, largestSize, materialNote, sectionNote } from './section-lines';

const PICTURE = 34;

/** What members are made of, drawn to one scale: taken in hand and given to members, begun from a shape, changed in place. */
export function SectionsBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const largest = largestSize(model.sections);
  const begin = (type: ShapeType): void => {
    const entry = begunSection(type, model.sections);
    editor.edit({ type: 'put', list: 'sections', entry: { ...entry } });
  };
  /** Members that are clicked get so many times the reference. */
  const takeRelative = (times: number): void => {
    const name = relativeWords({ I: times });
    sheet.take(
      new ApplyTool(sheet, {
        name: `shape ${name}`,
        hint: CATALOGUE.hint(name),
        on: 'member',
        intent: (current, members) => givenStep(giveRelative(current, members, times), members.length),
      }),
    );
  };
  const bill = useMemo(() => billOf(model), [model]);
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
                intent: (current, members) => givenStep(giveShape(current, members, one), members.length),
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
          note: sectionNote(section, bill[i]?.mass, display),
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
          note: materialNote(material, display),
          editor: () => <MaterialEditor material={material} />,
        }))}
      />
      <AddMaterial />
    </Stack>
  );
}
