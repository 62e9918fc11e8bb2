'use client';

import { Checkbox, CheckboxGroup, Label } from 'react-aria-components';
import styled from 'styled-components';
import { freeName } from '@rigid-beam/core/model/edits/next-id';
import type { Combination, EnvelopeCombination, SumCombination } from '@rigid-beam/core/model/model';
import { useEditor, useModel } from '../session/use-editor';
import { Button, Columns, Hint, Row, Stack } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { QuantityField } from '../ui/QuantityField';

const Box = styled(Stack)`
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 0.4rem 0.5rem;
  background: var(--paper);
`;

const Tick = styled(Checkbox)`
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  margin-right: 0.7rem;
  &::before {
    content: '';
    width: 0.8rem;
    height: 0.8rem;
    border: 1px solid var(--rule-strong);
    border-radius: 2px;
  }
  &[data-selected]::before {
    background: var(--ink);
    box-shadow: inset 0 0 0 2px var(--paper);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
  }
`;

/** Sums with a factor for each case, and envelopes of what they enclose. */
export function CombinationsBench() {
  const editor = useEditor();
  const model = useModel();
  const taken = [...model.cases, ...model.combinations].map(({ id }) => id);
  const first = model.cases[0];
  const sums = model.combinations.filter((combination) => combination.type === 'sum');
  const add = (entry: Combination): void => {
    if (editor.edit({ type: 'put', list: 'combinations', entry: { ...entry } })) editor.go({ acting: entry.id });
  };
  return (
    <Stack>
      <Row>
        <Button
          isDisabled={!first}
          onPress={() =>
            add({
              id: freeName('U', taken),
              type: 'sum',
              factors: Object.fromEntries(model.cases.map(({ id, category }) => [id, category === 'permanent' ? 1.35 : 1.5])),
              limitState: 'strength',
            })
          }
        >
          Add a sum
        </Button>
        <Button
          isDisabled={!first}
          onPress={() =>
            add({ id: freeName('E', taken), type: 'envelope', of: (sums.length > 0 ? sums : model.cases).map(({ id }) => id) })
          }
        >
          Add an envelope
        </Button>
      </Row>
      {model.combinations.length === 0 && (
        <Hint>A sum adds cases with factors; an envelope shows the largest and smallest of several.</Hint>
      )}
      {model.combinations.map((combination) => (
        <CombinationEditor key={combination.id} combination={combination} />
      ))}
    </Stack>
  );
}

function CombinationEditor({ combination }: { readonly combination: Combination }) {
  const editor = useEditor();
  const put = (entry: Combination): boolean =>
    editor.edit({ type: 'put', list: 'combinations', entry: { ...entry }, key: combination.id });
  return (
    <Box role="group" aria-label={`Combination ${combination.id}`}>
      <Columns>
        <NameField
          label={combination.type === 'sum' ? 'Sum' : 'Envelope'}
          value={combination.id}
          onCommit={(id) => put({ ...combination, id })}
        />
        <NameField
          label="Title"
          value={combination.title ?? ''}
          mayBeEmpty
          onCommit={(title) => put({ ...combination, title })}
        />
      </Columns>
      {combination.type === 'sum' ? <Factors sum={combination} put={put} /> : <Parts envelope={combination} put={put} />}
      <Row>
        <Button onPress={() => editor.edit({ type: 'remove', list: 'combinations', keys: [combination.id] })}>
          Remove {combination.id}
        </Button>
      </Row>
    </Box>
  );
}

function Factors({ sum, put }: { readonly sum: SumCombination; readonly put: (entry: Combination) => boolean }) {
  const model = useModel();
  return (
    <Columns>
      {model.cases.map(({ id }) => (
        <QuantityField
          key={id}
          label={`× ${id}`}
          value={sum.factors[id]}
          dimension="number"
          unit=""
          mayBeEmpty
          placeholder="0"
          onCommit={(factor) => {
            const { [id]: _, ...rest } = sum.factors;
            put({ ...sum, factors: factor === undefined ? rest : { ...rest, [id]: factor } });
          }}
        />
      ))}
    </Columns>
  );
}

function Parts({ envelope, put }: { readonly envelope: EnvelopeCombination; readonly put: (entry: Combination) => boolean }) {
  const model = useModel();
  const choices = [...model.cases, ...model.combinations].filter(({ id }) => id !== envelope.id);
  return (
    <CheckboxGroup value={[...envelope.of]} onChange={(of) => put({ ...envelope, of })}>
      <Label>Encloses</Label>
      <div>
        {choices.map(({ id }) => (
          <Tick key={id} value={id}>
            {id}
          </Tick>
        ))}
      </div>
    </CheckboxGroup>
  );
}
