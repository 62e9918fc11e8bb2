'use client';

import { createContext, useContext, useDeferredValue, useEffect, useState } from 'react';
import { useStore } from 'zustand';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { Solution } from '@rigid-beam/core/results/results';
import type { Editor, EditorState } from './editor';

export const EditorContext = createContext<Editor | undefined>(undefined);

/** The open model's editor. */
export function useEditor(): Editor {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('useEditor: no model is open here');
  return editor;
}

/** A part of the editor's state; the component follows it. */
export function useEditorState<T>(pick: (state: EditorState) => T): T {
  return useStore(useEditor().store, pick);
}

export const useModel = () => useEditorState((state) => state.preview ?? state.model);

/** Members up to which everything on the page follows a drag. */
export const LIVELY = 300;

/**
 * The drawn model for parts of the page that may come after the sheet: they follow when there is time, and of a large model only when the
 * pointer lets go.
 */
export function useDrawnInTime(): EditorState['drawn'] {
  const drawn = useEditorState((state) => state.drawn);
  const isHeld = useEditorState((state) => state.preview !== undefined && state.model.members.length > LIVELY);
  const [settled, setSettled] = useState(drawn);
  useEffect(() => {
    if (!isHeld) setSettled(drawn);
  }, [isHeld, drawn]);
  return useDeferredValue(isHeld ? settled : drawn);
}

/** The units that the project shows. Read from the model on every render: the merged object is new each time. */
export function useDisplay(): DisplayUnits {
  const display = useEditorState((state) => state.model.display);
  return { ...defaultDisplay, ...display };
}

/** Index of what acts: the outcome that the address names, or else the first one. */
export function actingIndex(state: EditorState): number {
  const { drawn, acting } = state;
  const all = drawn.results?.solution?.outcomes ?? [...drawn.model.cases, ...drawn.model.combinations];
  return Math.max(
    0,
    all.findIndex(({ id }) => id === acting),
  );
}

/** The solution, when the drawn model has one. */
export const solutionOf = (state: EditorState): Solution | undefined => state.drawn.results?.solution;
