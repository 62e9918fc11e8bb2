import { current, type Draft } from 'immer';
import type { Model } from '../model';
import type { Notice } from '../notice';
import { unfit } from '../edits/unfit';
import { valueFault } from '../typical/typical';
import type { PlacedStructure } from './measures';
import { typicalOf } from './placed';
import { reshape } from './reshape';

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
    if (!was || was.values === after.values || JSON.stringify(was.values) === JSON.stringify(after.values)) continue;
    const refusal =
      unbuildable(after) ??
      reshape({ draft, now: any ? (current(draft) as Model) : now, before: { ...after, values: was.values }, after, tell });
    if (refusal) return { refusal, any };
    any = true;
  }
  return { any };
}

/** Measures that nothing can be built of. */
function unbuildable({ id, type, values }: PlacedStructure): Notice | undefined {
  const typical = typicalOf(type);
  const fault = typical?.fields.map((field) => valueFault(field, values[field.key])).find((one) => one !== undefined);
  if (typical && fault === undefined) return undefined;
  return unfit('structures', `“${id}” cannot have these measures: ${fault ?? type}`, 'Give others');
}
