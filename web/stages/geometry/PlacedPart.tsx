'use client';

import styled from 'styled-components';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { MISSING, type PlacedStructure, type TypicalValues } from '@rigid-beam/core/model/structures/measures';
import { typicalOf } from '@rigid-beam/core/model/structures/placed';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { useEditor, useEditorState } from '../../editor/use-editor';
import { Button, PanelSubtitle, Row } from '../../ui/controls';
import { MeasureField } from './MeasureField';
import { placedPart as WORDS } from './words';

const Names = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
`;

const Fields = styled.div`
  display: grid;
  gap: 0.6rem;
`;

/** Typical structures that stand in the model: each may be given other measures, and what hangs on it follows. */
export function PlacedPart() {
  const structures = useEditorState((state) => state.model.structures ?? NONE);
  const editor = useEditor();
  const chosen = useEditorState(({ placed }) => placed);
  if (structures.length === 0) return null;
  const open = structures.find(({ id }) => id === chosen);
  return (
    <>
      <PanelSubtitle>{WORDS.placed}</PanelSubtitle>
      <Names>
        {structures.map(({ id }) => (
          <Button
            key={id}
            aria-label={WORDS.measuresOf(id)}
            aria-expanded={id === open?.id}
            onPress={() => editor.show({ placed: id === chosen ? undefined : id })}
          >
            {id}
          </Button>
        ))}
      </Names>
      {open && <Measures key={open.id} of={open} />}
    </>
  );
}

const NONE: readonly never[] = [];

function Measures({ of }: { readonly of: PlacedStructure }) {
  const editor = useEditor();
  const unit = useEditorState(({ model }) => lengthUnit(model));
  const change = (values: TypicalValues): void =>
    void editor.edit({ type: 'put', list: 'structures', entry: { ...of, values: { ...of.values, ...values } } });
  const members = of.members.filter((id) => id !== MISSING);
  return (
    <Fields role="group" aria-label={of.id}>
      {typicalOf(of.type)?.fields.map((field) => (
        <MeasureField
          key={field.key}
          field={field}
          value={of.values[field.key]!}
          unit={unit}
          place={placeText('structures', of.id, 'values', field.key)}
          onChange={(value) => change({ [field.key]: value })}
        />
      ))}
      <Row>
        <Button onPress={() => editor.select(members.map((id) => ({ kind: 'member', id })))}>{WORDS.selectIt}</Button>
        <Button onPress={() => editor.edit({ type: 'remove', list: 'structures', keys: [of.id] })}>{WORDS.letGo}</Button>
      </Row>
    </Fields>
  );
}
