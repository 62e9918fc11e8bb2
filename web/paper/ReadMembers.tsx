'use client';

import type { ReportChapter } from '@rigid-beam/core/model/report';
import { chosenOf } from '../editor/chosen';
import { useEditorState } from '../editor/use-editor';
import { Button, Hint, Row } from '../ui/controls';
import { readMembers as WORDS } from './words';

type Members = Extract<ReportChapter, { readonly chapter: 'members' }>;

interface ReadMembersProps {
  readonly chapter: Members;
  readonly onChange: (chapter: Members) => void;
}

/** Which members a report reads closely: those that are selected on the sheet, or those in which something governs. */
export function ReadMembers({ chapter, onChange }: ReadMembersProps) {
  const selected = chosenOf(useEditorState((state) => state.selection)).members;
  const { members = [] } = chapter;
  return (
    <>
      <Hint>{members.length > 0 ? WORDS.these(members) : WORDS.governing}</Hint>
      <Row>
        {selected.length > 0 && selected.join() !== members.join() && (
          <Button onPress={() => onChange({ chapter: 'members', members: selected })}>{WORDS.take(selected)}</Button>
        )}
        {members.length > 0 && <Button onPress={() => onChange({ chapter: 'members' })}>{WORDS.takeGoverning}</Button>}
      </Row>
      {selected.length === 0 && <Hint>{WORDS.select}</Hint>}
    </>
  );
}
