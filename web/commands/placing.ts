import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import { uprightInSpace, type Typical, type TypicalValues } from '@rigid-beam/core/model/typical/typical';
import { intoSpace } from './geometry-commands';
import { placing as WORDS } from './words';

/** The edit that places a typical structure: with the section drawn last, and into space where it needs that. */
export function placing(model: Model, typical: Typical, values: TypicalValues, at: Point): Intent {
  const stuff = {
    section: model.members.at(-1)?.section ?? model.sections[0]?.id ?? '',
    material: model.members.at(-1)?.material ?? model.materials[0]?.id ?? '',
  };
  const built = typical.build(values, stuff);
  const isUpright = typical.space === 'plane' && model.space === 'space';
  const part = isUpright ? uprightInSpace(built) : built;
  const structure = { id: typical.title, type: typical.id, values, ...(isUpright && { upright: true }) };
  const insert: Intent = { type: 'insert', part, at, name: typical.title.toLowerCase(), structure };
  // A model without a title is called what was placed in it first.
  const isNamed = model.title !== '' || model.members.length > 0;
  const intents: readonly Intent[] = [
    ...(isNamed ? [] : [{ type: 'set', settings: { title: typical.title } } as const]),
    ...(typical.space === 'space' && model.space === 'plane' ? [intoSpace(model, 'in place')] : []),
    insert,
  ];
  return intents.length === 1 ? insert : { type: 'batch', intents, label: WORDS.place(typical.title.toLowerCase()) };
}
