'use client';

import { massUnit, surfaceUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { together, type BillRow } from '@rigid-beam/core/sections/bill';
import { useDisplay, useEditor } from '../../editor/use-editor';
import { Button, Hint } from '../../ui/controls';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { bill as WORDS } from './words';

/** What all sections need together; those that no member has are swept out in one go. */
export function Bill({ rows }: { readonly rows: readonly BillRow[] }) {
  const editor = useEditor();
  const display = useDisplay();
  const { mass, surface } = together(rows);
  const unused = rows.filter(({ members }) => members === 0).map(({ section }) => section);
  const parts = [
    mass === undefined ? WORDS.noMass : showQuantity(mass, massUnit(display), 4),
    surface === undefined ? '' : WORDS.surface(withPowers(showQuantity(surface, surfaceUnit(display), 3))),
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
