'use client';

import { useState } from 'react';
import { swayDirections, type SwayDirection } from '@rigid-beam/core/model/loads/notional';
import { useEditor, useModel } from '../../editor/use-editor';
import { Button, Columns, Hint, Select } from '../../ui/controls';
import { caseChoices } from '../../ui/case-choices';
import { Fold } from '../../ui/Fold';
import { QuantityField } from '../../ui/QuantityField';
import { notionalPart as WORDS } from '../words';

/** The usual share of an initial sway (EN 1993-1-1, 5.3.2). */
const USUAL = 1 / 200;

/** A share, and the expression that gives it. */
interface Share {
  readonly value: number;
  readonly text: string | undefined;
}

/** A share of what is vertical in another case, put sideways in the acting one. */
export function NotionalPart({ caseId }: { readonly caseId: string }) {
  const editor = useEditor();
  const model = useModel();
  const others = model.cases.filter(({ id }) => id !== caseId);
  const [share, setShare] = useState<Share>({ value: USUAL, text: undefined });
  const [chosen, setChosen] = useState<string>();
  const [direction, setDirection] = useState<SwayDirection>('right');
  const of = others.find(({ id }) => id === chosen) ?? others[0];
  const directions = swayDirections.filter((one) => model.space === 'space' || one === 'right' || one === 'left');
  return (
    <Fold title={WORDS.title}>
      <Hint>{of ? WORDS.hint : WORDS.noOther}</Hint>
      {of && (
        <>
          <Columns>
            <QuantityField
              label={WORDS.share}
              value={share.value}
              dimension="number"
              unit=""
              keeping={{ text: share.text, keep: (text, value) => setShare({ value, text }) }}
              onCommit={(value) => value !== undefined && setShare({ value, text: undefined })}
            />
            <Select label={WORDS.of} choices={caseChoices(others)} value={of.id} onChange={setChosen} />
          </Columns>
          <Select
            label={WORDS.direction}
            choices={directions.map((id) => ({ id, text: WORDS.directions[id] }))}
            value={direction}
            onChange={(id) => setDirection(id as SwayDirection)}
          />
          <Button
            onPress={() =>
              editor.edit({
                type: 'put',
                list: 'loads',
                entry: { type: 'notional', case: caseId, of: of.id, share: share.text ?? share.value, direction },
              })
            }
          >
            {WORDS.put(caseId)}
          </Button>
        </>
      )}
    </Fold>
  );
}
