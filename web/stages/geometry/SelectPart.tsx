'use client';

import { planeWords } from '@rigid-beam/core/quantities/axis-names';
import { useState } from 'react';
import type { AxisName } from '@rigid-beam/core/model/point';
import { onPlane } from '@rigid-beam/core/model/selecting';
import { levels } from '@rigid-beam/drawing/dimension-items';
import { chosenOf, selectChosen } from '../../editor/chosen';
import { commandsFor } from '../../commands/all';
import { useDisplay, useEditor, useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Hint, PlainButton, Row, Select } from '../../ui/controls';
import { TextLine } from '../../ui/TextLine';
import { selectPart as WORDS } from './words';

const OFFERED = [
  WORDS.selectByABox,
  WORDS.selectEverything,
  WORDS.invertTheSelection,
  WORDS.selectWhatIsConnected,
  WORDS.selectMembersLikeThisOne,
  WORDS.selectUprightMembers,
  WORDS.selectLevelMembers,
  WORDS.selectInclinedMembers,
  WORDS.hideTheSelection,
  WORDS.showOnlyTheSelection,
  WORDS.showAllThatIsHidden,
];

/** Ways to select other than on the sheet, and groups that are kept with the model. */
export function SelectPart({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const selection = useEditorState((state) => state.selection);
  const [, again] = useState(0);
  const groups = model.groups ?? [];
  const chosen = chosenOf(selection);
  const count = chosen.nodes.length + chosen.members.length;
  const display = useDisplay();
  const planes = (model.space === 'plane' ? (['y', 'x'] as const) : (['y', 'x', 'z'] as const)).flatMap((axis) =>
    levels(model.nodes.map((node) => node[axis] ?? 0)).map((at) => ({ axis, at, id: `${axis} ${at}` })),
  );
  const offered = commandsFor(display).filter((one) => OFFERED.includes(one.name) && (one.fits?.(sheet) ?? true));
  return (
    <>
      <Row>
        {offered.map((command) => (
          <Button
            key={command.name}
            onPress={() => {
              command.run(sheet, '');
              again((n) => n + 1);
            }}
          >
            {command.name.replace(/^Select (?!everything)/, '').replace(/^./, (c) => c.toUpperCase())}
          </Button>
        ))}
      </Row>
      {planes.length > 0 && planes.length <= 400 && (
        <Select
          label={WORDS.allOnALevelOr}
          choices={[
            { id: '', text: WORDS.chooseOne },
            ...planes.map((plane) => ({ id: plane.id, text: planeWords(plane, display) })),
          ]}
          value=""
          onChange={(id) => {
            const plane = planes.find((one) => one.id === id);
            if (plane) selectChosen(editor, onPlane(model, plane.axis as AxisName, plane.at, 1e-3));
          }}
        />
      )}
      <Select
        label={WORDS.allOfASection}
        choices={[{ id: '', text: WORDS.chooseOne }, ...model.sections.map(({ id }) => ({ id, text: id }))]}
        value=""
        onChange={(section) =>
          selectChosen(editor, { nodes: [], members: model.members.filter((one) => one.section === section).map(({ id }) => id) })
        }
      />
      {groups.map((group) => (
        <Row key={group.id}>
          <Button onPress={() => selectChosen(editor, { nodes: group.nodes ?? [], members: group.members ?? [] })}>
            {group.id} · {(group.members?.length ?? 0) + (group.nodes?.length ?? 0)}
          </Button>
          {count > 0 && (
            <PlainButton
              aria-label={WORDS.makeSelected(group.id)}
              onPress={() => editor.edit({ type: 'put', list: 'groups', entry: { id: group.id, ...chosen }, key: group.id })}
            >
              {WORDS.takeSelection}
            </PlainButton>
          )}
          <PlainButton
            aria-label={WORDS.removeGroup(group.id)}
            onPress={() => editor.edit({ type: 'remove', list: 'groups', keys: [group.id] })}
          >
            ✕
          </PlainButton>
        </Row>
      ))}
      {count > 0 ? (
        <TextLine
          label={WORDS.nameSelection}
          value=""
          understand={(text) =>
            groups.some(({ id }) => id === text.trim())
              ? { ok: false, words: WORDS.groupExists }
              : { ok: true, words: WORDS.things(count) }
          }
          onCommit={(text) =>
            text.trim() && editor.edit({ type: 'put', list: 'groups', entry: { id: text.trim().slice(0, 64), ...chosen } })
          }
        />
      ) : (
        <Hint>{WORDS.selectFirst}</Hint>
      )}
    </>
  );
}
