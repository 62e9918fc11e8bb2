'use client';

import { shapeOf } from '@rigid-beam/core/model/loads/member-shape';
import type { Load } from '@rigid-beam/core/model/model';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { useDisplay, useEditorState } from '../editor/use-editor';
import { Hint } from '../ui/controls';
import { loadCard as WORDS } from './words';

/** Places on a member, said the other way than they are stored: lengths as parts, parts as lengths. */
export function Places({ load }: { readonly load: Load }) {
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const length = 'member' in load ? shapeOf(model, load.member)?.length : undefined;
  const all = load.type === 'point' ? [load.at] : load.type === 'line' ? [load.from.at ?? 0, load.to.at] : [];
  const isLength = 'measure' in load && load.measure === 'length';
  if (length === undefined || all.length === 0) return null;
  const words = all.map((at) => {
    const metres = at === undefined ? length : isLength ? at : at * length;
    return isLength ? showNumber(metres / length, 4) : showQuantity(metres, display.length, 4);
  });
  return <Hint className="number">{isLength ? WORDS.asParts(words.join(', ')) : WORDS.asLengths(words.join(', '))}</Hint>;
}
