'use client';

import { memo, useEffect, useMemo, useRef, useState, type Ref, type RefObject } from 'react';
import styled from 'styled-components';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import type { Listed } from '@rigid-beam/core/combinations/listed';
import { isReady } from '@rigid-beam/core/results/readings';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { sketchMarkup } from '@rigid-beam/drawing/sketch';
import { isAwaited } from '../editor/slices/solution';
import { useEditor, useEditorState, useDrawnInTime } from '../editor/use-editor';
import { caseStrip as WORDS } from './words';

export const SIZE = { width: 118, height: 42, head: 21 } as const;

const Card = styled.label`
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
  &:hover {
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
  &:has(:focus-visible) {
    outline: 2px solid var(--focus);
    outline-offset: 1px;
  }
  /* All of it is the button, which itself is not seen. */
  input {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    margin: 0;
    opacity: 0;
  }
`;

/** Over the sketch's empty corners; what reaches into them shows through faintly. */
const Name = styled.span`
  display: block;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: 0.72rem;
  line-height: 1.35;
  label:not([data-folded='true']) > & {
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

interface CaseCardProps extends Pick<Listed, 'id' | 'title' | 'why' | 'outcome' | 'kind'> {
  /** Of which group of choices it is one, and its place among them. */
  readonly group: string;
  readonly index: number;
  readonly isActing: boolean;
  readonly isIdle: boolean;
  readonly isFolded: boolean;
  readonly measured: Ref<HTMLLabelElement> | undefined;
}

/**
 * One case, combination or envelope with its live small sketch. The browser's own button, and drawn anew only where something of it changes: the sheet waits for what
 * the page does about a choice.
 */
export const CaseCard = memo(function CaseCard({ id, title, why, outcome, kind, ...own }: CaseCardProps) {
  const { group, index, isActing, isIdle, isFolded, measured } = own;
  const editor = useEditor();
  const idle = isIdle && WORDS.governsNothing;
  return (
    <Card
      ref={measured}
      data-index={index}
      data-folded={isFolded}
      data-kind={kind}
      data-idle={isIdle || undefined}
      data-selected={isActing || undefined}
      title={idle ? `${why} · ${idle}` : why}
      onPointerEnter={() => editor.show({ pointedAt: { acting: id } })}
      onPointerLeave={() => editor.show({ pointedAt: undefined })}
    >
      <input
        type="radio"
        name={group}
        value={id}
        checked={isActing}
        aria-label={[title ? `${id} ${title}` : id, idle].filter(Boolean).join(', ')}
        onChange={() => editor.go({ acting: id })}
      />
      <Name>
        <b>{id}</b>
        {title}
      </Name>
      {!isFolded && <Picture outcome={outcome} />}
    </Card>
  );
});

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
  const drawn = useDrawnInTime();
  const isPatient = useEditorState(({ progress }) => isAwaited(drawn, progress));
  const [shown, setShown] = useState({ drawn, outcome });
  // While results are awaited a sketch stays as it was, unless it is of another outcome: drawing it twice would keep them waiting.
  if (outcome !== shown.outcome || (drawn !== shown.drawn && !isPatient)) setShown({ drawn, outcome });
  const { model, results } = shown.drawn;
  const solution = results?.solution;
  const markup = useMemo(() => sketchMarkup(model, solution, shown.outcome, SIZE), [model, solution, shown.outcome]);
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
