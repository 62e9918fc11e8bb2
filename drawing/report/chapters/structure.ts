import { showQuantity } from '@rigid-beam/core/quantities/show';
import { axisNames } from '@rigid-beam/core/model/point';
import { modelTable } from '@rigid-beam/core/tables/asked';
import type { Parameter } from '@rigid-beam/core/model/model';
import type { Writing } from '../asked';
import { table, words, type Block } from '../blocks';
import { drawing } from '../figures';
import { reportWords as WORDS } from '../words';

/** A parameter with its value, and what it is. */
const factOf = ({ id, value, unit = '', title }: Parameter): readonly [string, string] => [
  title ? `${id}, ${title}` : id,
  showQuantity(value, unit, 6),
];

/** What it is, drawn and in lists. */
export function structure(writing: Writing): Block[] {
  const { model, display } = writing;
  const extents = axisNames
    .map((axis) => {
      let [least, most] = [Infinity, -Infinity];
      for (const { [axis]: at = 0 } of model.nodes) [least, most] = [Math.min(least, at), Math.max(most, at)];
      return most - least;
    })
    .filter((size) => size > 0);
  const space = WORDS.inSpace[model.space];
  return [
    words(WORDS.consists(model.nodes.length, model.members.length, model.supports.length, space)),
    ...(extents.length > 0
      ? [words(WORDS.extent(extents.map((size) => showQuantity(size, display.length)).join(WORDS.by)))]
      : []),
    ...(model.parameters ? [{ is: 'facts', facts: model.parameters.map(factOf) } as const] : []),
    drawing(writing, { subject: 'geometry', outcome: -1, caption: WORDS.geometry }),
    ...table(modelTable(model, 'nodes')),
    ...table(modelTable(model, 'members')),
    ...table(modelTable(model, 'supports')),
  ];
}
