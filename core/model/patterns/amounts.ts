import { ACTION_WAYS, FACTORS, PARTS, PATTERN_PARTS, RESULT_NUMBERS, TRAVEL_PLACES } from '../../limits';
import type { Entity } from '../findings';
import { partCasesOf, travellingIn } from '../loads/expand';
import type { Model } from '../model';
import { fault, type Notice } from '../notice';
import { factorsOfWays, numbersOfCase, partsOfEnvelopes, TOO_MUCH } from '../rules/amounts';
import { countWays } from '../rules/ways';
import { loadedSets, USUAL_WAYS } from './parts';

/** What patterns and trains of a sound model ask for and cannot be had: more spans, ways, members or results than fit, counted before anything is solved. */
export function patternFaults(model: Model): Notice[] {
  const patterns = new Map((model.actions ?? []).flatMap((one) => (one.type === 'pattern' ? [[one.id, one]] : [])));
  const travelling = travellingIn(model);
  if (patterns.size === 0 && travelling.cases.length === 0) return [];
  const parts = partCasesOf(model);
  const partsOf = (id: string) => parts.filter(({ action }) => action === id);
  const remedy = 'Divide it by bays or storeys, load it in fewer ways, or divide the case';
  const said = (code: string, id: string, value: number, what: string, most: number): Notice =>
    fault({ code, path: 'actions', value, what, expected: `at most ${most}`, remedy, subjects: [`action ${id}`] });
  const many = [...patterns].flatMap(([id, { by = 'spans' }]) => {
    const count = partsOf(id).filter(({ number }) => number !== undefined).length;
    return count > PATTERN_PARTS
      ? [
          said(
            'too-many-parts',
            id,
            count,
            `The pattern “${id}” has ${count} ${by}, and ${PATTERN_PARTS} is the most`,
            PATTERN_PARTS,
          ),
        ]
      : [];
  });
  if (many.length > 0) return many;
  // Four on each member, one on each node of a deck.
  const places = travelling.cases.filter(({ isBeside }) => !isBeside).length;
  if (places > TRAVEL_PLACES)
    return [
      fault({
        code: 'too-long-a-way',
        path: 'actions',
        value: places,
        what: `Trains stand at ${places} places in turn, four on each member and one on each node of a deck, and ${TRAVEL_PLACES} is the most`,
        expected: `at most ${TRAVEL_PLACES}`,
        remedy: 'Let them travel over the members or nodes that matter, or place them where they are worst',
        subjects: travelling.trains.map(({ action }) => `action ${action}`),
      }),
    ];
  const entity = model as unknown as Entity;
  const ways = countWays(entity, (id) => loadedSets(partsOf(id), patterns.get(id)!.ways ?? USUAL_WAYS).length);
  const over = [...model.combinations, ...(model.actions ?? [])].flatMap(({ id }) => {
    const count = ways.get(id) ?? 1;
    return count > ACTION_WAYS
      ? [said('too-many-ways', id, count, `“${id}” could act in ${count.toLocaleString('en-GB')} ways with its patterns, and ${ACTION_WAYS} is the most`, ACTION_WAYS)]
      : [];
  }); // oxfmt-ignore
  const solved = model.cases.length + parts.length + travelling.cases.length;
  const id = [...patterns.keys()][0] ?? travelling.cases[0]!.action;
  const tooMuch = (count: number, most: number, what: string): Notice[] =>
    count > most ? [said('too-much', id, count, `${what}: at most ${most.toLocaleString('en')} fit`, most)] : [];
  return [
    ...over,
    ...tooMuch(factorsOfWays(entity, ways, solved), FACTORS, TOO_MUCH.factors),
    ...tooMuch(partsOfEnvelopes(model.combinations as unknown as Entity[], ways), PARTS, TOO_MUCH.parts),
    ...tooMuch(
      solved * numbersOfCase(entity),
      RESULT_NUMBERS,
      'The results of all spans of the patterns, and of all places of the trains, would hold too many numbers',
    ),
  ];
}
