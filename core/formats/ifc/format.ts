import type { Format } from '../format';
import { readyStep } from '../step/engine';
import { shares, type Share } from './shares';

/** What reads and writes it comes with the package that knows the syntax: pages that only offer it stay small. */
let ways: typeof import('./both-ways') | undefined;
function both(): NonNullable<typeof ways> {
  if (!ways) throw new Error('Files of IFC are read and written once `ready` has been waited for');
  return ways;
}

/** IFC 4.3 (ISO 16739-1:2024), its domain of structural analysis, as a STEP file (ISO 10303-21). */
export const ifcFormat: Format = {
  id: 'ifc',
  words: 'IFC 4.3, structural analysis',
  extension: '.ifc',
  mediaType: 'application/x-step',
  ready: async (found) => {
    [ways] = await Promise.all([import('./both-ways'), readyStep(found)]);
  },
  reader: { read: (file) => both().readIfc(file) },
  writer: {
    write: ({ model, results, options: { results: share, stations } }) =>
      both().writeIfc(model, results, { share: share as Share, stations: Number(stations) }),
    needs: 'analysis',
    options: [
      { key: 'results', words: 'Results', value: { is: 'choice', of: shares, first: 'reactions' } },
      {
        key: 'stations',
        words: 'Points along each member, where all results are in it',
        value: { is: 'count', least: 2, most: 101, first: 11 },
      },
    ],
    leftOut: (model) => both().leftOutOf(model),
  },
};
