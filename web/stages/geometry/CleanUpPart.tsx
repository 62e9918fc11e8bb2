'use client';

import { useMemo } from 'react';
import { findDefects, type Defect } from '@rigid-beam/core/model/defects';
import { subjectsOf } from '../../editor/chosen';
import { geometryCommands } from '../../commands/geometry-commands';
import { useEditor, useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Hint, TextButton, Row } from '../../ui/controls';
import { cleanUpPart as WORDS } from './words';

/** Above this size the search is made only when it is asked for. */
const QUICK = 1500;
const SHOWN = 30;

/** What is rarely meant in a drawing, each with its repair. */
export function CleanUpPart({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const found = useMemo(() => (model.members.length <= QUICK ? findDefects(model) : undefined), [model]);
  const all = geometryCommands.find(({ name }) => name.startsWith(WORDS.cleanUp));
  const names = (list: 'nodes' | 'members'): void => {
    geometryCommands.find(({ name }) => name === WORDS.renumberInReadingOrder(list))?.run(sheet, '');
  };
  const show = (defect: Defect): void => {
    editor.select(subjectsOf(defect));
    sheet.view.showSelection();
  };
  return (
    <>
      {found ? <Hint>{found.length === 0 ? WORDS.nothingNeedsMending : WORDS.hint}</Hint> : <Hint>{WORDS.largeModel}</Hint>}
      {(found ?? []).slice(0, SHOWN).map((defect, i) => (
        <div key={i}>
          <TextButton onPress={() => show(defect)}>{defect.words}</TextButton>
          <Row>
            <Button onPress={() => editor.edit(defect.intent)}>{defect.repair}</Button>
          </Row>
        </div>
      ))}
      {found && found.length > 1 && <Button onPress={() => all?.run(sheet, '')}>{WORDS.mendAll(found.length)}</Button>}
      <Row>
        <Button onPress={() => names('nodes')}>{WORDS.numberNodesAnew}</Button>
        <Button onPress={() => names('members')}>{WORDS.letterMembersAnew}</Button>
      </Row>
    </>
  );
}
