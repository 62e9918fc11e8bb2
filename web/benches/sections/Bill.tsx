'use client';

import { showNumber } from '@rigid-beam/core/quantities/show';
import { together, type BillRow } from '@rigid-beam/core/sections/bill';
import { useEditor } from '../../session/use-editor';
import { Button, Hint } from '../../ui/controls';
import { bill as WORDS } from './words';

/** What all sections need together; those that no member has are swept out in one go. */
export function Bill({ rows }: { readonly rows: readonly BillRow[] }) {
  const editor = useEditor();
  const { mass, surface } = together(rows);
  const unused = rows.filter(({ members }) => members === 0).map(({ section }) => section);
  const parts = [
    mass === undefined ? WORDS.noMass : WORDS.mass(showNumber(mass, 4)),
    surface === undefined ? '' : WORDS.surface(showNumber(surface, 3)),
  ];
  return (
    <>
      {rows.some(({ members }) => members > 0) && <Hint>{WORDS.together(parts.filter(Boolean).join(', '))}</Hint>}
      <Button onPress={() => editor.show({ drawer: 'sections' })}>{WORDS.schedule}</Button>
      {unused.length > 0 && (
        <Button onPress={() => editor.edit({ type: 'remove', list: 'sections', keys: unused })}>
          {WORDS.sweep(unused.length)}
        </Button>
      )}
    </>
  );
}
