'use client';

import { useEffect, useMemo, useState } from 'react';
import { ORIGIN, type Point } from '@rigid-beam/core/model/point';
import { typicals } from '@rigid-beam/core/model/typical/all';
import { unbuildable } from '@rigid-beam/core/model/structures/placed';
import { initialValues, type TypicalValues } from '@rigid-beam/core/model/typical/typical';
import type { Model } from '@rigid-beam/core/model/model';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { placing } from '../../commands/placing';
import { useEditor, useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { PickTool } from '../../sheet/tools/pick-tool';
import { Button, Hint, PanelSubtitle, Row } from '../../ui/controls';
import { Gallery } from './Gallery';
import { MeasureField } from './MeasureField';
import { PlacedPart } from './PlacedPart';
import { typicalPart as WORDS } from './words';

/** Structures that are built again and again: chosen as a picture, measured, seen on the sheet as they will be, and placed. */
export function TypicalPart({ sheet }: { readonly sheet: SheetController }) {
  const model = useEditorState((state) => state.model);
  return <Chooser sheet={sheet} model={model} />;
}

function Chooser({ sheet, model }: { readonly sheet: SheetController; readonly model: Model }) {
  const editor = useEditor();
  const id = useEditorState((state) => state.typical);
  const typical = typicals.find((one) => one.id === id);
  const [changed, setChanged] = useState<TypicalValues>({});
  const [at, setAt] = useState<Point>(ORIGIN);
  const values = useMemo(
    () => (typical ? { ...initialValues(typical, lengthUnit(model)), ...changed } : changed),
    [typical, changed, model],
  );
  const fault = typical && unbuildable(typical.id, values)?.what;
  const intent = useMemo(
    () => (typical && !fault ? placing(model, typical, values, at) : undefined),
    [typical, fault, model, values, at],
  );
  useEffect(() => {
    if (intent) editor.preview(intent);
    else editor.endPreview();
  }, [editor, intent]);
  useEffect(() => () => editor.endPreview(), [editor]);
  useEffect(() => {
    if (intent && model.members.length === 0) setTimeout(() => sheet.view.showAll(), 80);
  }, [sheet, intent, model]);

  const choose = (next: string | undefined): void => {
    setChanged({});
    editor.show({ typical: next === id ? undefined : next });
  };
  const place = (): void => {
    if (!intent) return;
    const before = model;
    editor.endPreview();
    if (!editor.edit(intent)) return;
    choose(undefined);
    setAt(ORIGIN);
    const after = editor.state.model;
    // Beside others what is new is marked; alone it needs no mark.
    if (before.members.length > 0)
      editor.select(after.members.slice(before.members.length).map((member) => ({ kind: 'member', id: member.id })));
    if (after.space !== before.space) sheet.view.lookAt('corner');
    else sheet.view.showAll();
  };
  const pick = (): void =>
    sheet.take(
      new PickTool(sheet, [WORDS.clickWhere], ([point]) => setAt(point!), {
        hovered: ([point]) => setAt(point!),
      }),
    );

  // An empty sheet offers them itself.
  const isOffered = typical !== undefined || model.nodes.length > 0 || model.underlay !== undefined;

  return (
    <>
      {isOffered && <PanelSubtitle>{WORDS.typicalStructures}</PanelSubtitle>}
      {isOffered && <Gallery chosen={id} onChoose={choose} />}
      {typical === undefined && <PlacedPart />}
      {typical?.fields.map((field) => (
        <MeasureField
          key={`${id} ${field.key}`}
          field={field}
          value={values[field.key]!}
          unit={lengthUnit(model)}
          onChange={(value) => setChanged({ ...changed, [field.key]: value })}
        />
      ))}
      {fault && <Hint role="alert">{fault}.</Hint>}
      {typical && typical.space === 'space' && model.space === 'plane' && <Hint>{WORDS.becomesSpace}</Hint>}
      {typical && (
        <Row>
          <Button isDisabled={!intent} onPress={place}>
            {WORDS.placeIt}
          </Button>
          <Button onPress={pick}>{WORDS.showWhere}</Button>
          <Button onPress={() => choose(undefined)}>{WORDS.cancel}</Button>
        </Row>
      )}
    </>
  );
}
