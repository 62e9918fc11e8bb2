'use client';

import { displayChoices, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { useStore } from 'zustand';
import { ChangeFold } from './geometry/ChangeFold';
import { CleanUpFold } from './geometry/CleanUpFold';
import { GridFold } from './geometry/GridFold';
import { SelectFold } from './geometry/SelectFold';
import { SpaceFold } from './geometry/SpaceFold';
import { TypicalFold } from './geometry/TypicalFold';
import { UnderlayFold } from './geometry/UnderlayFold';
import { useDisplay, useEditor, useEditorState } from '../session/use-editor';
import type { SheetController } from '../sheet/controller';
import { DrawTool } from '../sheet/tools/draw-tool';
import { Columns, Hint, PanelSubtitle, Row, Select, Stack, ToggleButton } from '../ui/controls';
import { Fold } from '../ui/Fold';
import { NameField } from '../ui/NameField';

const UNIT_LABELS: Record<keyof DisplayUnits, string> = {
  length: 'Lengths',
  force: 'Forces',
  moment: 'Moments',
  stress: 'Stresses',
  deflection: 'Deflections',
  section: 'Sections',
};

/** Drawing nodes and members, and what holds for the model as a whole. Parts follow only what they show: edits stay quick. */
export function GeometryBench({ sheet }: { readonly sheet: SheetController }) {
  return (
    <Stack>
      <Tools sheet={sheet} />
      <Counts />
      <TypicalFold sheet={sheet} />
      <ChangeFold sheet={sheet} />
      <SelectFold sheet={sheet} />
      <SpaceFold sheet={sheet} />
      <GridFold />
      <CleanUpFold sheet={sheet} />
      <UnderlayFold sheet={sheet} />
      <Fold title="Title, shear deformation and units">
        <Settings />
        <Units />
      </Fold>
    </Stack>
  );
}

function Tools({ sheet }: { readonly sheet: SheetController }) {
  const tool = useStore(sheet.store, (state) => state.tool.name);
  return (
    <Row role="group" aria-label="Tools">
      <ToggleButton isSelected={tool === 'select'} onChange={() => sheet.takeSelect()}>
        Select and move
      </ToggleButton>
      <ToggleButton isSelected={tool === 'draw'} onChange={(on) => (on ? sheet.take(new DrawTool(sheet)) : sheet.takeSelect())}>
        Draw
      </ToggleButton>
    </Row>
  );
}

function Counts() {
  const nodes = useEditorState((state) => state.model.nodes.length);
  const members = useEditorState((state) => state.model.members.length);
  return (
    <Hint>
      {nodes === 1 ? '1 node' : `${nodes} nodes`}, {members === 1 ? '1 member' : `${members} members`}. New members take the
      section and material of the one drawn last.
    </Hint>
  );
}

function Settings() {
  const editor = useEditor();
  const title = useEditorState((state) => state.model.title);
  const analysis = useEditorState((state) => state.model.analysis);
  return (
    <>
      <PanelSubtitle>Model</PanelSubtitle>
      <NameField label="Title" value={title} onCommit={(next) => editor.edit({ type: 'set', settings: { title: next } })} />
      <Select
        label="Shear deformation"
        choices={[
          { id: 'no', text: 'Left out' },
          { id: 'yes', text: 'Counted, where shear areas are known' },
        ]}
        value={analysis?.shearDeformation ? 'yes' : 'no'}
        onChange={(id) => editor.edit({ type: 'set', settings: { analysis: { ...analysis, shearDeformation: id === 'yes' } } })}
      />
    </>
  );
}

function Units() {
  const editor = useEditor();
  const display = useDisplay();
  return (
    <>
      <PanelSubtitle>Units shown</PanelSubtitle>
      <Columns>
        {(Object.keys(UNIT_LABELS) as (keyof DisplayUnits)[]).map((key) => (
          <Select
            key={key}
            label={UNIT_LABELS[key]}
            choices={displayChoices[key].map((unit) => ({ id: unit, text: unit }))}
            value={display[key]}
            onChange={(unit) =>
              editor.edit({ type: 'set', settings: { display: { ...editor.state.model.display, [key]: unit } } })
            }
          />
        ))}
      </Columns>
    </>
  );
}
