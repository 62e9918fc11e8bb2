import { expandLoads } from '../../model/loads/expand';
import { isCompound } from '../../model/loads/compound';
import { STANDARD_GRAVITY, type Model } from '../../model/model';
import { kindOf } from '../../shapes/dimensions';
import { ifc as FILE } from './words';
import { reachOf } from './write-loads';
import { profileOf } from './write-sections';
import { isPlainSum } from './sums';

const WORDS = FILE.left;

/** What of a model its file of IFC cannot say, in sentences. */
export function leftOutOf(model: Model): readonly string[] {
  const said: string[] = [];
  const own = new Set(model.cases.map(({ id }) => id));
  const loads = expandLoads(model).loads.filter((load) => own.has(load.case));
  const envelopes = model.combinations.filter(({ type }) => type === 'envelope').length;
  const sums = model.combinations.filter((one) => one.type === 'sum' && !isPlainSum(model, one.id));
  const strains = loads.filter(({ type }) => type === 'strain').length;
  const sectionOf = new Map(model.members.map(({ id, section }) => [id, model.sections.find((one) => one.id === section)!]));
  const gradients = loads.filter(
    (load) =>
      load.type === 'thermal' &&
      (load.gradientY !== undefined || load.gradientZ !== undefined) &&
      !reachOf(sectionOf.get(load.member)!),
  ).length;
  const compounds = model.loads.filter(isCompound).length;
  const names = (list: readonly { readonly id: string }[]): string => list.map(({ id }) => `“${id}”`).join(', ');
  const products = model.sections.filter((one) => one.Iyz !== undefined);
  const relative = model.sections.filter((one) => one.relative);
  const cornered = model.sections.filter(
    ({ shape }) => shape && shape.type !== 'general' && !(kindOf(shape) && profileOf(shape)),
  );
  if (envelopes > 0) said.push(WORDS.envelopes(envelopes));
  if (sums.length > 0) said.push(WORDS.sums(names(sums)));
  if (model.actions?.length) said.push(WORDS.actions(model.actions.length));
  if (strains > 0) said.push(WORDS.strains(strains));
  if (gradients > 0) said.push(WORDS.gradients(gradients));
  if (compounds > 0) said.push(WORDS.compounds(compounds));
  if (products.length > 0) said.push(WORDS.products(names(products)));
  if (relative.length > 0) said.push(WORDS.relative(names(relative)));
  if (cornered.length > 0) said.push(WORDS.corners(names(cornered)));
  if (model.gravity !== undefined && model.gravity !== STANDARD_GRAVITY) said.push(WORDS.gravity(model.gravity));
  if (model.analysis?.shearDeformation) said.push(WORDS.shear);
  if (model.analysis?.axialDeformation === false) said.push(WORDS.axial);
  const rest = [
    model.trains?.length && WORDS.trains,
    model.parameters?.length && WORDS.parameters,
    model.structures?.length && WORDS.structures,
    model.combinations.some(({ made }) => made) && WORDS.reasons,
    model.expected?.length && WORDS.expected,
    model.ruleSets?.length && WORDS.rules,
    model.report && WORDS.report,
    model.supports.some(({ oneWay }) => oneWay) && WORDS.oneWay,
    model.members.some(({ gaps }) => gaps) && WORDS.gaps,
    model.analysis?.secondOrder && WORDS.secondOrder,
    model.analysis?.buckling && WORDS.buckling,
    model.analysis?.naturalModes && WORDS.naturalModes,
    model.grid && WORDS.grid,
    model.underlay && WORDS.underlay,
  ].filter((one) => typeof one === 'string');
  if (rest.length > 0) said.push(WORDS.rest(rest.join(', ')));
  return said;
}
