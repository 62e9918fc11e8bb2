'use client';

import { useMemo } from 'react';
import styled from 'styled-components';
import { newCase, ofKind } from '@rigid-beam/core/model/edits/new-case';
import { categories, categoryOf, type Category } from '@rigid-beam/core/model/categories';
import { caseColours, type CaseColour, type LoadCase } from '@rigid-beam/core/model/model';
import { copyCase } from '@rigid-beam/core/model/edits/copy-case';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { actingIndex } from '../editor/editor-state';
import { useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { Button, Columns, Hint, PanelSubtitle, TextButton, Row, Select, Stack, ToggleButton } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { NumberedAction } from '../ui/NumberedAction';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { QuantityField } from '../ui/QuantityField';
import { AddCase } from './loads/AddCase';
import { CaseList } from './loads/CaseList';
import { NotionalPart } from './loads/NotionalPart';
import { LoadInstrument } from './loads/LoadInstrument';
import { coloured, loadLine, weightIn } from './case-lines';
import { loadsBench as WORDS } from './words';

/** Cases, what can be put on the structure, and what the acting case holds. */
export function LoadsBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const outcome = useEditorState(actingIndex);
  const acting = model.cases[outcome];
  const add = (category: Category): void => {
    const entry = newCase(model, category);
    if (editor.edit({ type: 'put', list: 'cases', entry: { ...entry } })) editor.go({ acting: entry.id });
  };
  return (
    <Stack>
      <CaseList acting={acting?.id} />
      <Row>
        <AddCase onAdd={add} />
        <Button onPress={() => editor.show({ drawer: 'loads' })}>{WORDS.schedule}</Button>
      </Row>
      {acting && <LoadInstrument sheet={sheet} caseId={acting.id} />}
      {acting && <NotionalPart caseId={acting.id} />}
      {acting && (
        <>
          <PanelSubtitle>{WORDS.loadsOf(acting.id)}</PanelSubtitle>
          {model.loads.every((load) => load.case !== acting.id) && <Hint>{WORDS.none}</Hint>}
          <Lines>
            {model.loads.map((load) =>
              load.case === acting.id ? (
                <TextButton key={load.id} onPress={() => editor.select([{ kind: 'load', id: load.id }])}>
                  {loadLine(load, model, display)}
                </TextButton>
              ) : null,
            )}
          </Lines>
        </>
      )}
      {acting && <PanelSubtitle>{WORDS.cardOf(acting.id)}</PanelSubtitle>}
      {acting ? <CaseEditor key={acting.id} loadCase={acting} /> : <Hint>{WORDS.combinationActs}</Hint>}
    </Stack>
  );
}

/** Close together, as a list is read. */
const Lines = styled.div`
  display: flex;
  flex-direction: column;
  button {
    min-height: 1.5rem;
    padding: 0.1rem 0.3rem;
  }
`;

function CaseEditor({ loadCase }: { readonly loadCase: LoadCase }) {
  const editor = useEditor();
  const put = (entry: LoadCase): void => {
    if (editor.edit({ type: 'put', list: 'cases', entry: { ...entry }, key: loadCase.id }) && entry.id !== loadCase.id)
      editor.go({ acting: entry.id });
  };
  const display = useDisplay();
  const model = useModel();
  const weight = useMemo(() => weightIn(model, loadCase), [model, loadCase]);
  const weighs = (loadCase.selfWeight ?? 0) !== 0;
  const copy = (factor: number): void => {
    const made = copyCase(model, loadCase.id, factor);
    if (made && editor.edit({ type: 'batch', intents: made.intents, label: WORDS.copied(loadCase.id) }))
      editor.go({ acting: made.id });
  };
  return (
    <Stack>
      <Columns>
        <NameField label={WORDS.caseField} value={loadCase.id} onCommit={(id) => put({ ...loadCase, id })} />
        <QuantityField
          label={WORDS.selfWeight}
          value={loadCase.selfWeight ?? 0}
          dimension="number"
          unit=""
          place={placeText('cases', loadCase.id, 'selfWeight')}
          onCommit={(value) => put({ ...loadCase, selfWeight: value ?? 0 })}
        />
      </Columns>
      <ToggleButton isSelected={weighs} onChange={(on) => put({ ...loadCase, selfWeight: on ? 1 : 0 })}>
        {weighs && weight !== undefined ? WORDS.weighs(showQuantity(weight, display.force, 4)) : WORDS.countWeight}
      </ToggleButton>
      <NameField label={WORDS.title} value={loadCase.title ?? ''} mayBeEmpty onCommit={(title) => put({ ...loadCase, title })} />
      <Row>
        <Select
          label={WORDS.kind}
          choices={categories.map((id) => ({ id, text: categoryOf(id).title }))}
          value={loadCase.category}
          onChange={(id) => put(ofKind(model, loadCase, id as Category))}
        />
        <Select
          label={WORDS.colour}
          choices={caseColours.map((id) => ({ id, text: id }))}
          value={loadCase.colour ?? 'brown'}
          onChange={(id) => put(coloured(loadCase, id as CaseColour))}
        />
        <Button onPress={() => editor.edit({ type: 'remove', list: 'cases', keys: [loadCase.id] })}>
          {WORDS.remove(loadCase.id)}
        </Button>
      </Row>
      <NumberedAction label={WORDS.copyFactor} initial={1} words={WORDS.copy(loadCase.id)} onAct={copy} />
    </Stack>
  );
}
