'use client';

import { useMemo, useState } from 'react';
import { changeEdits, joinEdit, jointsEdit, splitEdit } from '../../commands/change-edits';
import { editCommand } from '../../commands/command';
import { chosenOf } from '../../editor/chosen';
import { useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Hint, Row, ToggleButton } from '../../ui/controls';
import { Fold } from '../../ui/Fold';
import { EditForm } from './EditForm';
import { changeFold as WORDS } from './words';

type How = keyof typeof changeEdits;

/** Moves, turns, mirrors, copies and repeats what is selected, shown on the sheet before it is done; splits and joins members. */
export function ChangeFold({ sheet }: { readonly sheet: SheetController }) {
  const selection = useEditorState((state) => state.selection);
  const chosen = useMemo(() => chosenOf(selection), [selection]);
  const [how, setHow] = useState<How>('move');
  const [what, setWhat] = useState<'itself' | 'copy'>('itself');
  const any = chosen.nodes.length + chosen.members.length > 0;
  const edit = changeEdits[how][what];
  return (
    <Fold
      title={WORDS.changeTheSelection}
      note={any ? undefined : WORDS.nothingIsSelected}
      {...(chosen.nodes.length + chosen.members.length > 1 && { startsOpen: true })}
    >
      {any ? (
        <>
          <Row role="group" aria-label={WORDS.how}>
            {(Object.keys(changeEdits) as How[]).map((one) => (
              <ToggleButton key={one} isSelected={how === one} onChange={() => setHow(one)}>
                {changeEdits[one].itself.name}
              </ToggleButton>
            ))}
            <ToggleButton isSelected={what === 'copy'} onChange={(on) => setWhat(on ? 'copy' : 'itself')}>
              {WORDS.asACopy}
            </ToggleButton>
          </Row>
          <EditForm key={edit.name} sheet={sheet} edit={edit as typeof changeEdits.move.itself} chosen={chosen} />
        </>
      ) : (
        <Hint>{WORDS.selectFirst}</Hint>
      )}
      {chosen.members.length > 0 && <EditForm sheet={sheet} edit={splitEdit} chosen={chosen} />}
      {chosen.members.length > 1 && (
        <Row>
          {[joinEdit, jointsEdit].map((one) => (
            <Button key={one.name} onPress={() => editCommand(one).run(sheet, '')}>
              {one.done}
            </Button>
          ))}
        </Row>
      )}
    </Fold>
  );
}
