import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import type { MassSum, Results } from '../results/results';
import { earthquakeOf } from './earthquake';
import type { Run } from './run';
import { earthquake as WORDS } from './words';
import { Buckling } from './runs/buckling';
import { FirstOrder } from './runs/first-order';
import { NaturalModes } from './runs/natural-modes';
import { SecondOrder } from './runs/second-order';

/** Every kind of run, by its name. The first order comes first, and is made of every model. */
const kinds = {
  'first-order': () => new FirstOrder(),
  'second-order': () => new SecondOrder(),
  'natural-modes': () => new NaturalModes(),
  buckling: () => new Buckling(),
} satisfies Readonly<Record<string, () => Run>>;

export type RunName = keyof typeof kinds;
export const runNames = Object.keys(kinds) as readonly RunName[];

export const beginRun = (name: RunName): Run => kinds[name]();

/** The runs that a model asks for, the first order among them. */
export const runsOf = ({ analysis }: Model): readonly RunName[] => [
  'first-order',
  ...(analysis?.secondOrder ? (['second-order'] as const) : []),
  ...(analysis?.buckling ? (['buckling'] as const) : []),
  ...(analysis?.naturalModes ? (['natural-modes'] as const) : []),
];

/** The run whose results are the model's own; those of the others stand beside them. */
export const actingRun = ({ analysis }: Model): RunName => (analysis?.secondOrder ? 'second-order' : 'first-order');

/** The results of a run by its name, of the acting one where none is given; with the name that a file gives them, which the first order needs not. */
export function resultsOfRun(
  model: Model,
  results: Results,
  name = actingRun(model),
): { readonly results: Results; readonly run?: RunName } {
  const own = name === actingRun(model) ? results : (results.others?.get(name) ?? results);
  return { results: own, ...(name !== 'first-order' && { run: name }) };
}

/** Runs that find shapes: where a model asks for them, these stand behind the outcomes of the acting run. */
const SHAPES: readonly RunName[] = ['buckling', 'natural-modes'];

/** The results of the acting run with the shapes that others found beside it. */
export function withShapes(model: Model, results: Results, others: ReadonlyMap<string, Results>): Results {
  const asked = runsOf(model).filter((name) => SHAPES.includes(name) && name !== actingRun(model));
  const whole = asked.reduce((before, name) => {
    const found = others.get(name);
    if (!before.solution || !found?.solution) return before;
    const { outcomes, responses, letGo } = before.solution;
    const behind = found.solution.outcomes.map((one) => (one.kind === 'shape' ? { ...one, at: responses.length + one.at } : one));
    const solution = {
      ...before.solution,
      outcomes: [...outcomes, ...behind],
      responses: [...responses, ...found.solution.responses],
      ...(letGo && { letGo: [...letGo, ...(found.solution.letGo ?? [])] }),
      ...(found.solution.masses && { masses: behindOthers(found.solution.masses, responses.length) }),
    };
    return { ...before, notices: [...before.notices, ...found.notices], solution };
  }, results);
  return withEarthquake(model, whole);
}

/** What modes leave out stands behind the responses of the acting run. */
const behindOthers = ({ leftOut, ...masses }: MassSum, begin: number): MassSum => ({
  ...masses,
  ...(leftOut && { leftOut: leftOut.map((one) => ({ ...one, at: begin + one.at })) }),
});

/** The results with what an earthquake brings about by the modes among them, in the envelopes that are to enclose it too. */
function withEarthquake(model: Model, results: Results): Results {
  const { solution } = results;
  const ground = model.analysis?.naturalModes?.spectrum;
  if (!solution || !ground) return results;
  const { outcomes, whole, notices } = earthquakeOf(model, solution);
  const shaken = shakenEnvelopes(model.combinations);
  const said = whole.length === 0 ? lackWords(shaken) : [];
  const all = solution.outcomes.map((one) =>
    one.kind === 'envelope' && shaken.includes(one.id) ? { ...one, parts: [...one.parts, ...whole] } : one,
  );
  return {
    ...results,
    notices: [...results.notices, ...notices, ...said],
    solution: { ...solution, outcomes: [...all, ...outcomes], ground },
  };
}

/** Envelopes that enclose the earthquake, themselves or by one that they enclose. */
function shakenEnvelopes(combinations: Model['combinations']): readonly string[] {
  const found = new Set(combinations.flatMap((one) => (one.type === 'envelope' && one.earthquake ? [one.id] : [])));
  for (let before = -1; before < found.size;) {
    before = found.size;
    for (const one of combinations) if (one.type === 'envelope' && one.of.some((part) => found.has(part))) found.add(one.id);
  }
  return [...found];
}

const lackWords = (envelopes: readonly string[]): readonly Notice[] =>
  envelopes.length === 0 ? [] : [{ code: 'natural-modes', severity: 'warning', message: WORDS.lacking(envelopes.join(', ')), subjects: envelopes.map((id) => `combination ${id}`) }]; // oxfmt-ignore
