import type { Model } from '@rigid-beam/core/model/model';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { symbolOf, type Quantity } from '@rigid-beam/core/results/quantities';
import { plainMeasures, readMeasure } from '@rigid-beam/core/study/measure';

/** Results that are offered, as they are written, with their words: largest forces, what is plain, and reactions of the first supports. */
export function offeredResults(model: Model): readonly { readonly id: string; readonly text: string }[] {
  const display = displayOf(model);
  const forces: readonly Quantity[] =
    model.space === 'plane' ? ['Mz', 'N', 'Vy', 'sigma'] : ['Mz', 'My', 'N', 'Vy', 'Vz', 'sigma'];
  const written = [
    ...forces.map((one) => `${symbolOf(model.space, one, display)}.largest`),
    ...plainMeasures,
    ...model.supports
      .slice(0, MOST_SUPPORTS)
      .flatMap(({ node, ...held }) =>
        (['ux', 'uy', 'uz'] as const).flatMap((key) => (held[key] === 'fixed' ? [`${node}.f${key[1]}`] : [])),
      ),
  ];
  return written.flatMap((text) => {
    const read = readMeasure(text, model);
    return 'reason' in read ? [] : [{ id: text, text: read.words }];
  });
}

const MOST_SUPPORTS = 6;
