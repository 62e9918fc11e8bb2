'use client';

import { Fragment } from 'react';
import { chosenOf } from '../../editor/chosen';
import { useEditorState, useModel } from '../../editor/use-editor';
import { Button, Hint, Row } from '../../ui/controls';
import { SelectionStrip } from '../../cards/SelectionStrip';
import { selectionOffers } from './selection-offers';
import type { SaidLoad } from './use-load-in-hand';

/** Puts what is said on everything that is selected, in one step, or along a run of members as one; whole or not at all. */
export function PutOnSelection({ load: { phrase, putOn }, caseId }: { readonly load: SaidLoad; readonly caseId: string }) {
  const model = useModel();
  const chosen = chosenOf(useEditorState((state) => state.selection));
  return (
    <>
      <Row>
        {selectionOffers(phrase, chosen, model, caseId).map((offer) => (
          <Fragment key={offer.words}>
            {offer.warning && <Hint role="status">{offer.warning}</Hint>}
            <Button onPress={() => putOn(offer)}>{offer.words}</Button>
          </Fragment>
        ))}
      </Row>
      <SelectionStrip />
    </>
  );
}
