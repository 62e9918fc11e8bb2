'use client';

import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Recheck } from '@rigid-beam/core/recheck/recheck';
import type { Solution } from '@rigid-beam/core/results/results';
import { closerLooks, judgementsOf, recheckWords, type Judgement } from '@rigid-beam/core/tables/results/headlines/right';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
import { LIVELY } from '@rigid-beam/drawing/level-of-detail';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { Button, PanelSubtitle } from '../../ui/controls';
import { isItRight as WORDS } from './words';

const Sentences = styled.ul`
  display: grid;
  gap: 0.3rem;
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: 0.8rem;
  li {
    display: grid;
    grid-template-columns: 1rem auto;
  }
  li[data-is='well'] > span:first-child {
    color: var(--good);
  }
  li[data-of='before'] {
    visibility: hidden;
  }
  li:not([data-is='well']) {
    font-weight: 600;
  }
`;

interface IsItRightProps {
  readonly solution: Solution;
  readonly outcome: number;
}

/** Whether results can be right, in sentences with their numbers; on request solved once more in another way. */
export function IsItRight({ solution, outcome }: IsItRightProps) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.settled.model);
  const drawn = useEditorState((state) => state.quantity) ?? 'Mz';
  const [checked, check] = useState<{ readonly solution: Solution; readonly outcome: number; readonly found?: Recheck }>();
  const quick = useMemo(
    () => judgementsOf({ model, solution, outcome, display, drawn }, (quantity) => governingValues(solution, outcome, quantity)),
    [model, solution, outcome, display, drawn],
  );
  const asked = useMemo(() => ({ model, solution, outcome, display }), [model, solution, outcome, display]);
  const closer = useCloserLooks(asked);
  const own = checked?.solution === solution && checked.outcome === outcome ? checked : undefined;
  const again = async (): Promise<void> => {
    check({ solution, outcome });
    const found = await editor.recheck(outcome);
    check(found && { solution, outcome, found });
  };
  return (
    <>
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      <Sentences aria-label={WORDS.title}>
        {quick.map((one) => (
          <Sentence key={one.key} judgement={one} />
        ))}
        {closer.found.map((one) => (
          <Sentence key={one.key} judgement={one} of={closer.of === asked ? 'this' : 'before'} />
        ))}
      </Sentences>
      <div role="status">
        {own?.found && (
          <Sentences aria-label={WORDS.again}>
            <Sentence judgement={recheckWords(own.found, display)} />
          </Sentences>
        )}
      </div>
      {!isRange(solution.outcomes[outcome]!) && !own?.found && (
        <Button isDisabled={own !== undefined} onPress={() => void again()}>
          {own ? WORDS.checking : WORDS.check}
        </Button>
      )}
    </>
  );
}

type Looked = Parameters<(typeof closerLooks)[number]>[0];

/** Milliseconds for which one outcome is looked at before it is looked at more closely: who steps through them waits for none. */
const REST = 250;

interface Seen {
  readonly of?: Looked;
  readonly found: readonly Judgement[];
}

/**
 * What takes a closer look: of a small model at once, so that nothing moves under the pointer; of a larger one after a while, one after the
 * other, so that the page answers in between, and until all is there what was found before.
 */
function useCloserLooks(asked: Looked): Seen {
  const isSmall = asked.model.members.length <= LIVELY;
  const atOnce = useMemo(
    () => (isSmall ? { of: asked, found: closerLooks.flatMap((look) => look(asked) ?? []) } : undefined),
    [asked, isSmall],
  );
  const [seen, see] = useState<Seen>({ found: [] });
  useEffect(() => {
    if (isSmall) return;
    const found: Judgement[] = [];
    const look = (i: number): void => {
      const one = closerLooks[i];
      if (!one) return see({ of: asked, found });
      const next = one(asked);
      if (next) found.push(next);
      timer = setTimeout(() => look(i + 1));
    };
    let timer = setTimeout(() => look(0), REST);
    return () => clearTimeout(timer);
  }, [asked, isSmall]);
  return atOnce ?? seen;
}

/** One of the sentences; what was said of something else only keeps the place of what will be said. */
function Sentence({ judgement: { words, is }, of = 'this' }: { readonly judgement: Judgement; readonly of?: 'this' | 'before' }) {
  return (
    <li data-is={is} data-of={of}>
      <span aria-label={is === 'well' ? WORDS.well : WORDS.look} role="img">
        {is === 'well' ? '✓' : '!'}
      </span>
      <span>{words}</span>
    </li>
  );
}
