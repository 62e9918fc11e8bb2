'use client';

import type { Model, Parameter } from '@rigid-beam/core/model/model';
import { parameterPlace } from '@rigid-beam/core/model/parameters/evaluate';
import { placeSaid } from '@rigid-beam/core/model/parameters/words';
import { hangingOn, ofFormulas } from '@rigid-beam/core/model/parameters/hanging';
import { unfitName } from '@rigid-beam/core/model/parameters/names';
import { rangeText, readRange, stepOfRange } from '@rigid-beam/core/model/parameters/range';
import { setting, settingTyped } from '@rigid-beam/core/model/parameters/set-parameters';
import { fromUnit, inUnit, showQuantity } from '@rigid-beam/core/quantities/show';
import { useContext, useState } from 'react';
import styled from 'styled-components';
import { useEditor, useEditorState } from '../editor/use-editor';
import { Scroll } from '../schedules/parts';
import { Button, FieldNote, Hint, PlainButton, TextButton } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { Slider } from '../ui/Slider';
import { SteppingContext } from '../ui/stepping';
import { TextLine } from '../ui/TextLine';
import { Trouble } from './Trouble';
import { parameters as WORDS } from './words';

const Rows = styled(Scroll)`
  padding: 0.4rem 0.8rem;
`;

const Row = styled.div`
  display: grid;
  grid-template-columns: 6rem 8rem minmax(7rem, 1.3fr) 10.5rem minmax(9rem, 2fr) 7.6rem 1.6rem;
  gap: 0.2rem 0.6rem;
  align-items: start;
  padding: 0.2rem 0;
  border-bottom: 1px solid var(--rule);
  &[data-head] {
    color: var(--soft);
    font-size: 0.78rem;
  }
`;

const Hanging = styled.ul`
  grid-column: 1 / -1;
  margin: 0;
  padding: 0;
  columns: 15rem;
  list-style: none;
  font-size: 0.8rem;
`;

const Slid = styled(Slider)`
  padding-top: 0.3rem;
`;

/** Each parameter with its value, its range on a slider, what it is and what hangs on it. */
export function ParameterRows() {
  const parameters = useEditorState((state) => state.model.parameters);
  return (
    <Rows role="region" tabIndex={0} aria-label={WORDS.title}>
      {parameters ? (
        <Row data-head aria-hidden>
          <span>{WORDS.name}</span>
          <span>{WORDS.value}</span>
          <span />
          <span>{WORDS.range}</span>
          <span>{WORDS.what}</span>
        </Row>
      ) : (
        <Hint>{WORDS.none}</Hint>
      )}
      {parameters?.map((one) => (
        <Line key={one.id} parameter={one} />
      ))}
      <Adding />
    </Rows>
  );
}

function Line({ parameter }: { readonly parameter: Parameter }) {
  const editor = useEditor();
  const { id, value, unit = '', title = '' } = parameter;
  const formulas = useEditorState((state) => state.model.formulas);
  const hanging = hangingOn({ ...(formulas && { formulas }) }, id);
  const expression = formulas?.find(({ of }) => of === parameterPlace(id))?.is;
  const [isListed, setListed] = useState(false);
  const put = (entry: Parameter): boolean => editor.edit({ type: 'put', list: 'parameters', entry: { ...entry }, key: id });
  return (
    <Row role="group" aria-label={id}>
      <NameField
        label={WORDS.nameOf(id)}
        hideLabel
        value={id}
        onCommit={(name) => editor.edit({ type: 'rename', list: 'parameters', names: { [id]: name } })}
      />
      <div>
        <TextLine
          label={WORDS.valueOf(id)}
          hideLabel
          value={expression ?? showQuantity(value, unit, 7).replace('−', '-')}
          understand={(text) => {
            const change = settingTyped(editor.state.model, id, text);
            return change.ok ? { ok: true, words: '' } : { ok: false, words: change.reason };
          }}
          onCommit={(text) => {
            const change = settingTyped(editor.state.model, id, text);
            if (change.ok) editor.edit({ type: 'batch', intents: change.intents, label: WORDS.set(id, text.trim()) });
          }}
        />
        {expression !== undefined && <FieldNote>{`= ${showQuantity(value, unit, 6)}`}</FieldNote>}
      </div>
      <Moving parameter={parameter} />
      <TextLine
        label={WORDS.rangeOf(id)}
        hideLabel
        value={rangeText(parameter)}
        placeholder={WORDS.noRange}
        understand={(text) => {
          const read = readRange(text, parameter);
          return read.ok ? { ok: true, words: '' } : { ok: false, words: read.reason };
        }}
        onCommit={(text) => {
          const { from: _, to: __, step: ___, ...rest } = parameter;
          const read = readRange(text, parameter);
          put(read.ok ? { ...rest, ...read.range } : rest);
        }}
      />
      <NameField
        label={WORDS.whatIs(id)}
        hideLabel
        value={title}
        mayBeEmpty
        onCommit={(words) => {
          const { title: _, ...rest } = parameter;
          put(words === '' ? rest : { ...rest, title: words });
        }}
      />
      <TextButton
        aria-label={WORDS.select(id)}
        isDisabled={hanging.length === 0}
        aria-expanded={isListed}
        onPress={() => {
          setListed(!isListed);
          if (!isListed) select(hanging, editor);
        }}
      >
        {WORDS.gives(hanging.length)}
      </TextButton>
      <PlainButton aria-label={WORDS.remove(id)} onPress={() => editor.edit({ type: 'remove', list: 'parameters', keys: [id] })}>
        ✕
      </PlainButton>
      {isListed && hanging.length > 0 && (
        <Hanging>
          {hanging.map((formula) => (
            <li key={formula.of}>
              <TextButton onPress={() => select([formula], editor)}>{placeSaid(editor.state.model, formula.of)}</TextButton> ={' '}
              {formula.is}
            </li>
          ))}
        </Hanging>
      )}
    </Row>
  );
}

