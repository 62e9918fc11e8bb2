'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FileTrigger } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { readable } from '@rigid-beam/core/formats/registry';
import { Gallery } from '../stages/geometry/Gallery';
import { putUnderlay, UNDERLAY_FILES } from '../commands/underlay-actions';
import { createModel, sendingWords } from '../projects/requests';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { RESTING } from '../sheet/sheet-state';
import { DrawTool } from '../sheet/tools/draw-tool';
import { Button, Hint, PanelSubtitle } from '../ui/controls';
import { Picture } from '../ui/pictures';
import { beginnings as WORDS } from './words';

const Place = styled.section`
  position: absolute;
  inset: 0;
  display: grid;
  place-content: center;
  gap: 0.7rem;
  padding: 1rem;
  overflow: auto;
  /* The paper between them can be drawn on. */
  pointer-events: none;
  > * {
    pointer-events: auto;
    width: min(31rem, 80vw);
  }
`;

const Ways = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(7rem, 1fr));
  gap: 0.5rem;
  button {
    flex-direction: column;
    padding: 0.5rem;
    background: var(--paper);
    white-space: normal;
  }
`;

/** What an empty sheet offers to begin with, where the drawing will stand. Gone with the first node. */
export function Beginnings({ sheet }: { readonly sheet: SheetController }) {
  const isEmpty = useEditorState(({ model, preview }) => (preview ?? model).nodes.length === 0 && !model.underlay);
  const isResting = useStore(sheet.store, ({ tool }) => tool.name === RESTING);
  return isEmpty && isResting ? <Offered sheet={sheet} /> : null;
}

function Offered({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const router = useRouter();
  const typical = useEditorState((state) => state.typical);
  const [said, setSaid] = useState<{ readonly words: string; readonly role: 'status' | 'alert' }>();
  const setTrouble = (words: string): void => setSaid({ words, role: 'alert' });

  const trace = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      await putUnderlay(sheet, file, 1);
    } catch (fault) {
      setTrouble(fault instanceof Error ? fault.message : String(fault));
    }
  };
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const answer = await createModel({ project: editor.opened.projectId, file }, (share) =>
      setSaid({ words: sendingWords(file, share), role: 'status' }),
    );
    if (answer.id !== undefined) router.push(`/models/${answer.id}`);
    else setTrouble(answer.faults?.map(({ message }) => message).join(' ') ?? '');
  };
  const first = (files: FileList | null): File | undefined => files?.[0];

  return (
    <Place aria-label={WORDS.begin}>
      <Ways>
        <Button onPress={() => sheet.take(new DrawTool(sheet))}>
          <Picture name="draw" />
          {WORDS.drawMembers}
        </Button>
        <FileTrigger acceptedFileTypes={UNDERLAY_FILES.split(',')} onSelect={(files) => void trace(first(files))}>
          <Button>
            <Picture name="underlay" />
            {WORDS.traceAPlan}
          </Button>
        </FileTrigger>
        <Button onPress={() => editor.show({ drawer: 'nodes' })}>
          <Picture name="schedule" />
          {WORDS.pasteATable}
        </Button>
        <FileTrigger
          acceptedFileTypes={readable.flatMap(({ extension, mediaType }) => [extension, mediaType])}
          onSelect={(files) => void open(first(files))}
        >
          <Button>
            <Picture name="groups" />
            {WORDS.openAFile}
          </Button>
        </FileTrigger>
      </Ways>
      <PanelSubtitle>{WORDS.orPlaceATypicalStructure}</PanelSubtitle>
      <Gallery chosen={typical} onChoose={(id) => editor.show({ typical: id, panel: 'open' })} />
      {said && <Hint role={said.role}>{said.words}</Hint>}
    </Place>
  );
}
