import type { Model } from '../model/model';
import { fibresOf } from '../sections/fibres';
import { shearPoints } from '../sections/shear-points';
import type { Quantity } from './quantities';
import { lacksShear, withShear } from './readings';
import type { Results } from './results';

/**
 * The results of a model with the shear on the outlines of its sections: each takes a mesh, a tenth of a second or so. Where only some quantities are read, only if one
 * of them follows from it.
 */
export function resultsWithShear(results: Results, model: Model, read?: readonly Quantity[]): Results {
  const { solution } = results;
  if (!solution || (read && !read.some((quantity) => lacksShear(solution, quantity)))) return results;
  return { ...results, solution: withShear(solution, fibresOf(model, shearPoints)) };
}
