import type { Model } from '../model/model';
import type { Notice } from '../model/notice';

/** What is found in the members of a model and in some more of its parts (`keys`), once for as long as edits leave them as they are. */
export function onceFor(keys: readonly (keyof Model)[], find: (model: Model) => Notice[]): (model: Model) => readonly Notice[] {
  const known = new WeakMap<Model['members'], { readonly model: Model; readonly notices: readonly Notice[] }>();
  return (model) => {
    const before = known.get(model.members);
    if (before && keys.every((key) => before.model[key] === model[key])) return before.notices;
    const notices = find(model);
    known.set(model.members, { model, notices });
    return notices;
  };
}
