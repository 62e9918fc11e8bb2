import { placeWords } from '../model/place-words';
import type { Shape } from '../model/model';
import { troublesOf } from './built/troubles';
import { dimensionsFault } from './shape-table';

/** The first thing about a shape that cannot be built, in words; undefined when it is sound. */
export function shapeFault(shape: Shape): string | undefined {
  if (shape.type !== 'built') return dimensionsFault(shape);
  const [first] = troublesOf(shape.parts ?? []);
  return first && `${first.what} (${placeWords(first.path)})`;
}
