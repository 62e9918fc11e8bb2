'use client';

import { displayOf } from '@rigid-beam/core/quantities/display';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { useShallow } from 'zustand/react/shallow';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { actingIndex, changeBeside, stateBeside, type EditorState } from '../editor/editor-state';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { Pane as PaneLook } from '../editor/view-state';
import { caseChoices } from '../ui/case-choices';
import { PlainButton, Select, ToggleButton } from '../ui/controls';
import { Canvas } from './Canvas';
import type { SheetController } from './controller';
import { choicesOf, extremeWords, shownOf } from './title-words';
import { usePointer } from './use-pointer';
import { paneBeside as WORDS } from './words';

const Pane = styled.section`
  position: relative;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
`;

/** Which of several a drawing is, in its corner. */
const Tag = styled.span`
  position: absolute;
  left: 0.6rem;
  top: 0.35rem;
  font-size: 0.75rem;
  color: var(--soft);
  pointer-events: none;
`;

/** The number of a drawing and what acts in it, where there are more than two. */
export function PaneTag({ at }: { readonly at: number | 'first' }) {
  const words = useEditorState((all) => {
    if ((all.beside?.panes.length ?? 0) < 2) return undefined;
    const own = at === 'first' ? all : stateBeside(all, at);
    const outcomes = own.drawn.results?.solution?.outcomes ?? [...own.drawn.model.cases, ...own.drawn.model.combinations];
    return WORDS.tag(at === 'first' ? 1 : at + 2, outcomes[actingIndex(own)]?.id ?? '');
  });
  return words === undefined ? null : <Tag aria-hidden>{words}</Tag>;
}

/** Under all drawings, so that these keep one size. */
const Bar = styled.div`
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 0.4rem;
  padding: 0.1rem 0.75rem;
  background: var(--paper);
  font-size: 0.75rem;
  p {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

const shownIn = (beside: EditorState) => {
  const { stage, switches } = beside;
  return { ...shownOf(beside), outcome: actingIndex(beside), hasDiagram: isOn(stage, switches, 'diagram') };
};

interface PaneProps {
  readonly controller: SheetController;
  /** Which of those beside the first. */
  readonly at: number;
}

/** Further drawings from the same place and to the same scale: other cases, other quantities. What is in hand is used in all of them. */
export function PanesBeside({ controller }: Pick<PaneProps, 'controller'>) {
  const count = useEditorState(({ beside }) => beside?.panes.length ?? 0);
  const all = Array.from({ length: count }, (_, at) => at);
  return (
    <>
      {all.map((at) => (
        <Drawing key={at} controller={controller} at={at} />
      ))}
      {all.map((at) => (
        <LooksAt key={at} at={at} />
      ))}
    </>
  );
}

function Drawing({ controller, at }: PaneProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => controller.drawBeside(canvas.current!, at), [controller, at]);
  usePointer(controller, canvas);
  return (
    <Pane aria-label={WORDS.nth(WORDS.pane, at)}>
      <Canvas ref={canvas} tabIndex={-1} role="img" aria-label={WORDS.described} data-testid={testId('sheet-beside', at)} />
      <PaneTag at={at} />
    </Pane>
  );
}

const testId = (name: string, at: number): string => (at === 0 ? name : `${name}-${at + 1}`);

/** What one of them shows, and what else it may. */
function LooksAt({ at }: Pick<PaneProps, 'at'>) {
  const editor = useEditor();
  const state = useEditorState(useShallow((all: EditorState) => shownIn(stateBeside(all, at))));
  const earlier = useEditorState((all) => all.earlier?.name);
  const count = useEditorState(({ beside }) => beside?.panes.length ?? 0);
  const where = useEditorState(({ beside }) => beside?.where ?? 'right');
  const isLess = useEditorState((all) => all.beside?.panes[at]?.less === true);
  const notTold = useEditorState((all) => {
    const change = changeBeside(all, at);
    return typeof change === 'string' ? change : undefined;
  });
  const { settled, outcome, hasDiagram, quantity } = state;
  const all = settled.results?.solution?.outcomes ?? [...settled.model.cases, ...settled.model.combinations];
  const put = (pane: PaneLook | undefined): void => {
    const { beside } = editor.state;
    const panes = beside?.panes.flatMap((one, i) => (i !== at ? [one] : pane ? [pane] : [])) ?? [];
    if (panes.length === 0) editor.earlier.leave();
    editor.go({ beside: beside && panes.length > 0 ? { ...beside, panes } : undefined });
  };
  const look = (part: Partial<PaneLook>): void => {
    const own = editor.state.beside?.panes[at];
    if (own) put({ ...own, ...part });
  };
  const words = notTold ?? (hasDiagram ? extremeWords(state, outcome) : '');
  const name = count > 1 ? WORDS.number(at + 2) : WORDS.where[where];
  return (
    <Bar role="group" aria-label={WORDS.nth(WORDS.looksAt, at)}>
      <span>{earlier === undefined ? name : count > 1 ? `${name} · ${earlier}` : earlier}</span>
      <Select
        label={WORDS.nth(WORDS.acts, at)}
        hideLabel
        choices={caseChoices(all)}
        value={all[outcome]?.id ?? ''}
        onChange={(acting) => look({ acting })}
      />
      {hasDiagram && (
        <Select
          label={WORDS.nth(WORDS.quantity, at)}
          hideLabel
          choices={choicesOf(settled.model.space, displayOf(settled.model)).map(({ id, text, label }) => ({
            id,
            text: `${text} · ${label}`,
          }))}
          value={quantity}
          onChange={(chosen) => look({ quantity: chosen as SheetQuantity })}
        />
      )}
      <ToggleButton isSelected={isLess} onChange={(on) => look({ less: on ? true : undefined })}>
        {earlier === undefined ? WORDS.less : WORDS.change}
      </ToggleButton>
      <p className="number" title={words} data-testid={testId('extremes-beside', at)}>
        {words}
      </p>
      <PlainButton aria-label={count > 1 ? WORDS.closeOf(at + 2) : WORDS.close} onPress={() => put(undefined)}>
        ×
      </PlainButton>
    </Bar>
  );
}
