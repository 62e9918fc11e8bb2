'use client';

import { displayOf } from '@rigid-beam/core/quantities/display';
import { planeWords } from '@rigid-beam/core/quantities/axis-names';
import { useStore } from 'zustand';
import { CleanUpPart } from './geometry/CleanUpPart';
import { GridPart } from './geometry/GridPart';
import { ParametersPart } from './geometry/ParametersPart';
import { SelectPart } from './geometry/SelectPart';
import { SettingsPart } from './geometry/SettingsPart';
import { SpacePart } from './geometry/SpacePart';
import { TypicalPart } from './geometry/TypicalPart';
import { UnderlayPart } from './geometry/UnderlayPart';
import { commandsFor } from '../commands/all';
import { useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { DrawTool } from '../sheet/tools/draw-tool';
import { Hint, PanelSubtitle, Stack } from '../ui/controls';
import { Instrument, Instruments } from '../ui/Instrument';
import { Shelf, type ShelfPart } from '../ui/Shelf';
import { geometryBench as WORDS } from './words';

/** Drawing nodes and members, structures that are placed whole, and what holds for the geometry. Parts follow only what they show: edits stay quick. */
export function GeometryBench({ sheet }: { readonly sheet: SheetController }) {
  return (
    <Stack>
      <Tools sheet={sheet} />
      <Counts />
      <TypicalPart sheet={sheet} />
      <PanelSubtitle>{WORDS.more}</PanelSubtitle>
      <More sheet={sheet} />
    </Stack>
  );
}

function Tools({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const tool = useStore(sheet.store, (state) => state.tool.name);
  const drawer = useEditorState((state) => state.drawer);
  const run = (name: string): void =>
    void commandsFor(displayOf(editor.state.model))
      .find((one) => one.name === name)
      ?.run(sheet, '');
  return (
    <Instruments role="group" aria-label={WORDS.tools}>
      <Instrument
        picture="select"
        words={WORDS.select}
        label={WORDS.selectAndMove}
        isHeld={tool === 'select'}
        onChange={() => sheet.takeSelect()}
      />
      <Instrument
        picture="draw"
        words={WORDS.draw}
        isHeld={tool === 'draw'}
        onChange={(on) => (on ? sheet.take(new DrawTool(sheet)) : sheet.takeSelect())}
      />
      <Instrument
        picture="measure"
        words={WORDS.measure}
        label={WORDS.measureADistance}
        isHeld={false}
        onChange={() => run(WORDS.measureADistance)}
      />
      <Instrument
        picture="schedule"
        words={WORDS.table}
        label={WORDS.schedules}
        isHeld={drawer === 'nodes' || drawer === 'members'}
        onChange={(on) => editor.show({ drawer: on ? 'nodes' : undefined })}
      />
    </Instruments>
  );
}

function Counts() {
  const nodes = useEditorState((state) => state.model.nodes.length);
  const members = useEditorState((state) => state.model.members.length);
  return (
    <Hint>
      {WORDS.nodes(nodes)}, {WORDS.members(members)}.
    </Hint>
  );
}

/** What is needed now and then, one at a time. */
function More({ sheet }: { readonly sheet: SheetController }) {
  const selected = useEditorState((state) => state.selection.length);
  const hidden = useEditorState((state) => state.hidden.size);
  const grid = useEditorState((state) => state.model.grid);
  const underlay = useEditorState((state) => state.model.underlay?.name);
  const space = useEditorState((state) => state.model.space);
  const parameters = useEditorState((state) => state.model.parameters?.length ?? 0);
  const plane = useStore(sheet.store, (state) => state.plane);
  const display = useDisplay();
  const chosen = [selected > 0 ? WORDS.selected(selected) : '', hidden > 0 ? WORDS.hidden(hidden) : '']
    .filter(Boolean)
    .join(', ');
  const parts: readonly ShelfPart[] = [
    {
      title: WORDS.selectAndShow,
      words: WORDS.select,
      picture: 'groups',
      note: chosen,
      content: () => <SelectPart sheet={sheet} />,
    },
    { title: WORDS.gridLines, words: WORDS.grid, picture: 'grid', note: grid ? undefined : 'none', content: () => <GridPart /> },
    space === 'plane'
      ? { title: 'Space', words: 'Space', picture: 'space', note: WORDS.aPlaneModel, content: () => <SpacePart sheet={sheet} /> }
      : {
          title: WORDS.planeToDrawOn,
          words: WORDS.planes,
          picture: 'space',
          note: plane ? planeWords(plane, display) : WORDS.allPlanesShown,
          content: () => <SpacePart sheet={sheet} />,
        },
    {
      title: WORDS.underlay,
      words: WORDS.underlay,
      picture: 'underlay',
      note: underlay ?? 'none',
      content: () => <UnderlayPart sheet={sheet} />,
    },
    {
      title: WORDS.parameters,
      words: WORDS.sliders,
      picture: 'parameters',
      note: parameters ? String(parameters) : 'none',
      content: () => <ParametersPart />,
    },
    { title: WORDS.cleanUpAndNumber, words: WORDS.cleanUp, picture: 'tidy', content: () => <CleanUpPart sheet={sheet} /> },
    { title: WORDS.unitsAndSettings, words: WORDS.units, picture: 'settings', content: () => <SettingsPart /> },
  ];
  return <Shelf parts={parts} opens={space === 'space' && plane ? WORDS.planeToDrawOn : undefined} />;
}
