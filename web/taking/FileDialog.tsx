'use client';

import { useEffect } from 'react';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { WideDialog } from '../ui/WideDialog';
import { DrawingOfFile } from './DrawingOfFile';
import { TablesOfFile } from './TablesOfFile';
import { bringDropped } from './dropped';
import { fileDialog as WORDS } from './words';

/** What a file brings, looked at before any of it is taken: tables, or a drawing. */
export function FileDialog({ sheet }: { readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const dialog = useEditorState((state) => state.dialog);
  const file = typeof dialog === 'object' ? dialog.file : undefined;
  const close = (): void => editor.show({ dialog: undefined });
  useEffect(
    () =>
      bringDropped(
        (dropped) => editor.show({ dialog: { file: dropped } }),
        (words) => editor.refuse(words),
      ),
    [editor],
  );
  const isDrawing = file?.name.toLowerCase().endsWith('.dxf');
  return (
    <WideDialog label={WORDS.title(file?.name ?? '')} isOpen={file !== undefined} onClose={close}>
      {file && sheet && isDrawing && <DrawingOfFile file={file} sheet={sheet} onClose={close} />}
      {file && !isDrawing && <TablesOfFile file={file} onClose={close} />}
    </WideDialog>
  );
}
