import { modelTable } from '@rigid-beam/core/tables/asked';
import type { Writing } from '../asked';
import { table, type Block } from '../blocks';
import { drawing } from '../figures';
import { reportWords as WORDS } from '../words';

/** Of what members are. */
export const sections = (writing: Writing): Block[] => [
  drawing(writing, { subject: 'sections', outcome: -1, caption: WORDS.sectionsDrawn }),
  ...table(modelTable(writing.model, 'sections')),
  ...table(modelTable(writing.model, 'materials')),
  ...table(modelTable(writing.model, 'cuttingList')),
];
