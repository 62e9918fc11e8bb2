'use client';

import { useCallback, useEffect, useState } from 'react';
import styled from 'styled-components';
import { inverted } from '@rigid-beam/core/model/selecting';
import { Card } from '../cards/Card';
import { selectChosen } from '../session/chosen';
import { Schedule } from '../schedules/Schedule';
import { Editor } from '../session/editor';
import { type Opened } from '../session/editor-state';
import { EditorContext, useEditor, useEditorState } from '../session/use-editor';
import { CaseStrip } from '../sheet/CaseStrip';
import type { SheetController } from '../sheet/controller';
import { SheetMenu } from '../commands/SheetMenu';
import { Sheet } from '../sheet/Sheet';
import { isPlaceKey } from '../sheet/tools/point-cursor';
import { HeadStrip } from './HeadStrip';
import { Notices } from './Notices';
import { StageRail } from './StageRail';
import { stageOf } from './stages';

const Grid = styled.div`
  display: grid;
  grid-template: 'head head head' auto 'rail bench sheet' minmax(0, 1fr) 'cases cases cases' auto / auto auto minmax(0, 1fr);
  height: 100dvh;
  min-height: 26rem;
  /* A small window, or a large zoom: everything below each other, and the page scrolls. */
  @media (max-width: 56rem) {
    grid-template: 'head' auto 'rail' auto 'sheet' 30rem 'bench' auto 'cases' auto / minmax(0, 1fr);
    height: auto;
  }
`;

const Bench = styled.section`
  grid-area: bench;
  width: 17.5rem;
  padding: 0.6rem 0.8rem;
  overflow-y: auto;
  background: var(--panel);
  border-right: 1px solid var(--rule-strong);
  @media (max-width: 56rem) {
    width: auto;
    border-right: 0;
    border-top: 1px solid var(--rule-strong);
  }
`;

const SheetPlace = styled.main`
  grid-area: sheet;
  position: relative;
  display: grid;
  min-width: 0;
  min-height: 0;
`;

const Opening = styled.p`
  padding: 1rem;
`;

/** One open model. The editor lives as long as the page. */
export function Workspace({ opened }: { readonly opened: Opened }) {
  const [editor, setEditor] = useState<Editor>();
  useEffect(() => {
    const made = new Editor(opened, window.location.search);
    setEditor(made);
    return () => made.close();
  }, [opened]);
  if (!editor) return <Opening>Opening {opened.model.title} …</Opening>;
  return (
    <EditorContext.Provider value={editor}>
      <Benchwork />
    </EditorContext.Provider>
  );
}

function Benchwork() {
  const editor = useEditor();
  const stage = useEditorState((state) => state.stage);
  const title = useEditorState((state) => state.model.title);
  const schedule = useEditorState((state) => state.schedule);
  const [sheet, setSheet] = useState<SheetController>();
  const ready = useCallback((controller: SheetController | undefined) => setSheet(controller), []);

  useEffect(() => {
    document.title = `${title || 'Untitled'} · Rigid Beam`;
  }, [title]);
  useShortcuts(sheet);
  useEffect(() => {
    const follow = (): void => editor.follow(window.location.search);
    const warn = (event: BeforeUnloadEvent): void => {
      if (editor.state.storage.status !== 'stored') event.preventDefault();
    };
    window.addEventListener('popstate', follow);
    window.addEventListener('beforeunload', warn);
    return () => {
      window.removeEventListener('popstate', follow);
      window.removeEventListener('beforeunload', warn);
    };
  }, [editor]);
  // A tool belongs to its stage: leaving the stage puts it down.
  useEffect(() => sheet?.takeSelect(), [sheet, stage]);

  return (
    <Grid>
      <HeadStrip sheet={sheet} />
      <StageRail />
      <Bench aria-label="Bench">{stageOf(stage).bench(sheet)}</Bench>
      <SheetPlace>
        <Sheet onReady={ready} menu={otherChoices} />
        <Notices sheet={sheet} />
        <Card />
        {schedule && <Schedule key={schedule} list={schedule} />}
      </SheetPlace>
      <CaseStrip />
    </Grid>
  );
}

const otherChoices = (controller: SheetController) => <SheetMenu controller={controller} />;

/** Undo and redo everywhere but in a text that is being typed; all other keys go to the tool in hand. */
function useShortcuts(sheet: SheetController | undefined): void {
  const editor = useEditor();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const typing = event.target instanceof HTMLInputElement && event.target.type === 'text';
      if ((event.ctrlKey || event.metaKey) && !typing && (event.key.toLowerCase() === 'z' || event.key.toLowerCase() === 'y')) {
        event.preventDefault();
        if (event.key.toLowerCase() === 'y' || event.shiftKey) editor.redo();
        else editor.undo();
        return;
      }
      // Controls keep their own keys; the drawing and its items pass theirs on.
      const onSheet =
        event.target === document.body ||
        (event.target instanceof HTMLElement && event.target.closest('[aria-label="Sheet"]') !== null);
      if (!typing && onSheet && (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'a') {
        event.preventDefault();
        selectChosen(editor, inverted(editor.state.model, { nodes: [], members: [] }));
        return;
      }
      // A tool is in hand and a place is typed: no control has a use for its first character.
      const isPlace = sheet?.store.getState().tool.takesPlaces && isPlaceKey(event);
      if (!typing && (onSheet || event.key === 'Escape' || isPlace) && sheet?.key(event)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [editor, sheet]);
}
