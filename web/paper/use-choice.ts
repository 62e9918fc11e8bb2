import { useState } from 'react';
import type { Editor } from '../editor/editor';
import { keepChoice, keptChoice, type PaperChosen } from './chosen';

/** How the model is put on paper, kept by the browser. */
export function useChoice({ opened: { id, projectName, projectNumber } }: Editor): {
  readonly chosen: PaperChosen;
  readonly choose: (part: Partial<PaperChosen>) => void;
} {
  const [chosen, setChosen] = useState(() => keptChoice(id, { project: projectName, number: projectNumber }));
  const choose = (part: Partial<PaperChosen>): void => {
    const next = { ...chosen, ...part };
    setChosen(next);
    keepChoice(id, next);
  };
  return { chosen, choose };
}
