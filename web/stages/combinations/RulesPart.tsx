'use client';

import { useMemo, useState } from 'react';
import { CheckboxGroup, FileTrigger, Label, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { answerOf, askedFor, limitStatesIn, limitStatesOf, type Answer } from '@rigid-beam/core/combinations/asked';
import { taking } from '@rigid-beam/core/combinations/generate/difference';
import { tooManyWords, untoldWords } from '@rigid-beam/core/combinations/generate/words';
import { copiedRules, knownRules, rulesFaults } from '@rigid-beam/core/combinations/rules/own';
import { limitStateTable, type LimitState } from '@rigid-beam/core/model/categories';
import { permanentWays, type Combining } from '@rigid-beam/core/model/model';
import { cellWords, type Table } from '@rigid-beam/core/tables/column';
import { changesTable, type Change } from '@rigid-beam/core/tables/combinations/changes';
import { useEditor, useModel } from '../../editor/use-editor';
import { Button, FieldNote, Hint, PanelSubtitle, Row, Select, Stack, ToggleButton } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { ReadTable } from '../../ui/ReadTable';
import { Tick } from '../../ui/Tick';
import { RuleEditor } from './RuleEditor';
import { rulesPart as WORDS } from '../words';

const Sets = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem;
  button {
    min-height: 1.5rem;
    padding: 0.05rem 0.4rem;
    font-size: 0.78rem;
  }
`;

const Changes = styled.div`
  max-height: 14rem;
  overflow: auto;
  font-size: 0.78rem;
  th,
  td:not(:first-child) {
    text-align: left;
    white-space: normal;
  }
  td:first-child {
    vertical-align: top;
  }
  small {
    display: block;
    color: var(--soft);
  }
`;

/** By which rules combinations are made: what they ask for is seen before it is taken, and again when cases have changed. */
export function RulesPart() {
  const editor = useEditor();
  const model = useModel();
  /** What is looked at before it is taken. */
  const [tried, setTried] = useState<Combining>();
  const { cases, actions, combinations, combining, ruleSets } = model;
  const known = useMemo(() => knownRules({ ...(ruleSets && { ruleSets }) }), [ruleSets]);
  const asked = tried ?? combining;
  const answer = useMemo(
    () => asked && answerOf({ cases, combinations, ...(actions && { actions }) }, asked, known),
    [asked, cases, actions, combinations, known],
  );
  const own = ruleSets?.find(({ id }) => id === asked?.rules);
  /** Takes a set into the model, and looks at what it asks for. */
  const keep = (rules: object & { readonly id: string }): void => {
    if (editor.edit({ type: 'put', list: 'ruleSets', entry: { ...rules } })) setTried({ ...asked, rules: rules.id });
  };
  const readFile = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const rules = JSON.parse(await file.text()) as object & { readonly id: string };
      const faults = rulesFaults(model, rules);
      if (faults.length > 0) editor.refuse(faults.join(' '));
      else keep(rules);
    } catch (error) {
      editor.refuse(WORDS.notJson(file.name, (error as Error).message));
    }
  };
  const permanents = cases.filter(({ category }) => category === 'permanent').length;
  const take = ({ rules, combining: taken, difference }: Answer): void => {
    if (difference && editor.edit(taking(model, rules, taken, difference))) setTried(undefined);
  };
  return (
    <Stack>
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      <Sets
        aria-label={WORDS.title}
        selectionMode="single"
        selectedKeys={asked ? [asked.rules] : []}
        onSelectionChange={(keys) => {
          const [rules] = [...keys];
          setTried(rules === undefined || rules === combining?.rules ? undefined : { ...asked, rules: String(rules) });
        }}
      >
        {known.map(({ id, title, standard }) => (
          <ToggleButton key={id} id={id} aria-label={`${title}: ${standard}`}>
            {title}
          </ToggleButton>
        ))}
      </Sets>
      <Row>
        {answer && !own && <Button onPress={() => keep(copiedRules(model, answer.rules))}>{WORDS.copy}</Button>}
        <FileTrigger acceptedFileTypes={['.json', 'application/json']} onSelect={(files) => void readFile(files?.[0])}>
          <Button>{WORDS.read}</Button>
        </FileTrigger>
      </Row>
      {asked && !answer && <FieldNote>{WORDS.unknown(asked.rules)}</FieldNote>}
      {asked && answer && limitStatesOf(answer.rules).length > 1 && (
        <CheckboxGroup
          value={[...limitStatesIn(answer.rules, asked)]}
          onChange={(states) => states.length > 0 && setTried(askedFor(answer.rules, asked, states as LimitState[]))}
        >
          <Label>{WORDS.for}</Label>
          <div>
            {limitStatesOf(answer.rules).map((state) => (
              <Tick key={state} value={state}>
                {limitStateTable[state].title}
              </Tick>
            ))}
          </div>
        </CheckboxGroup>
      )}
      {asked && answer && permanents > 1 && (
        <Select
          label={WORDS.permanent}
          choices={permanentWays.map((id) => ({ id, text: WORDS.permanentWays[id] }))}
          value={asked.permanent ?? 'as one'}
          onChange={(permanent) => setTried({ ...asked, permanent: permanent as (typeof permanentWays)[number] })}
        />
      )}
      {own && (
        <Fold key={own.id} title={WORDS.change(own.title)}>
          <RuleEditor own={own} />
        </Fold>
      )}
      {answer && (
        <Offer answer={answer} isTried={tried !== undefined} onTake={() => take(answer)} onLeave={() => setTried(undefined)} />
      )}
    </Stack>
  );
}

/** A sum, and below it why it is asked for. */
function Said({ table: { columns }, row }: { readonly table: Table<Change>; readonly row: Change }) {
  const [, sum, why] = columns;
  return (
    <>
      {cellWords(sum!, row)}
      <small>{cellWords(why!, row)}</small>
    </>
  );
}

interface OfferProps {
  readonly answer: Answer;
  readonly isTried: boolean;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}

/** What would come, change and go, with its reasons. */
function Offer({ answer: { rules, made, difference, isDifferent }, isTried, onTake, onLeave }: OfferProps) {
  if (made.isTooMany || !difference)
    return (
      <FieldNote data-fault role="alert">
        {made.isTooMany && tooManyWords(made)}
      </FieldNote>
    );
  const { added, changed, gone, typed } = difference;
  const table = changesTable(difference);
  const told = { ...table, columns: table.columns.filter(({ key }) => key !== 'why') };
  const counts = { added: added.length, changed: changed.length, gone: gone.length };
  const isOnlyNew = changed.length + gone.length === 0;
  return (
    <Stack>
      {untoldWords(rules, made.untold).map((words) => (
        <FieldNote key={words}>{words}</FieldNote>
      ))}
      {!isDifferent && <Hint role="status">{WORDS.inStep(rules.title)}</Hint>}
      {isDifferent && (
        <>
          <p role="status">
            {!isTried && `${WORDS.since} `}
            {WORDS.difference(counts)}.
          </p>
          <Row>
            <Button onPress={onTake}>{isOnlyNew ? WORDS.take(added.length) : WORDS.remake}</Button>
            {isTried && <Button onPress={onLeave}>{WORDS.leave}</Button>}
          </Row>
          <Changes tabIndex={0} role="group" aria-label={table.title}>
            <ReadTable
              table={told}
              cell={(column, row) => (column.key === 'sum' ? <Said table={table} row={row} /> : undefined)}
            />
          </Changes>
          {typed.length > 0 && <Hint>{WORDS.typed(typed.map(({ id }) => id))}</Hint>}
          {made.merged > 0 && <Hint>{WORDS.merged(made.merged)}</Hint>}
        </>
      )}
    </Stack>
  );
}
