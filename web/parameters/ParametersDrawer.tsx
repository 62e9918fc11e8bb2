'use client';

import { useEditor } from '../editor/use-editor';
import { Bar, Drawer } from '../schedules/parts';
import { PanelTitle, PlainButton } from '../ui/controls';
import { ParameterRows } from './ParameterRows';
import { parameters as WORDS } from './words';

/** The parameters of the model, on sliders; and what comes of one over its range. */
export function ParametersDrawer() {
  const editor = useEditor();
  return (
    <Drawer aria-label={WORDS.title}>
      <Bar>
        <PanelTitle>{WORDS.title}</PanelTitle>
        <PlainButton aria-label={WORDS.close} onPress={() => editor.show({ drawer: undefined })}>
          ✕
        </PlainButton>
      </Bar>
      <ParameterRows />
    </Drawer>
  );
}
