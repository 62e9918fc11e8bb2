'use client';

import { useState } from 'react';
import { Dialog, Heading, Modal, ModalOverlay, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { overFace, PlainButton, ToggleButton } from '../ui/controls';
import { Drawings } from './Drawings';
import { ReportPart } from './ReportPart';
import { paperDialog as WORDS } from './words';

const Over = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 20;
  display: grid;
  place-items: center;
  background: rgb(0 0 0 / 35%);
`;

const Face = styled(Modal)`
  ${overFace}
  width: min(76rem, 96vw);
  height: min(50rem, 94vh);
`;

const Inside = styled(Dialog)`
  display: grid;
  grid-template: auto minmax(0, 1fr) / 18rem minmax(0, 1fr);
  height: 100%;
  outline: none;
  @media (max-width: 52rem) {
    grid-template: auto auto minmax(0, 1fr) / minmax(0, 1fr);
    overflow-y: auto;
  }
`;

const Head = styled.div`
  grid-column: 1 / -1;
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  padding: 0.5rem 0.75rem;
  border-bottom: 1px solid var(--rule);
  h2 {
    font-size: 0.95rem;
    font-weight: 600;
  }
`;

/** What is handed on: the model on sheets of paper, or in a calculation report. */
export function PaperDialog({ sheet }: { readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const isOpen = useEditorState((state) => state.dialog === 'paper');
  return (
    <Over isOpen={isOpen} isDismissable onOpenChange={(open) => !open && editor.show({ dialog: undefined })}>
      <Face>
        <Inside aria-label={WORDS.title}>{sheet && <Content sheet={sheet} />}</Inside>
      </Face>
    </Over>
  );
}

function Content({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const [what, setWhat] = useState<'drawings' | 'report'>('drawings');
  return (
    <>
      <Head>
        <Heading slot="title">{WORDS.title}</Heading>
        <ToggleButtonGroup
          aria-label={WORDS.what}
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[what]}
          onSelectionChange={([key]) => setWhat(key as typeof what)}
        >
          <ToggleButton id="drawings">{WORDS.drawings}</ToggleButton>
          <ToggleButton id="report">{WORDS.report}</ToggleButton>
        </ToggleButtonGroup>
        <PlainButton onPress={() => editor.show({ dialog: undefined })}>{WORDS.close}</PlainButton>
      </Head>
      {what === 'drawings' ? <Drawings sheet={sheet} /> : <ReportPart />}
    </>
  );
}
