'use client';

import { displayChoices, unitSystems, type DisplayUnits, type Units } from '@rigid-beam/core/quantities/display';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import { Columns, PanelSubtitle, Select } from '../../ui/controls';
import { NameField } from '../../ui/NameField';
import { DeformationEffect } from './DeformationEffect';
import { settingsPart as WORDS } from './words';

const UNIT_LABELS: Record<keyof Units, string> = {
  length: WORDS.lengths,
  force: WORDS.forces,
  moment: WORDS.moments,
  stress: WORDS.stresses,
  deflection: WORDS.deflections,
  section: WORDS.sections,
};

/** What holds for the model as a whole: its title, its units and what the analysis counts. */
export function SettingsPart() {
  return (
    <>
      <Settings />
      <Axes />
      <UnitChoices />
    </>
  );
}

function Settings() {
  const editor = useEditor();
  const title = useEditorState((state) => state.model.title);
  const analysis = useEditorState((state) => state.model.analysis);
  return (
    <>
      <NameField label={WORDS.title} value={title} onCommit={(next) => editor.edit({ type: 'set', settings: { title: next } })} />
      <Select
        label={WORDS.shearDeformation}
        choices={[
          { id: 'no', text: WORDS.leftOut },
          { id: 'yes', text: WORDS.counted },
        ]}
        value={analysis?.shearDeformation ? 'yes' : 'no'}
        onChange={(id) => editor.edit({ type: 'set', settings: { analysis: { ...analysis, shearDeformation: id === 'yes' } } })}
      />
      <Select
        label={WORDS.axialDeformation}
        choices={[
          { id: 'yes', text: WORDS.axialCounted },
          { id: 'no', text: WORDS.axialNeglected },
        ]}
        value={analysis?.axialDeformation === false ? 'no' : 'yes'}
        onChange={(id) => editor.edit({ type: 'set', settings: { analysis: { ...analysis, axialDeformation: id === 'yes' } } })}
      />
      <DeformationEffect />
    </>
  );
}

/** What axes are called: half of the profession draws with Z up and calls the strong axis y, the other half with Y up and z. */
function Axes() {
  const editor = useEditor();
  const { up, strong } = useDisplay();
  const set = (next: Partial<DisplayUnits>): void =>
    void editor.edit({ type: 'set', settings: { display: { ...editor.state.model.display, ...next } } });
  return (
    <>
      <PanelSubtitle>{WORDS.axes}</PanelSubtitle>
      <Columns>
        <Select
          label={WORDS.up}
          choices={displayChoices.up.map((id) => ({ id, text: WORDS.pointsUp(id) }))}
          value={up}
          onChange={(id) => set({ up: id as DisplayUnits['up'] })}
        />
        <Select
          label={WORDS.strong}
          choices={displayChoices.strong.map((id) => ({ id, text: WORDS.isStrong(id) }))}
          value={strong}
          onChange={(id) => set({ strong: id as DisplayUnits['strong'] })}
        />
      </Columns>
    </>
  );
}

/** One choice sets all units; each can then be another one. */
function UnitChoices() {
  const editor = useEditor();
  const display = useDisplay();
  const set = (next: Partial<DisplayUnits>): void =>
    void editor.edit({ type: 'set', settings: { display: { ...editor.state.model.display, ...next } } });
  const keys = Object.keys(UNIT_LABELS) as (keyof Units)[];
  const system = unitSystems.find(({ units }) => keys.every((key) => units[key] === display[key]));
  return (
    <>
      <PanelSubtitle>{WORDS.unitsShown}</PanelSubtitle>
      <Select
        label={WORDS.units}
        choices={[
          ...unitSystems.map(({ id, words }) => ({ id, text: words })),
          ...(system ? [] : [{ id: 'own', text: WORDS.ownChoice }]),
        ]}
        value={system?.id ?? 'own'}
        onChange={(id) => {
          const chosen = unitSystems.find((one) => one.id === id);
          if (chosen) set(chosen.units);
        }}
      />
      <Columns>
        {keys.map((key) => (
          <Select
            key={key}
            label={UNIT_LABELS[key]}
            choices={displayChoices[key].map((unit) => ({ id: unit, text: unit }))}
            value={display[key]}
            onChange={(unit) => set({ [key]: unit })}
          />
        ))}
      </Columns>
    </>
  );
}
