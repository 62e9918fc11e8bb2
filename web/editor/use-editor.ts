'use client';

import { createContext, useContext, useDeferredValue, useMemo } from 'react';
import { useStore } from 'zustand';
import { defaultDisplay, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { Solution } from '@rigid-beam/core/results/results';
import { type Editor } from './editor';
import { isHeld, type EditorState } from './editor-state';

export const EditorContext = createContext<Editor | undefined>(undefined);

/** The open model's editor. */
export function useEditor(): Editor {
  const editor = useContext(EditorContext);
  if (!editor) throw new Error('useEditor: no model is open here');
  return editor;
}

/** A part of the editor's state; the component follows it. */
export function useEditorState<T>(pick: (state: EditorState) => T): T {
  return useStore(useEditor().page.store, pick);
}

/** The model with what is in hand, as long as the page can follow. */
export const useModel = () => useEditorState((state) => (isHeld(state) ? state.model : (state.preview ?? state.model)));

/** The drawn model for parts of the page that may come after the sheet: they follow when there is time. */
export const useDrawnInTime = (): EditorState['settled'] => useDeferredValue(useEditorState((state) => state.settled));

/** The units that the project shows: the same object for as long as they are the same. */
export function useDisplay(): DisplayUnits {
  const display = useEditorState((state) => state.model.display);
  return useMemo(() => ({ ...defaultDisplay, ...display }), [display]);
}

/** The solution for the page beside the sheet, when the model has one. */
export const settledSolution = (state: Pick<EditorState, 'settled'>): Solution | undefined => state.settled.results?.solution;
