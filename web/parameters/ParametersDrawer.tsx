'use client';

import { useState } from 'react';
import { useEditor, useEditorState } from '../editor/use-editor';
import { Bar, Drawer } from '../schedules/parts';
import { PanelTitle, PlainButton, ToggleButton } from '../ui/controls';
import { ParameterRows } from './ParameterRows';
import { SeekPart } from './SeekPart';
import { StudyPart } from './StudyPart';
import { parameters as WORDS, study as STUDY } from './words';

const TABS = { values: ParameterRows, study: StudyPart, seek: SeekPart } as const;
type Tab = keyof typeof TABS;

/** The parameters of the model on sliders, what becomes of a result over one of them, and where a result reaches a bound. */
export function ParametersDrawer() {
  const editor = useEditor();
  const hasSome = useEditorState((state) => state.model.parameters !== undefined);
  const [tab, setTab] = useState<Tab>('values');
  const shown = hasSome ? tab : 'values';
  const Part = TABS[shown];
  return (
    <Drawer aria-label={WORDS.title}>
      <Bar>
        <PanelTitle>{WORDS.title}</PanelTitle>
        {hasSome &&
          (Object.keys(TABS) as Tab[]).map((one) => (
            <ToggleButton key={one} isSelected={one === shown} onChange={() => setTab(one)}>
              {STUDY[one]}
            </ToggleButton>
          ))}
        <PlainButton aria-label={WORDS.close} onPress={() => editor.show({ drawer: undefined })}>
          ✕
        </PlainButton>
      </Bar>
      <Part />
    </Drawer>
  );
}
