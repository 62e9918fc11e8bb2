'use client';

import { workingsIn } from '@rigid-beam/core/workings/ask';
import type { WorkingsStepId } from '@rigid-beam/core/workings/blocks';
import { workingsStepsOf } from '@rigid-beam/core/workings/steps';
import type { Worked } from '@rigid-beam/core/workings/worked';
import { workingsPage, type NumbersWay } from '@rigid-beam/drawing/workings/html-workings';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { keepFile } from '../browser/keep-file';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Bar, Drawer, Said, Scroll } from '../schedules/parts';
import { Button, PanelTitle, PlainButton, ToggleButton } from '../ui/controls';
import { Block } from './Blocks';
import { workings as WORDS } from './words';

const Read = styled(Scroll)`
  padding: 0.3rem 0.9rem 0.8rem;
  p {
    margin: 0.3rem 0;
  }
  h3 {
    margin: 0.2rem 0 0.4rem;
    font-size: 0.92rem;
  }
  h4 {
    margin: 0.8rem 0 0.2rem;
    font-size: 0.86rem;
  }
`;

/** How the results of the acting case or sum come about, step by step; of the selected members where some are selected. */
export function WorkingsDrawer() {
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const model = useEditorState((state) => state.settled.model);
  const id = solution?.outcomes[outcome]?.id;
  const found = useMemo(
    () => (solution && id !== undefined ? workingsIn(model, solution, id) : WORDS.none),
    [model, solution, id],
  );
  const editor = useEditor();
  // While they are read, the freedoms stand on the sheet.
  useEffect(() => {
    editor.show({ worked: typeof found === 'string' ? undefined : { model, freedoms: found.numbered.all } });
  }, [editor, model, found]);
  useEffect(() => () => editor.show({ worked: undefined }), [editor]);
  return (
    <Drawer aria-label={WORDS.title(id ?? '')}>
      {typeof found === 'string' ? (
        <Bar>
          <Said role="status">{found}</Said>
          <Close />
        </Bar>
      ) : (
        <Steps of={found} id={id!} title={model.title} />
      )}
    </Drawer>
  );
}

interface StepsProps {
  readonly of: Worked;
  readonly id: string;
  readonly title: string;
}

/** Members that are worked out before the eyes at once; a page has all of them. */
const AT_ONCE = 8;

function Steps({ of, id, title }: StepsProps) {
  const display = useDisplay();
  const selection = useEditorState((state) => state.selection);
  const all = of.structure.names.members;
  // By their names, so that what was written stays while other things are selected.
  const selected = selection.flatMap((one) => (one.kind === 'member' ? [one.id] : [])).join('\n');
  const shown = useMemo(() => {
    if (selected !== '') return selected.split('\n').slice(0, AT_ONCE);
    return all.length > AT_ONCE ? all.slice(0, AT_ONCE) : undefined;
  }, [selected, all]);
  const steps = useMemo(() => workingsStepsOf(of, display, shown && new Set(shown)), [of, display, shown]);
  const [at, setAt] = useState(0);
  const step = steps[Math.min(at, steps.length - 1)]!;
  const keep = (numbers: NumbersWay): void => {
    const page = workingsStepsOf(of, display, selected === '' ? undefined : new Set(selected.split('\n')));
    keepFile(WORDS.file(title, id), workingsPage(page, { title: `${title} · ${id}`, numbers }), 'text/html');
  };
  return (
    <>
      <Bar>
        <PanelTitle>{WORDS.title(id)}</PanelTitle>
        {steps.map((one, i) => (
          <ToggleButton key={one.id} isSelected={one === step} onChange={() => setAt(i)}>
            {WORDS.step(i + 1, WORDS.short[one.id])}
          </ToggleButton>
        ))}
        <Button onPress={() => keep('written')}>{WORDS.page}</Button>
        <Button onPress={() => keep('both')}>{WORDS.fillIn}</Button>
        <Close />
      </Bar>
      <Read role="region" tabIndex={0} aria-label={step.title}>
        <h3>{step.title}</h3>
        {shown && MEMBERS.has(step.id) && (
          <p>{selected === '' ? WORDS.first(shown.join(', ')) : WORDS.selected(shown.join(', '))}</p>
        )}
        {step.blocks.map((block, i) => (
          // Blocks of a step have no names of their own.
          <Block key={`${step.id} ${i}`} block={block} of={of} />
        ))}
      </Read>
    </>
  );
}

/** Steps that go member by member. */
const MEMBERS: ReadonlySet<WorkingsStepId> = new Set(['members', 'fixed-ends', 'ends']);

function Close() {
  const editor = useEditor();
  return (
    <PlainButton aria-label={WORDS.close} onPress={() => editor.show({ drawer: undefined })}>
      ✕
    </PlainButton>
  );
}
