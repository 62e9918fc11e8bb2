'use client';

import { useMemo, useState } from 'react';
import { CheckboxGroup, Label } from 'react-aria-components';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import { byHand } from '@rigid-beam/core/combinations/generate/difference';
import { readSum, sumText } from '@rigid-beam/core/combinations/sum-text';
import { firstEnvelope, firstSum } from '@rigid-beam/core/combinations/first-combination';
import { limitStates, limitStateTable, type LimitState } from '@rigid-beam/core/model/categories';
import type { Combination, EnvelopeCombination, SumCombination } from '@rigid-beam/core/model/model';
import { actingIndex } from '../editor/editor-state';
import { useEditor, useEditorState, useModel } from '../editor/use-editor';
import { Button, Columns, FieldNote, Hint, PanelSubtitle, Row, Select, Stack } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { Tick } from '../ui/Tick';
import { COMBINE } from './words';
import { AnalysisPart } from './combinations/AnalysisPart';
import { ActTogether } from './combinations/ActTogether';
import { FactorTable } from './combinations/FactorTable';
import { PatternsPart } from './combinations/PatternsPart';
import { ReasonBox } from './combinations/ReasonBox';
import { RulesPart } from './combinations/RulesPart';
import { idleIn } from './case-lines';
import { combinationsBench as WORDS } from './words';

/** Sums as a table of factors, envelopes of what they enclose; the one that acts is changed below. */
export function CombinationsBench() {
  const editor = useEditor();
  const model = useModel();
  const outcome = useEditorState(actingIndex);
  const first = model.cases[0];
  const governing = useEditorState((state) => state.governing);
  const settled = useEditorState((state) => state.settled.model);
  const idle = useMemo(() => idleIn(governing, settled), [governing, settled]);
  const acting = model.combinations[outcome - model.cases.length];
  const add = (entry: Combination): void => {
    if (editor.edit({ type: 'put', list: 'combinations', entry: { ...byHand(undefined, entry) } }))
      editor.go({ acting: entry.id });
  };
  return (
    <Stack>
      <ActTogether />
      <PatternsPart />
      <RulesPart />
      <AnalysisPart />
      {acting && <ReasonBox combination={acting} />}
      {model.combinations.length === 0 && <Hint>{COMBINE.none}</Hint>}
      {model.combinations.length > 0 && (
        <FactorTable
          cases={model.cases}
          actions={model.actions}
          combinations={model.combinations}
          acting={acting?.id}
          idle={idle}
        />
      )}
      <Row>
        <Button isDisabled={!first} onPress={() => add(firstSum(model))}>
          {COMBINE.addSum}
        </Button>
        <Button isDisabled={!first} onPress={() => add(firstEnvelope(model))}>
          {COMBINE.addEnvelope}
        </Button>
        {model.combinations.length > 0 && (
          <Button onPress={() => editor.show({ drawer: 'combinations' })}>{COMBINE.asTable}</Button>
        )}
      </Row>
      {acting && <CombinationEditor key={acting.id} combination={acting} add={add} />}
    </Stack>
  );
}

interface CombinationEditorProps {
  readonly combination: Combination;
  readonly add: (entry: Combination) => void;
}

/** Name, title and kind of the combination that acts. */
function CombinationEditor({ combination, add }: CombinationEditorProps) {
  const editor = useEditor();
  const model = useModel();
  const { id } = combination;
  const put = (entry: Combination): void => {
    const said = byHand(combination, entry);
    if (editor.edit({ type: 'put', list: 'combinations', entry: { ...said }, key: id }) && entry.id !== id)
      editor.go({ acting: entry.id });
  };
  const taken = [...model.cases, ...model.combinations].map((one) => one.id);
  return (
    <Stack role="group" aria-label={WORDS.combination(id)}>
      <PanelSubtitle>{id}</PanelSubtitle>
      <Columns>
        <NameField
          label={combination.type === 'sum' ? WORDS.sum : WORDS.envelope}
          value={id}
          onCommit={(name) => put({ ...combination, id: name })}
        />
        <NameField
          label={WORDS.title}
          value={combination.title ?? ''}
          mayBeEmpty
          onCommit={(title) => put({ ...combination, title })}
        />
      </Columns>
      {combination.type === 'sum' && <SumField sum={combination} onPut={(factors) => put({ ...combination, factors })} />}
      {combination.type === 'envelope' && <Parts envelope={combination} put={put} />}
      {combination.type === 'sum' && (
        <Select
          label={COMBINE.limit}
          choices={limitStates.map((state) => ({ id: state, text: limitStateTable[state].title }))}
          value={combination.limitState ?? 'other'}
          onChange={(state) => put({ ...combination, limitState: state as LimitState })}
        />
      )}
      <Row>
        <Button onPress={() => add({ ...combination, id: freeName(id.replace(/\d+$/, ''), taken) })}>{COMBINE.copy(id)}</Button>
        <Button onPress={() => editor.edit({ type: 'remove', list: 'combinations', keys: [id] })}>{COMBINE.remove(id)}</Button>
      </Row>
    </Stack>
  );
}

/** A sum as engineers write it, typed over whole. */
function SumField({
  sum,
  onPut,
}: {
  readonly sum: SumCombination;
  readonly onPut: (factors: SumCombination['factors']) => void;
}) {
  const { cases, actions = [], combinations } = useModel();
  const [fault, setFault] = useState<string>();
  const written = sumText(sum.factors);
  const names = [...cases, ...actions, ...combinations].map(({ id }) => id).filter((id) => id !== sum.id);
  return (
    <>
      <NameField
        label={WORDS.sumText}
        value={written}
        onCommit={(text) => {
          const read = readSum(text, names);
          setFault(read.ok ? undefined : WORDS.notSum(read.reason));
          if (read.ok && sumText(read.factors) !== written) onPut(read.factors);
        }}
      />
      {fault && (
        <FieldNote data-fault role="alert">
          {fault}
        </FieldNote>
      )}
    </>
  );
}

function Parts({ envelope, put }: { readonly envelope: EnvelopeCombination; readonly put: (entry: Combination) => void }) {
  const model = useModel();
  const choices = [...model.cases, ...(model.actions ?? []), ...model.combinations].filter(({ id }) => id !== envelope.id);
  return (
    <>
      <CheckboxGroup value={[...envelope.of]} onChange={(of) => put({ ...envelope, of })}>
        <Label>{COMBINE.encloses}</Label>
        <div>
          {choices.map(({ id }) => (
            <Tick key={id} value={id}>
              {id}
            </Tick>
          ))}
        </div>
      </CheckboxGroup>
      {model.analysis?.naturalModes?.spectrum && (
        <Tick
          isSelected={envelope.earthquake ?? false}
          onChange={(encloses) => {
            const { earthquake: _, ...rest } = envelope;
            put(encloses ? { ...rest, earthquake: true } : rest);
          }}
        >
          {COMBINE.enclosesEarthquake}
        </Tick>
      )}
    </>
  );
}
