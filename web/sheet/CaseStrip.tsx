'use client';

import { memo, useEffect, useMemo, useRef, useState, type RefObject } from 'react';
import { Radio, RadioGroup } from 'react-aria-components';
import styled from 'styled-components';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showMoment } from '@rigid-beam/core/quantities/show-load';
import type { Model } from '@rigid-beam/core/model/model';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { sketchMarkup } from '@rigid-beam/drawing/sketch';
import { actingIndex } from '../session/editor-state';
import { useEditor, useEditorState, useDrawnInTime } from '../session/use-editor';

const Strip = styled(RadioGroup)`
  grid-area: cases;
  /* Holds its unseen inputs, which would otherwise widen the page. */
  position: relative;
  display: flex;
  gap: 0.4rem;
  padding: 0.4rem 0.6rem;
  overflow-x: auto;
  background: var(--desk);
  border-top: 1px solid var(--rule-strong);
`;

const Card = styled(Radio)`
  flex: 0 0 auto;
  display: grid;
  grid-template-rows: auto 1fr auto;
  width: 9.4rem;
  padding: 0.2rem 0.4rem;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 3px;
  cursor: default;
  &[data-hovered] {
    border-color: var(--rule-strong);
  }
  &[data-selected] {
    border-color: var(--ink);
    box-shadow: inset 0 -3px 0 var(--ink);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
    outline-offset: 1px;
  }
`;

const Name = styled.span`
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: 0.75rem;
  b {
    margin-right: 0.35rem;
  }
`;

const Figure = styled.span`
  color: var(--soft);
  font-size: 0.72rem;
`;

const Blank = styled.div`
  height: 50px;
`;

const SIZE = { width: 138, height: 50 } as const;

/** One live small sketch per case, combination and envelope; arrow keys step through them. */
export function CaseStrip() {
  const editor = useEditor();
  // The sheet is painted first; its small copies follow when there is time.
  const { model, results } = useDrawnInTime();
  const solution = results?.solution;
  const acting = useEditorState(actingIndex);
  const all = [...model.cases, ...model.combinations];
  const strip = useRef<HTMLDivElement>(null);
  // What acts is in view, also where it was chosen elsewhere.
  useEffect(() => {
    strip.current?.children[acting]?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  }, [acting]);
  if (all.length === 0) return <Strip aria-label="Cases and combinations">There is no load case yet. Add one in Loads.</Strip>;
  return (
    <Strip
      ref={strip}
      aria-label="Cases and combinations"
      orientation="horizontal"
      value={all[acting]?.id ?? null}
      onChange={(id) => editor.go({ acting: id })}
    >
      {all.map(({ id, title }, index) => (
        <Card key={id} value={id}>
          <Name>
            <b>{id}</b>
            {title}
          </Name>
          <Picture model={model} solution={solution} outcome={index} />
        </Card>
      ))}
    </Strip>
  );
}

interface PictureProps {
  readonly model: Model;
  readonly solution: Solution | undefined;
  readonly outcome: number;
}

/** A sketch and its figure, made only while the strip shows them: of hundreds of sums a dozen are in view. */
function Picture(props: PictureProps) {
  const place = useRef<HTMLDivElement>(null);
  const isShown = useIsInView(place);
  return (
    <div ref={place}>
      {isShown ? <Sketch {...props} /> : <Blank />}
      <Figure className="number">{isShown ? figure(props.model, props.solution, props.outcome) : ' '}</Figure>
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

const Sketch = memo(function Sketch({ model, solution, outcome }: PictureProps) {
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
});

/** The figure by which a case is known: its largest moment. */
function figure(model: Model, solution: Solution | undefined, outcome: number): string {
  if (!solution?.outcomes[outcome] || !isReady(solution, outcome)) return '–';
  const largest = largestOf(governingValues(solution, outcome, 'Mz'));
  return `M ${showMoment(largest, { ...defaultDisplay, ...model.display })}`;
}
