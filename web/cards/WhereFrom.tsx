'use client';

import type { Solution } from '@rigid-beam/core/results/results';
import { responseOf } from '@rigid-beam/core/results/sums';
import { useEditor } from '../editor/use-editor';
import { Button } from '../ui/controls';
import { trace } from '../workings/trace';
import { workings as WORDS } from '../workings/words';

/** The way from what is selected to the chain behind its largest value; a range has none of its own. */
export function WhereFrom({ solution, outcome }: { readonly solution: Solution; readonly outcome: number }) {
  const editor = useEditor();
  if (!responseOf(solution, outcome)) return null;
  return (
    <Button
      onPress={() => {
        const refused = trace(editor);
        if (refused !== undefined) editor.refuse(refused);
      }}
    >
      {WORDS.whereItComesFrom}
    </Button>
  );
}
