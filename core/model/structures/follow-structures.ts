import isSame from 'fast-deep-equal';
import { current, type Draft } from 'immer';
import type { Model } from '../model';
import type { Notice } from '../notice';
import { unfit } from '../edits/unfit';
import { unbuildable } from './placed';
import { reshape } from './reshape';
import { structureWords as WORDS } from './words';

/** What came of it: why not, and whether any structure has changed. */
export interface StructuresFollowed {
  readonly refusal?: Notice | undefined;
  readonly any: boolean;
}

/** After an edit: structures that have other measures than before take them. `now`: the model as the edit leaves it. */
export function followStructures(
  draft: Draft<Model>,
  before: Model,
  now: Model,
  tell: (words: string) => void,
): StructuresFollowed {
  const were = new Map((before.structures ?? []).map((one) => [one.id, one]));
  let any = false;
  for (const after of now.structures ?? []) {
    const was = were.get(after.id);
    if (!was || isSame(was.values, after.values)) continue;
    const fault = unbuildable(after.type, after.values);
    const refusal = fault
      ? unfit('structures', WORDS.unbuildable(after.id, fault.what), 'Give others')
      : reshape({ draft, now: any ? (current(draft) as Model) : now, before: { ...after, values: was.values }, after, tell });
    if (refusal) return { refusal, any };
    any = true;
  }
  return { any };
}
