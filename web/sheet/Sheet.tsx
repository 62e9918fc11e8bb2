'use client';

import { useEffect, useRef, useState, type ReactNode } from 'react';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { useEditor, useEditorState } from '../editor/use-editor';
import { EdgeLooks } from './EdgeLooks';
import { FloatingField, TypedStep } from './FloatingField';
import { Canvas } from './Canvas';
import { SheetController } from './controller';
import { PanesBeside, PaneTag } from './PanesBeside';
import { SheetItems } from './SheetItems';
import { SelectTool } from './tools/select-tool';
import { usePointer } from './use-pointer';
import { sheet as WORDS } from './words';

/** One drawing, or several of one size. */
const Frame = styled.section`
  position: relative;
  display: grid;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  background: var(--paper);
  /* The lines between them are the ground that shows. */
  &[data-beside] {
    gap: 2px;
    background: var(--ink);
  }
  &[data-beside='right'] {
    grid-template: minmax(0, 1fr) / repeat(2, minmax(0, 1fr));
    &[data-panes='2'] {
      grid-template-columns: repeat(3, minmax(0, 1fr));
    }
  }
  &[data-beside='below'] {
    grid-template: repeat(2, minmax(0, 1fr)) / minmax(0, 1fr);
    &[data-panes='2'] {
      grid-template-rows: repeat(3, minmax(0, 1fr));
    }
  }
  &[data-panes='3'][data-panes='3'] {
    grid-template: repeat(2, minmax(0, 1fr)) / repeat(2, minmax(0, 1fr));
  }
`;

const First = styled.div`
  position: relative;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
`;

interface SheetProps {
  readonly onReady: (controller: SheetController | undefined) => void;
  /** Other choices for what is selected. */
  readonly menu: (controller: SheetController) => ReactNode;
}

/** The interactive drawing: mounts the controller on a canvas and lays the fields and the items for the keyboard over it. */
export function Sheet({ onReady, menu }: SheetProps) {
  const editor = useEditor();
  const frame = useRef<HTMLDivElement>(null);
  const where = useEditorState((state) => state.beside?.where);
  const panes = useEditorState((state) => state.beside?.panes.length);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [controller, setController] = useState<SheetController>();

  useEffect(() => {
    const made = new SheetController(editor, canvas.current!, (sheet) => new SelectTool(sheet));
    setController(made);
    onReady(made);
    const observer = new ResizeObserver(() => {
      const { clientWidth, clientHeight } = frame.current!;
      made.resize(clientWidth, clientHeight, window.devicePixelRatio || 1);
    });
    observer.observe(frame.current!);
    const theme = new MutationObserver(() => made.recolour());
    theme.observe(document.documentElement, { attributes: true, attributeFilter: ['data-appearance'] });
    const dark = window.matchMedia('(prefers-color-scheme: dark)');
    const recolour = (): void => made.recolour();
    dark.addEventListener('change', recolour);
    return () => {
      observer.disconnect();
      theme.disconnect();
      dark.removeEventListener('change', recolour);
      made.close();
      onReady(undefined);
    };
  }, [editor, onReady]);

  return (
    <Frame aria-label={WORDS.sheet} data-beside={where} data-panes={panes}>
      <First ref={frame}>
        <Canvas ref={canvas} tabIndex={-1} role="img" aria-label={WORDS.described} data-testid="sheet" />
        {controller && <Live controller={controller} canvas={canvas} />}
        <PaneTag at="first" />
      </First>
      {controller && where && <PanesBeside controller={controller} />}
      {controller && <Fields controller={controller} />}
      {controller && menu(controller)}
    </Frame>
  );
}

interface LiveProps {
  readonly controller: SheetController;
  readonly canvas: React.RefObject<HTMLCanvasElement | null>;
}

function Live({ controller, canvas }: LiveProps) {
  const isSpace = useEditorState((state) => state.model.space === 'space');
  const cursor = useStore(controller.store, (state) => state.cursor);

  useEffect(() => {
    if (canvas.current) canvas.current.style.cursor = cursor;
  }, [canvas, cursor]);
  usePointer(controller, canvas);

  return (
    <>
      <SheetItems controller={controller} />
      {isSpace && <EdgeLooks controller={controller} />}
    </>
  );
}

/** What is typed over the drawing. */
function Fields({ controller }: { readonly controller: SheetController }) {
  const field = useStore(controller.store, (state) => state.field);
  const typed = useStore(controller.store, (state) => state.typed);
  return (
    <>
      {field && (
        <FloatingField
          key={`${field.left} ${field.top} ${field.label}`}
          field={field}
          onDone={() => controller.openField(undefined)}
        />
      )}
      {typed && (
        <TypedStep
          key={`${typed.left} ${typed.top} ${typed.label ?? ''}`}
          field={typed}
          onDone={() => controller.openTyped(undefined)}
        />
      )}
    </>
  );
}
