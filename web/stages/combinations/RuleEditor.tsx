'use client';

import { useState } from 'react';
import { rulesFaults } from '@rigid-beam/core/combinations/rules/own';
import type { Written } from '@rigid-beam/core/combinations/rules/read-rules';
import { waysToAct } from '@rigid-beam/core/model/rule-fields';
import { categories, categoryOf, limitStates, limitStateTable, type Category } from '@rigid-beam/core/model/categories';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import type { OwnRules } from '@rigid-beam/core/model/model';
import { keepFile } from '../../browser/keep-file';
import { useEditor, useModel } from '../../editor/use-editor';
import { Button, Columns, FieldNote, Row, Select, Stack } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { NameField } from '../../ui/NameField';
import { QuantityField } from '../../ui/QuantityField';
import { ruleEditor as WORDS } from '../words';

type Situation = NonNullable<Written['situations']>[number];
type Expression = Situation['expressions'][number];
type Term = Expression['terms'][number];

/** A list in which one is another, or is gone. */
const replaced = <T,>(all: readonly T[], i: number, one: T | undefined): T[] =>
  all.flatMap((other, k) => (k !== i ? [other] : one === undefined ? [] : [one]));

/** A set of rules of the model's own: every factor, reduction value, group of categories and clause of it, and its file. */
export function RuleEditor({ own }: { readonly own: OwnRules }) {
  const editor = useEditor();
  const model = useModel();
  /** Why the last change was not made. */
  const [faults, setFaults] = useState<readonly string[]>([]);
  const rules = own as unknown as Written;
  const place = ['ruleSets', own.id];
  const { values = [], situations = [] } = rules;
  const change = (part: Partial<Written>): void => {
    const next = { ...rules, ...part };
    const why = rulesFaults({ ruleSets: (model.ruleSets ?? []).filter(({ id }) => id !== own.id) }, next);
    setFaults(why);
    if (why.length === 0) editor.edit({ type: 'put', list: 'ruleSets', entry: { ...next }, key: own.id });
  };
  return (
    <Stack role="group" aria-label={WORDS.set(rules.title)}>
      <Columns>
        <NameField label={WORDS.title} value={rules.title} onCommit={(title) => change({ title })} />
        <NameField label={WORDS.standard} value={rules.standard} onCommit={(standard) => change({ standard })} />
      </Columns>
      {faults.map((words) => (
        <FieldNote key={words} data-fault role="alert">
          {words}
        </FieldNote>
      ))}
      {values.map(({ symbol, clause, of }, v) => (
        <Fold key={symbol} title={WORDS.value(symbol)}>
          <NameField
            label={WORDS.clause}
            value={clause}
            onCommit={(text) => change({ values: replaced(values, v, { symbol, clause: text, of }) })}
          />
          <Columns>
            {categories
              .filter((category) => !categoryOf(category).isPermanent)
              .map((category) => (
                <QuantityField
                  key={category}
                  label={WORDS.of(symbol, categoryOf(category).title)}
                  value={of[category]}
                  dimension="number"
                  unit=""
                  mayBeEmpty
                  place={placeText(...place, 'values', String(v), 'of', category)}
                  onCommit={(size) => {
                    const { [category]: _, ...rest } = of;
                    change({
                      values: replaced(values, v, {
                        symbol,
                        clause,
                        of: size === undefined ? rest : { ...of, [category]: size },
                      }),
                    });
                  }}
                />
              ))}
          </Columns>
        </Fold>
      ))}
      {situations.map((situation, s) => (
        <Fold key={situation.id} title={situation.title}>
          <SituationEditor
            situation={situation}
            place={[...place, 'situations', String(s)]}
            symbols={values.map(({ symbol }) => symbol)}
            onChange={(one) => change({ situations: replaced(situations, s, one) })}
          />
        </Fold>
      ))}
      <Row>
        <Button onPress={() => keepFile(`${own.id}.rules.json`, JSON.stringify(own, undefined, 2), 'application/json')}>
          {WORDS.file}
        </Button>
        <Button onPress={() => editor.edit({ type: 'remove', list: 'ruleSets', keys: [own.id] })}>{WORDS.remove}</Button>
      </Row>
    </Stack>
  );
}

interface SituationEditorProps {
  readonly situation: Situation;
  /** Where it stands in the model. */
  readonly place: readonly string[];
  readonly symbols: readonly string[];
  readonly onChange: (situation: Situation | undefined) => void;
}

