'use client';

import { useDeferredValue, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { useVirtualizer } from '@tanstack/react-virtual';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import { listed } from '@rigid-beam/core/combinations/listed';
import { isReady } from '@rigid-beam/core/results/readings';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { sketchMarkup } from '@rigid-beam/drawing/sketch';
import { actingIndex } from '../editor/editor-state';
import { focusFace, PlainButton } from '../ui/controls';
import { useEditor, useEditorState, useDrawnInTime } from '../editor/use-editor';
import { StripKinds } from './StripKinds';
import { caseStrip as WORDS } from './words';

const SIZE = { width: 118, height: 42, head: 21 } as const;
/** Pixels between two of them. */
const GAP = 6;

const Strip = styled.div`
  display: flex;
  align-items: center;
  min-width: 0;
  background: var(--desk);
  border-top: 1px solid var(--rule-strong);
`;

const Row = styled(RadioGroup)`
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

const Card = styled(Radio)`
  position: relative;
  flex: 0 0 auto;
  width: ${SIZE.width + 2}px;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 2px;
  cursor: default;
  &[data-folded='true'] {
    width: auto;
    max-width: 14rem;
    padding: 0 0.4rem;
  }
  &[data-hovered] {
    border-color: var(--rule-strong);
  }
  /* What it is for, as the marks beside the strip say. */
  &[data-kind='strength'] {
    border-top: 3px solid var(--draw-moment);
  }
  &[data-kind='service'] {
    border-top: 3px solid var(--draw-deflection);
  }
  &[data-kind='envelope'] {
    border-top: 3px double var(--ink);
  }
  &[data-idle] {
    color: var(--soft);
    svg {
      opacity: 0.5;
    }
  }
  &[data-selected] {
    border-color: var(--ink);
    box-shadow: inset 0 0 0 1px var(--ink);
  }
  ${focusFace}
`;

/** Where those stand that are not there. */
const Room = styled.div`
  flex: 0 0 auto;
`;

/** Over the sketch's empty corners; what reaches into them shows through faintly. */
const Name = styled.span`
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: 0.72rem;
  line-height: 1.35;
  [data-rac]:not([data-folded='true']) > & {
    position: absolute;
    left: 0.3rem;
    top: 0.05rem;
    max-width: calc(100% - 0.6rem);
    background: color-mix(in srgb, var(--paper) 80%, transparent);
  }
  b {
    margin-right: 0.3rem;
  }
`;

const Figure = styled.span`
  position: absolute;
  right: 0.25rem;
  bottom: 0;
  padding: 0 0.15rem;
  background: var(--paper);
  color: var(--soft);
  font-size: 0.7rem;
  line-height: 1.3;
`;

const Blank = styled.div`
  height: ${SIZE.height}px;
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
    () => listed({ cases, combinations }, governing?.counts, outcomes),
    [cases, combinations, governing, outcomes],
  );
  // What acts is there, whatever is left out.
  const all = useMemo(
    () =>
      unlisted.size === 0
        ? whole
        : whole.filter(
            ({ kind, governs, outcome }) =>
              outcome === outcomeActing || !(unlisted.has(kind) || (governs === 0 && unlisted.has('idle'))),
          ),
    [whole, unlisted, outcomeActing],
  );
  const acting = all.findIndex(({ outcome }) => outcome === outcomeActing);
  const strip = useRef<HTMLDivElement>(null);
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
        <Row
          ref={strip}
          aria-label={WORDS.casesAndCombinations}
          orientation="horizontal"
          value={all[acting]?.id ?? null}
          onChange={(id) => editor.go({ acting: id })}
        >
          {first > 0 && <Room style={{ width: places[0]!.start - GAP }} />}
          {all.slice(first, last + 1).map(({ id, title, why, outcome, kind, governs }, k) => (
            <Card
              key={id}
              ref={all.length > MANY ? windowed.measureElement : undefined}
              data-index={first + k}
              value={id}
              data-folded={isFolded}
              data-kind={kind}
              data-idle={(isCurrent && governs === 0) || undefined}
              aria-label={[title ? `${id} ${title}` : id, isCurrent && governs === 0 && WORDS.governsNothing]
                .filter(Boolean)
                .join(', ')}
            >
              <Name title={isCurrent && governs === 0 ? `${why} · ${WORDS.governsNothing}` : why}>
                <b>{id}</b>
                {title}
              </Name>
              {!isFolded && <Picture outcome={outcome} />}
            </Card>
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

interface PictureProps {
  readonly outcome: number;
}

/** A sketch and its figure, made only while the strip shows them: of hundreds of sums a dozen are in view. */
function Picture(props: PictureProps) {
  const place = useRef<HTMLDivElement>(null);
  const isShown = useIsInView(place);
  return (
    <div ref={place}>
      {isShown ? <Sketch {...props} /> : <Blank />}
      <Figure className="number">{isShown ? <Governing {...props} /> : ' '}</Figure>
    </div>
  );
}

/** Whether an element is in view, or just beside it. */
function useIsInView(place: RefObject<HTMLElement | null>): boolean {
  const [isInView, setIsInView] = useState(false);
  useEffect(() => {
    const element = place.current;
    if (!element) return;
    const observer = new IntersectionObserver(([entry]) => setIsInView(entry?.isIntersecting ?? false), { rootMargin: '160px' });
    observer.observe(element);
    return () => observer.disconnect();
  }, [place]);
  return isInView;
}

function Sketch({ outcome }: PictureProps) {
  const { model, results } = useDrawnInTime();
  const solution = results?.solution;
  const markup = useMemo(() => sketchMarkup(model, solution, outcome, SIZE), [model, solution, outcome]);
  return (
    <svg
      width="100%"
      height={SIZE.height}
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      aria-hidden
      dangerouslySetInnerHTML={{ __html: markup }}
    />
  );
}

/** The figure by which a case is known: its largest axial force where a structure carries by these, else its largest moment. */
function Governing({ outcome }: PictureProps) {
  const { model, results } = useDrawnInTime();
  const solution = results?.solution;
  const axial = useEditorState((state) => state.suggestion?.axial === 'bars');
  if (!solution?.outcomes[outcome] || !isReady(solution, outcome)) return '–';
  const acts = solution.outcomes[outcome];
  if (acts.kind === 'shape') return acts.measure === 'factor' ? `× ${showNumber(acts.value)}` : `${showNumber(acts.value)} Hz`;
  const display = { ...defaultDisplay, ...model.display };
  const largest = (quantity: 'N' | 'Mz' | 'My'): number => largestOf(governingValues(solution, outcome, quantity));
  if (axial) return `N ${showForce(largest('N'), display)}`;
  return `M ${showMoment(Math.max(largest('Mz'), model.space === 'space' ? largest('My') : 0), display)}`;
}
