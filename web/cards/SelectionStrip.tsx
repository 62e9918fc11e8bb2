'use client';

import { planeWords } from '@rigid-beam/core/quantities/axis-names';
import { useMemo } from 'react';
import type { Model } from '@rigid-beam/core/model/model';
import type { PlacedStructure } from '@rigid-beam/core/model/structures/measures';
import { chosenOn, narrowings, planesOfChosen, type ChosenPlane } from '@rigid-beam/core/model/narrowed';
import { chosenOf, selectChosen } from '../editor/chosen';
import { useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Button, Row, Select } from '../ui/controls';
import { selectionStrip as WORDS } from './words';

/** What is selected, made less or more in one step: only its members, only what stands upright, only a storey; all like it; and the typical structure that it belongs to. */
export function SelectionStrip() {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const selection = useEditorState((state) => state.selection);
  const chosen = useMemo(() => chosenOf(selection), [selection]);
  const parts = useMemo(() => narrowings(model, chosen), [model, chosen]);
  const planes = useMemo(
    () => (chosen.nodes.length + chosen.members.length > 1 ? planesOfChosen(model, chosen) : []),
    [model, chosen],
  );
  const structures = useMemo(() => structuresOf(model, chosen.members), [model, chosen]);
  if (parts.length + planes.length + structures.length === 0) return null;
  const idOf = ({ axis, at }: ChosenPlane): string => `${axis} ${at}`;
  return (
    <Row role="group" aria-label={WORDS.label}>
      {parts.map(({ id, chosen: part }) => (
        <Button key={id} onPress={() => selectChosen(editor, part)}>
          {WORDS.parts[id as keyof typeof WORDS.parts](part.members.length + part.nodes.length)}
        </Button>
      ))}
      {planes.length > 0 && (
        <Select
          label={WORDS.onlyOn}
          hideLabel
          choices={[
            { id: '', text: WORDS.onlyOn },
            ...planes.map((plane) => ({
              id: idOf(plane),
              text: WORDS.plane(plane.name, planeWords(plane, display)),
            })),
          ]}
          value=""
          onChange={(id) => {
            const plane = planes.find((one) => idOf(one) === id);
            if (plane) selectChosen(editor, chosenOn(model, chosen, plane));
          }}
        />
      )}
      {structures.map(({ id }) => (
        <Button
          key={id}
          aria-label={WORDS.measuresOf(id)}
          onPress={() => {
            editor.go({ stage: 'geometry' });
            editor.show({ placed: id });
          }}
        >
          {id} …
        </Button>
      ))}
    </Row>
  );
}

/** Typical structures that all of some members belong to. */
function structuresOf({ structures = [] }: Model, members: readonly string[]): readonly PlacedStructure[] {
  return members.length === 0 ? [] : structures.filter((one) => members.every((id) => one.members.includes(id)));
}
