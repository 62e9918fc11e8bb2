import type { Model } from '../model/model';
import { fibresOf } from '../sections/fibres';
import { shearPoints } from '../sections/shear-points';
import { withShear } from './readings';
import type { Results } from './results';

/** The results of a model with the shear on the outlines of its sections: each takes a mesh, a tenth of a second or so. */
export const resultsWithShear = (results: Results, model: Model): Results =>
  results.solution ? { ...results, solution: withShear(results.solution, fibresOf(model, shearPoints)) } : results;