function SituationEditor({ situation, place, symbols, onChange }: SituationEditorProps) {
  const { expressions } = situation;
  const changeExpression = (e: number, one: Expression | undefined): void =>
    onChange({ ...situation, expressions: replaced(expressions, e, one) });
  return (
    <Stack>
      <Columns>
        <NameField label={WORDS.title} value={situation.title} onCommit={(title) => onChange({ ...situation, title })} />
        <NameField label={WORDS.letter} value={situation.letter} onCommit={(letter) => onChange({ ...situation, letter })} />
      </Columns>
      <Select
        label={WORDS.limitState}
        choices={limitStates.map((id) => ({ id, text: limitStateTable[id].title }))}
        value={situation.limitState}
        onChange={(id) => onChange({ ...situation, limitState: id as Situation['limitState'] })}
      />
      {expressions.map((expression, e) => (
        // They are known by their order alone.
        <Stack key={e} role="group" aria-label={WORDS.expression(e + 1)}>
          <NameField
            label={WORDS.clause}
            value={expression.clause}
            onCommit={(clause) => changeExpression(e, { ...expression, clause })}
          />
          {expression.terms.map((term, t) => (
            <TermEditor
              key={t}
              term={term}
              place={[...place, 'expressions', String(e), 'terms', String(t)]}
              number={t + 1}
              symbols={symbols}
              onChange={(one) => changeExpression(e, { ...expression, terms: replaced(expression.terms, t, one) })}
            />
          ))}
          <Row>
            <Button
              onPress={() =>
                changeExpression(e, { ...expression, terms: [...expression.terms, { of: ['other'], acts: 'each', factor: 1 }] })
              }
            >
              {WORDS.addTerm}
            </Button>
            {expressions.length > 1 && <Button onPress={() => changeExpression(e, undefined)}>{WORDS.removeExpression}</Button>}
          </Row>
        </Stack>
      ))}
      <Row>
        <Button onPress={() => onChange({ ...situation, expressions: [...expressions, expressions.at(-1)!] })}>
          {WORDS.addExpression}
        </Button>
        <Button onPress={() => onChange(undefined)}>{WORDS.removeSituation(situation.title)}</Button>
      </Row>
    </Stack>
  );
}

interface TermEditorProps {
  readonly term: Term;
  /** Where it stands in the model. */
  readonly place: readonly string[];
  readonly number: number;
  readonly symbols: readonly string[];
  readonly onChange: (term: Term | undefined) => void;
}

function TermEditor({ term, place, number, symbols, onChange }: TermEditorProps) {
  const set = (part: Partial<Term>): void => {
    const next = { ...term, ...part };
    // Only what acts always has a factor for when it helps.
    const { favourable, value, ...rest } = next;
    onChange({ ...rest, ...(value && { value }), ...(favourable !== undefined && next.acts === 'always' && { favourable }) });
  };
  return (
    <Stack role="group" aria-label={WORDS.term(number)}>
      <NameField
        label={WORDS.kinds(number)}
        value={term.of.join(', ')}
        onCommit={(text) =>
          set({
            of: text
              .split(',')
              .map((name) => name.trim() as Category)
              .filter(Boolean),
          })
        }
      />
      <Columns>
        <Select
          label={WORDS.acts(number)}
          choices={waysToAct.map((id) => ({ id, text: WORDS.ways[id] }))}
          value={term.acts}
          onChange={(id) => set({ acts: id as Term['acts'] })}
        />
        <Select
          label={WORDS.times(number)}
          choices={[{ id: '', text: WORDS.noValue }, ...symbols.map((id) => ({ id, text: id }))]}
          value={term.value ?? ''}
          onChange={(value) => set({ value })}
        />
        <QuantityField
          label={WORDS.factor(number)}
          value={term.factor}
          dimension="number"
          unit=""
          place={placeText(...place, 'factor')}
          onCommit={(factor) => factor !== undefined && set({ factor })}
        />
        {term.acts === 'always' ? (
          <QuantityField
            label={WORDS.favourable(number)}
            value={term.favourable}
            dimension="number"
            unit=""
            place={placeText(...place, 'favourable')}
            mayBeEmpty
            onCommit={(favourable) => {
              const { favourable: _, ...rest } = term;
              onChange(favourable === undefined ? rest : { ...rest, favourable });
            }}
          />
        ) : (
          <span />
        )}
      </Columns>
      <Button onPress={() => onChange(undefined)}>{WORDS.removeTerm(number)}</Button>
    </Stack>
  );
}
