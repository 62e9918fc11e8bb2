import { keyedLists } from '../edits/keyed-lists';
import { isObject, type Entity } from '../findings';
import { isKeyedList, placeText } from './place';

/** The place of a path as faults have it (`nodes[3].x`, `combinations[0].factors.G`): keys are looked up in the model, for they may have stops and brackets of their own. */
export function placeOfPath(path: string, model: Entity): string | undefined {
  const steps: string[] = [];
  let [at, left]: [unknown, string] = [model, `.${path}`];
  while (left !== '') {
    if (Array.isArray(at)) {
      const count = /^\[(\d+)\]/.exec(left);
      if (!count) return undefined;
      const i = Number(count[1]);
      const list = steps.length === 1 && isKeyedList(steps[0]!) ? steps[0] : undefined;
      at = (at as unknown[])[i];
      if (at === undefined) return undefined;
      steps.push(list ? String((at as Entity)[keyedLists[list]]) : String(i));
      left = left.slice(count[0].length);
    } else if (isObject(at) && left.startsWith('.')) {
      const rest = left.slice(1);
      const fits = Object.keys(at).filter((key) => rest.startsWith(key) && ['', '.', '['].includes(rest.charAt(key.length)));
      const key = fits.sort((a, b) => b.length - a.length)[0];
      if (key === undefined) return undefined;
      at = at[key];
      steps.push(key);
      left = rest.slice(key.length);
    } else return undefined;
  }
  return placeText(...steps);
}
