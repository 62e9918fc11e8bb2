'use client';

import { useState } from 'react';
import { Heading, ToggleButtonGroup } from 'react-aria-components';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { PlainButton, ToggleButton } from '../ui/controls';
import { DialogHead, WideDialog } from '../ui/WideDialog';
import { Drawings } from './Drawings';
import { ReportPart } from './ReportPart';
import { paperDialog as WORDS } from './words';

/** What is handed on: the model on sheets of paper, or in a calculation report. */
export function PaperDialog({ sheet }: { readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const isOpen = useEditorState((state) => state.dialog === 'paper');
  return (
    <WideDialog label={WORDS.title} isOpen={isOpen} onClose={() => editor.show({ dialog: undefined })}>
      {sheet && <Content sheet={sheet} />}
    </WideDialog>
  );
}

function Content({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const [what, setWhat] = useState<'drawings' | 'report'>('drawings');
  return (
    <>
      <DialogHead>
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
      </DialogHead>
      {what === 'drawings' ? <Drawings sheet={sheet} /> : <ReportPart />}
    </>
  );
}