function select(formulas: NonNullable<Model['formulas']>, editor: ReturnType<typeof useEditor>): void {
  const { nodes, members, loads } = ofFormulas(editor.state.model, formulas);
  editor.select([
    ...nodes.map((id) => ({ kind: 'node' as const, id })),
    ...members.map((id) => ({ kind: 'member' as const, id })),
    ...loads.map((id) => ({ kind: 'load' as const, id })),
  ]);
}

/** The value on a slider over its range: the structure follows while it is moved, and is changed when it is let go. */
function Moving({ parameter }: { readonly parameter: Parameter }) {
  const editor = useEditor();
  const stepping = useContext(SteppingContext);
  const [moved, setMoved] = useState<number>();
  const { id, from, to, value, unit = '' } = parameter;
  if (from === undefined || to === undefined) return <span />;
  const step = stepOfRange(parameter as Parameter & { from: number; to: number }, 200);
  const si = (shown: number): number => Number(fromUnit(shown, unit).toPrecision(12));
  const change = (shown: number) => setting(editor.state.model, parameter, si(shown));
  return (
    <Slid
      label={WORDS.slide(id)}
      range={[inUnit(from, unit), inUnit(to, unit)]}
      step={inUnit(step, unit)}
      value={moved ?? inUnit(value, unit)}
      onChange={(shown) => {
        setMoved(shown);
        stepping?.trial(() => editor.edit(change(shown)));
      }}
      onChangeEnd={(shown) => {
        setMoved(undefined);
        if (si(shown) === value) stepping?.giveUp();
        else editor.edit(change(shown), WORDS.set(id, showQuantity(si(shown), unit, 6)));
      }}
    />
  );
}

/** A new parameter by its name and its value. */
function Adding() {
  const editor = useEditor();
  const [name, setName] = useState('');
  const [value, setValue] = useState('');
  const [trouble, setTrouble] = useState<string>();
  const add = (text: string): void => {
    const taken = editor.state.model.parameters?.some(({ id }) => id === name) ? WORDS.taken(name) : unfitName(name);
    if (taken !== undefined) return setTrouble(taken);
    // What is written is read as a file is: a number with its unit, or an expression of others.
    const entry = { id: name, value: text };
    const reasons = editor.refusalOf({ type: 'put', list: 'parameters', entry });
    if (reasons.length > 0) return setTrouble(reasons[0]!.message);
    editor.edit({ type: 'put', list: 'parameters', entry });
    setName('');
    setValue('');
    setTrouble(undefined);
  };
  return (
    <Row role="group" aria-label={WORDS.newName}>
      <NameField label={WORDS.newName} hideLabel value={name} onCommit={setName} />
      <TextLine
        label={WORDS.newValue}
        hideLabel
        value={value}
        placeholder="12 m"
        onCommit={(text) => (name === '' ? setValue(text) : add(text))}
      />
      <div>
        <Button onPress={() => add(value)} isDisabled={name === '' || value === ''}>
          {WORDS.add}
        </Button>
        <Trouble words={trouble} />
      </div>
    </Row>
  );
}
