'use client';

import { useDeferredValue, useEffect, useId, useMemo, useRef } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import styled from 'styled-components';
import { actingIndex } from '../editor/editor-state';
import { PlainButton } from '../ui/controls';
import { useEditor, useEditorState } from '../editor/use-editor';
import { CaseCard, SIZE } from './CaseCard';
import { listedIn, shownIn } from './in-strip';
import { StripKinds } from './StripKinds';
import { caseStrip as WORDS } from './words';

/** Pixels between two of them. */
const GAP = 6;

const Strip = styled.div`
  display: flex;
  align-items: center;
  min-width: 0;
  background: var(--desk);
  border-top: 1px solid var(--rule-strong);
`;

const Row = styled.div`
  flex: 1;
  /* Holds its unseen inputs, which would otherwise widen the page. */
  position: relative;
  display: flex;
  gap: ${GAP}px;
  min-width: 0;
  padding: 0.15rem 0.5rem;
  overflow-x: auto;
  scrollbar-width: thin;
`;

/** Where those stand that are not there. */
const Room = styled.div`
  flex: 0 0 auto;
`;

const Fold = styled(PlainButton)`
  min-height: 1.4rem;
  font-size: 0.75rem;
`;

/** Entries from which on only those in view, and some beside them, are there: hundreds of sums would be looked through at every edit. */
const MANY = 60;
const BESIDE = 8;

/** One live small sketch per case, combination and envelope; arrow keys step through them. */
export function CaseStrip() {
  const editor = useEditor();
  // The sheet is painted first; its small copies follow when there is time. What is moved or loaded otherwise leaves the list as it is.
  const cases = useDeferredValue(useEditorState((state) => state.settled.model.cases));
  const combinations = useDeferredValue(useEditorState((state) => state.settled.model.combinations));
  const outcomeActing = useEditorState(actingIndex);
  const governing = useDeferredValue(useEditorState((state) => state.governing));
  const isCurrent = useEditorState(({ settled }) => settled.model === governing?.model);
  const unlisted = useEditorState((state) => state.unlisted);
  const outcomes = useDeferredValue(useEditorState((state) => state.settled.results?.solution?.outcomes));
  const whole = useMemo(
    () => listedIn(cases, combinations, governing?.counts, outcomes),
    [cases, combinations, governing, outcomes],
  );
  const all = useMemo(() => shownIn(whole, unlisted, outcomeActing), [whole, unlisted, outcomeActing]);
  const acting = all.findIndex(({ outcome }) => outcome === outcomeActing);
  const strip = useRef<HTMLDivElement>(null);
  const group = useId();
  const isFolded = useEditorState((state) => state.strip === 'folded');
  const windowed = useVirtualizer({
    count: all.length,
    enabled: all.length > MANY,
    horizontal: true,
    getScrollElement: () => strip.current,
    estimateSize: () => SIZE.width + 2,
    gap: GAP,
    overscan: BESIDE,
  });
  const places = windowed.getVirtualItems();
  const [first, last] = all.length > MANY ? [places[0]?.index ?? 0, places.at(-1)?.index ?? BESIDE] : [0, all.length - 1];
  // What acts is in view, also where it was chosen elsewhere.
  useEffect(() => {
    if (acting < 0) return;
    if (all.length > MANY) windowed.scrollToIndex(acting);
    else strip.current?.children[acting]?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [acting, all.length, windowed]);
  return (
    <Strip>
      <StripKinds all={whole} />
      {all.length === 0 ? (
        <span>{WORDS.none}</span>
      ) : (
        <Row ref={strip} role="radiogroup" aria-label={WORDS.casesAndCombinations} aria-orientation="horizontal">
          {first > 0 && <Room style={{ width: places[0]!.start - GAP }} />}
          {all.slice(first, last + 1).map(({ id, title, why, outcome, kind, governs }, k) => (
            <CaseCard
              key={id}
              {...{ id, title, why, outcome, kind, group, isFolded }}
              index={first + k}
              isActing={first + k === acting}
              isIdle={isCurrent && governs === 0}
              measured={all.length > MANY ? windowed.measureElement : undefined}
            />
          ))}
          {last < all.length - 1 && <Room style={{ width: windowed.getTotalSize() - (places.at(-1)?.end ?? 0) - GAP }} />}
        </Row>
      )}
      <Fold
        aria-label={isFolded ? WORDS.unfold : WORDS.fold}
        onPress={() => editor.show({ strip: isFolded ? 'open' : 'folded' })}
      >
        {isFolded ? '▴' : '▾'}
      </Fold>
    </Strip>
  );
}
