'use client';

import { useState } from 'react';
import { runOf } from '@rigid-beam/core/model/runs';
import type { AxisName } from '@rigid-beam/core/model/point';
import { intensityUnit } from '@rigid-beam/core/quantities/display';
import { chosenOf } from '../session/chosen';
import { useDisplay, useEditor, useEditorState, useModel } from '../session/use-editor';
import { Button, Columns, Hint, PanelSubtitle, Select, Stack } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';

const AXES = [
  { id: 'global', text: 'Along the members' },
  { id: 'projected', text: 'On plan' },
  { id: 'local', text: 'Across the members' },
] as const;

/** One load along several members that follow each other: the wind on a rib, snow over a row of purlins. */
export function RunLoad({ caseId, along }: { readonly caseId: string; readonly along: AxisName }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const selection = useEditorState((state) => state.selection);
  const [ends, setEnds] = useState({ from: -10e3, to: 0 });
  const [axes, setAxes] = useState<(typeof AXES)[number]['id']>('global');
  const { members: chosen } = chosenOf(selection);
  const members = runOf(model, chosen);
  const key = axes === 'local' && along !== 'z' ? 'wy' : `w${along}`;
  const place = (): void => {
    if (!members) return;
    const { from, to } = ends;
    editor.edit({
      type: 'put',
      list: 'loads',
      entry: { case: caseId, type: 'chain', members, axes, from: { [key]: from }, to: { [key]: to } },
    });
  };
  return (
    <Stack>
      <PanelSubtitle>Along a run of members</PanelSubtitle>
      <Columns>
        {(['from', 'to'] as const).map((end) => (
          <QuantityField
            key={end}
            label={end === 'from' ? 'Begins with' : 'Ends with'}
            value={ends[end]}
            dimension="intensity"
            unit={intensityUnit(display)}
            onCommit={(value) => value !== undefined && setEnds({ ...ends, [end]: value })}
          />
        ))}
        <Select label="Measured" choices={AXES} value={axes} onChange={(id) => setAxes(id as typeof axes)} />
      </Columns>
      <Button isDisabled={!members} onPress={place}>
        {members
          ? `Put it along ${members.length === 1 ? '1 member' : `${members.length} members`}`
          : 'Put it along the selection'}
      </Button>
      {!members && (
        <Hint>
          {chosen.length === 0
            ? 'Select members that follow each other first.'
            : 'The selected members do not follow each other.'}
        </Hint>
      )}
    </Stack>
  );
}
