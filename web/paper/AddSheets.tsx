'use client';

import { useState } from 'react';
import { displayOf } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import { quantityWords } from '@rigid-beam/core/results/quantities';
import { acts, isQuantity, otherSubjects, type Subject } from '@rigid-beam/drawing/paper/subjects';
import { quantitiesDrawn } from '@rigid-beam/drawing/view';
import { capital } from '@rigid-beam/core/capital';
import { caseChoices } from '../ui/case-choices';
import { Button, Columns, Select } from '../ui/controls';
import { addSheets as WORDS } from './words';

const EVERY_CASE = '\u0000cases';
const EVERY_SUM = '\u0000sums';

export const subjectWords = (subject: Subject, model: Model): string =>
  isQuantity(subject) ? capital(quantityWords(model.space, subject, displayOf(model)).name) : WORDS.subjects[subject];

interface AddSheetsProps {
  readonly model: Model;
  readonly acting: string;
  readonly onAdd: (subject: Subject, outcomes: readonly (string | undefined)[]) => void;
}

/** Further sheets: what they show, and of which cases and combinations where that makes a difference. */
export function AddSheets({ model, acting, onAdd }: AddSheetsProps) {
  const [subject, setSubject] = useState<Subject>('geometry');
  const [of, setOf] = useState(acting);
  const subjects: readonly Subject[] = [...otherSubjects, ...quantitiesDrawn(model.space)];
  const outcomes = [...model.cases, ...model.combinations];
  const wanted = (): readonly (string | undefined)[] => {
    if (!acts(subject)) return [undefined];
    if (of === EVERY_CASE) return model.cases.map(({ id }) => id);
    return of === EVERY_SUM ? model.combinations.map(({ id }) => id) : [of];
  };
  return (
    <>
      <Columns>
        <Select
          label={WORDS.what}
          value={subject}
          choices={subjects.map((id) => ({ id, text: subjectWords(id, model) }))}
          onChange={(id) => setSubject(id as Subject)}
        />
        {acts(subject) && (
          <Select
            label={WORDS.of}
            value={of}
            choices={[
              ...caseChoices(outcomes),
              { id: EVERY_CASE, text: WORDS.everyCase },
              ...(model.combinations.length > 0 ? [{ id: EVERY_SUM, text: WORDS.everySum }] : []),
            ]}
            onChange={setOf}
          />
        )}
      </Columns>
      <Button onPress={() => onAdd(subject, wanted())}>{WORDS.added(wanted().length)}</Button>
    </>
  );
}
