import { placeWords } from '../place-words';
import type { Model } from '../model';
import { isKeyedList, placeOf } from './place';
import { keyedLists } from '../edits/keyed-lists';

/** Where an expression gives a number, as one says it: “node 2, x”; of a parameter its name. */
export function placeSaid(model: Pick<Model, 'display'> | object, of: string): string {
  const [list, key, ...rest] = placeOf(of);
  if (list === 'parameters' && rest[0] === 'value') return key!;
  if (list === undefined || !isKeyedList(list) || key === undefined) return placeOf(of).join(', ');
  const steps = rest.map((step) => (/^\d+$/.test(step) ? `[${step}]` : `.${step}`)).join('');
  return placeWords(`${list}[0]${steps}`, { ...model, [list]: [{ [keyedLists[list]]: key }] });
}
