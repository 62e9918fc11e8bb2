'use client';

import { useMemo } from 'react';
import { CheckboxGroup } from 'react-aria-components';
import { patternedCases, patterning, type CaseForm, type PatternWays } from '@rigid-beam/core/combinations/patterned';
import { USUAL_WAYS } from '@rigid-beam/core/model/patterns/parts';
import { patternParts, patternWays } from '@rigid-beam/core/model/model';
import { useEditor, useModel } from '../../editor/use-editor';
import { Hint, PanelSubtitle, Select, Stack } from '../../ui/controls';
import { Tick } from '../../ui/Tick';
import { patternsPart as WORDS } from '../words';

/** Cases that lie on several spans or hold trains: whether they act everywhere at once, on some of their spans at a time, or travel. */
export function PatternsPart() {
  const editor = useEditor();
  const model = useModel();
  const all = useMemo(() => patternedCases(model), [model]);
  if (all.length === 0) return null;
  return (
    <Stack>
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      {all.map(({ loadCase, action, trains, sets }) => {
        const { id } = loadCase;
        const isTravelling = action?.type === 'travelling';
        const by = action && !isTravelling ? (action.by ?? 'spans') : undefined;
        const forms: readonly CaseForm[] = [...patternParts, ...(trains > 0 || isTravelling ? (['travelling'] as const) : [])];
        return (
          <Stack key={id} role="group" aria-label={WORDS.caseOf(id)}>
            <Select
              label={WORDS.caseOf(id)}
              choices={[{ id: 'whole', text: WORDS.whole }, ...forms.map((one) => ({ id: one, text: WORDS.by[one] }))]}
              value={isTravelling ? 'travelling' : (by ?? 'whole')}
              onChange={(chosen) => editor.edit(patterning(model, id, chosen === 'whole' ? undefined : (chosen as CaseForm)))}
            />
            {isTravelling && <Hint>{WORDS.travelling(trains)}</Hint>}
            {by && (
              <>
                <CheckboxGroup
                  aria-label={WORDS.waysOf(id)}
                  value={[...(action?.ways ?? USUAL_WAYS)]}
                  onChange={(ways) =>
                    ways.length > 0 &&
                    editor.edit(patterning(model, id, by, patternWays.filter((one) => ways.includes(one)) as PatternWays))
                  }
                >
                  {patternWays.map((way) => (
                    <Tick key={way} value={way}>
                      {WORDS.ways[way]}
                    </Tick>
                  ))}
                </CheckboxGroup>
                <Hint>{WORDS.sets(sets)}</Hint>
              </>
            )}
          </Stack>
        );
      })}
    </Stack>
  );
}
