import { reasonsTable } from '@rigid-beam/core/tables/combinations/reasons';
import type { Writing } from '../asked';
import { table, words, type Block } from '../blocks';
import { reportWords as WORDS } from '../words';

/** What is added, and why. */
export const combinations = ({ model }: Writing): Block[] =>
  model.combinations.length === 0 ? [words(WORDS.noCombinations)] : table({ ...reasonsTable(model), title: '' });
