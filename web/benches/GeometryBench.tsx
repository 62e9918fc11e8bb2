'use client';

import { displayChoices, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { useStore } from 'zustand';
import { useDisplay, useEditor, useEditorState, useModel } from '../session/use-editor';
import type { SheetController } from '../sheet/controller';
import { DrawTool } from '../sheet/tools/draw-tool';
import { Columns, Hint, PanelSubtitle, Row, Select, Stack, ToggleButton } from '../ui/controls';
import { NameField } from '../ui/NameField';

const UNIT_LABELS: Record<keyof DisplayUnits, string> = {
  length: 'Lengths',
  force: 'Forces',
  moment: 'Moments',
  stress: 'Stresses',
  deflection: 'Deflections',
  section: 'Sections',
};

/** Drawing nodes and members, and what holds for the model as a whole. */
export function GeometryBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const tool = useStore(sheet.store, (state) => state.tool.name);
  const names = useEditorState((state) => state.names);
  const dimensions = useEditorState((state) => state.dimensions);
  return (
    <Stack>
      <Row role="group" aria-label="Tools">
        <ToggleButton isSelected={tool === 'select'} onChange={() => sheet.takeSelect()}>
          Select and move
        </ToggleButton>
        <ToggleButton
          isSelected={tool === 'draw'}
          onChange={() => sheet.take(tool === 'draw' ? sheet.store.getState().tool : new DrawTool(sheet))}
        >
          Draw
        </ToggleButton>
      </Row>
      <Hint>
        {model.nodes.length} nodes, {model.members.length} members. New members take the section and material of the one drawn
        last.
      </Hint>
      <PanelSubtitle>Shown</PanelSubtitle>
      <Row>
        <ToggleButton isSelected={names} onChange={(on) => editor.store.setState({ names: on })}>
          Names everywhere
        </ToggleButton>
        <ToggleButton isSelected={dimensions} onChange={(on) => editor.store.setState({ dimensions: on })}>
          Dimensions
        </ToggleButton>
      </Row>
      <PanelSubtitle>Model</PanelSubtitle>
      <NameField label="Title" value={model.title} onCommit={(title) => editor.edit({ type: 'set', settings: { title } })} />
      <Select
        label="Shear deformation"
        choices={[
          { id: 'no', text: 'Left out' },
          { id: 'yes', text: 'Counted, where shear areas are known' },
        ]}
        value={model.analysis?.shearDeformation ? 'yes' : 'no'}
        onChange={(id) =>
          editor.edit({ type: 'set', settings: { analysis: { ...model.analysis, shearDeformation: id === 'yes' } } })
        }
      />
      <PanelSubtitle>Units shown</PanelSubtitle>
      <Columns>
        {(Object.keys(UNIT_LABELS) as (keyof DisplayUnits)[]).map((key) => (
          <Select
            key={key}
            label={UNIT_LABELS[key]}
            choices={displayChoices[key].map((unit) => ({ id: unit, text: unit }))}
            value={display[key]}
            onChange={(unit) => editor.edit({ type: 'set', settings: { display: { ...model.display, [key]: unit } } })}
          />
        ))}
      </Columns>
    </Stack>
  );
}
