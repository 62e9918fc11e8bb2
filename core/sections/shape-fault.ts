import { placeWords } from '../model/place-words';
import type { Shape } from '../shapes/shape';
import { troublesOf } from './built/troubles';
import { dimensionsFault, kindOf } from '../shapes/dimensions';

/** The first thing about a shape that cannot be built, in words; undefined when it is sound. */
export function shapeFault(shape: Shape): string | undefined {
  if (kindOf(shape)) return dimensionsFault(shape);
  const [first] = troublesOf(shape.parts ?? []);
  return first && `${first.what} (${placeWords(first.path)})`;
}
