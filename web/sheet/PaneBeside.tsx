'use client';

import { displayOf } from '@rigid-beam/core/quantities/display';
import { useEffect, useRef } from 'react';
import styled from 'styled-components';
import { useShallow } from 'zustand/react/shallow';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { actingIndex, changeBeside, stateBeside, type EditorState } from '../editor/editor-state';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { Beside } from '../editor/view-state';
import { caseChoices } from '../ui/case-choices';
import { PlainButton, Select, ToggleButton } from '../ui/controls';
import { Canvas } from './Canvas';
import type { SheetController } from './controller';
import { choicesOf, extremeWords, shownOf } from './title-words';
import { usePointer } from './use-pointer';
import { paneBeside as WORDS } from './words';

const Pane = styled.section`
  min-width: 0;
  min-height: 0;
  overflow: hidden;
`;

/** Under both drawings, so that they keep one size. */
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

const shownBeside = (state: EditorState) => {
  const beside = stateBeside(state);
  const { stage, switches } = beside;
  return { ...shownOf(beside), outcome: actingIndex(beside), hasDiagram: isOn(stage, switches, 'diagram') };
};

/** A second drawing from the same place and to the same scale: another case, or another quantity. What is in hand is used in both. */
export function PaneBeside({ controller, where }: { readonly controller: SheetController; readonly where: Beside['where'] }) {
  const editor = useEditor();
  const canvas = useRef<HTMLCanvasElement>(null);
  const state = useEditorState(useShallow(shownBeside));
  const earlier = useEditorState((all) => all.earlier?.name);
  const isLess = useEditorState((all) => all.beside?.pane.less === true);
  useEffect(() => controller.drawBeside(canvas.current!), [controller]);
  usePointer(controller, canvas);
  const { settled, outcome, hasDiagram, quantity } = state;
  const all = settled.results?.solution?.outcomes ?? [...settled.model.cases, ...settled.model.combinations];
  const look = (pane: Partial<Beside['pane']>): void => {
    const { beside } = editor.state;
    if (beside) editor.go({ beside: { ...beside, pane: { ...beside.pane, ...pane } } });
  };
  const notTold = useEditorState((all) => {
    const change = changeBeside(all);
    return typeof change === 'string' ? change : undefined;
  });
  const words = notTold ?? (hasDiagram ? extremeWords(state, outcome) : '');
  return (
    <>
      <Pane aria-label={WORDS.pane}>
        <Canvas ref={canvas} tabIndex={-1} role="img" aria-label={WORDS.described} data-testid="sheet-beside" />
      </Pane>
      <Bar role="group" aria-label={WORDS.looksAt}>
        <span>{earlier ?? WORDS.where[where]}</span>
        <Select
          label={WORDS.acts}
          hideLabel
          choices={caseChoices(all)}
          value={all[outcome]?.id ?? ''}
          onChange={(acting) => look({ acting })}
        />
        {hasDiagram && (
          <Select
            label={WORDS.quantity}
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
          {earlier ? WORDS.change : WORDS.less}
        </ToggleButton>
        <p className="number" title={words} data-testid="extremes-beside">
          {words}
        </p>
        <PlainButton
          aria-label={WORDS.close}
          onPress={() => {
            editor.earlier.leave();
            editor.go({ beside: undefined });
          }}
        >
          ×
        </PlainButton>
      </Bar>
    </>
  );
}
