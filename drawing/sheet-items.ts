import { isRange } from '@rigid-beam/core/combinations/outcome';
import type { Model } from '@rigid-beam/core/model/model';
import { displayOf, drawnUnit } from '@rigid-beam/core/quantities/display';
import { unitFactor } from '@rigid-beam/core/quantities/parse';
import { quantityTable, type Quantity, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { actingFactors } from './acting-factors';
import { FRONT, inDepth, isCrowded } from './behind';
import { barLabels, barsOf, type Bar } from './axial-items';
import { deflectedPath, diagramItems, type Deflected } from './diagram-items';
import { deflectionScale, diagramScale, governingValues, largestOf } from './diagram-scale';
import { dimensionItems } from './dimension-items';
import type { Item } from './display-list';
import { drawnMembers, extentOf, nearness, type DrawnMember } from './geometry';
import { gridLineItems } from './grid-line-items';
import { mitresOf } from './mitres';
import { loadItems } from './load-items';
import { placeItems } from './place-items';
import { reactionItems } from './reaction-items';
import { resultantItems } from './resultant-items';
import { sectionItems } from './section-items';
import { membersInFront, structureItems } from './structure-items';
import { supportItems } from './support-items';
import { valueLabels } from './value-labels';
import { isDeflection, type View } from './view';

/** The whole drawing of a model: (model, solution, view) → display list, from back to front. A new kind of item is added here. */
export function sheetItems(model: Model, solution: Solution | undefined, view: View): Item[] {
  const shown = solution?.outcomes[view.outcome] ? solution : undefined;
  const { bars, items: diagram } = shown ? diagramParts(model, shown, view) : NO_DIAGRAM;
  return [
    ...gridLineItems(model, view),
    ...(view.dimensions === 'none' ? [] : dimensionItems(model, view)),
    ...(view.dimensions === 'plain' ? placeItems(model, view) : []),
    ...(view.sections ? sectionItems(model, view) : []),
    ...(view.otherLoads
      ? loadItems(model, otherCases(model, actingFactors(model, shown, view.outcome)), { ...view, loads: 'faint' })
      : []),
    ...(view.loads === 'none' ? [] : loadItems(model, actingFactors(model, shown, view.outcome), view)),
    ...(shown && view.resultant ? resultantItems(model, shown, view) : []),
    ...diagram,
    ...(shown && view.deflected && !isDeflection(view.quantity) ? deflected(model, shown, view) : []),
    ...structureItems(model, view, bars),
    ...(view.supports === 'none' ? [] : supportItems(model, view)),
    ...(shown && view.reactions ? reactionItems(model, shown, view.outcome, view) : []),
  ];
}

const otherCases = ({ cases }: Model, acting: ReadonlyMap<string, number>): ReadonlyMap<string, number> =>
  new Map(cases.flatMap(({ id }) => (acting.get(id) ? [] : [[id, 1]])));

interface DiagramParts {
  readonly bars: ReadonlyMap<number, Bar> | undefined;
  readonly items: readonly Item[];
}
const NO_DIAGRAM: DiagramParts = { bars: undefined, items: [] };

/** Metres of drawing per unit of the quantity, and what one metre stands for; the title block shows it. */
export function scaleOfDiagram(
  model: Model,
  solution: Solution,
  view: View,
): { readonly metresPerUnit: number; readonly perMetre: number } {
  const { quantity, outcome } = view;
  if (quantity === 'none') return { metresPerUnit: 0, perMetre: 0 };
  const largest = largestTogether(solution, view, quantity);
  if (isDeflection(quantity)) {
    const isLineDrawn = !isRange(solution.outcomes[outcome]!);
    // Bounds that stand beside a deflected line have its scale.
    const factor =
      isLineDrawn || view.together.length > 0
        ? (view.heldDeflection ?? deflectionsTogether(model, solution, view))
        : deflectionScale(largest, extentOf(model), view.diagramFactor);
    return { metresPerUnit: factor, perMetre: factor > 0 ? 1 / factor : 0 };
  }
  const display = displayOf(model);
  const unit = unitFactor(unitOfQuantity(quantity, display));
  return diagramScale(largest, extentOf(model), unit, view.diagramFactor, unitFactor(drawnUnit(display)));
}

/** The largest value of a quantity, or of one of its dimension that is drawn beside it: both are drawn to one scale. */
function largestTogether(solution: Solution, { outcome, together }: View, quantity: Quantity): number {
  const { dimension } = quantityTable[quantity];
  const beside = together.flatMap(({ outcome: other, quantity: drawn }) =>
    drawn !== 'none' && quantityTable[drawn].dimension === dimension ? [governingValues(solution, other, drawn)] : [],
  );
  return Math.max(largestOf(governingValues(solution, outcome, quantity)), ...beside.map(largestOf));
}

/** The scale in which the largest movement of what is drawn, here or beside it, takes its share of the drawing. */
function deflectionsTogether(model: Model, solution: Solution, view: View): number {
  const ways = model.space === 'space' ? (['u', 'v', 'w'] as const) : (['u', 'v'] as const);
  const outcomes = [view.outcome, ...view.together.map(({ outcome }) => outcome)];
  const sizes = outcomes.flatMap((outcome) => ways.map((way) => largestOf(governingValues(solution, outcome, way))));
  return deflectionScale(Math.max(...sizes), extentOf(model), view.diagramFactor);
}

/** How many times larger than life deflections are drawn. */
export function scaleOfDeflection(model: Model, solution: Solution, view: View): number {
  const acts = solution.outcomes[view.outcome];
  if (!acts || isRange(acts)) return 0;
  if (view.heldDeflection !== undefined) return view.heldDeflection;
  return deflectionsTogether(model, solution, view);
}

/** What shows the chosen quantity: of a structure that carries by tension and compression the members themselves, as bars; else diagrams. */
function diagramParts(model: Model, solution: Solution, view: View): DiagramParts {
  const { quantity, outcome } = view;
  if (quantity === 'none') return NO_DIAGRAM;
  const governing = governingValues(solution, outcome, quantity);
  if (!governing) return NO_DIAGRAM;
  const members = membersInFront(model, view);
  if (quantity === 'N' && view.axial === 'bars') {
    const bars = barsOf(solution, outcome, members, largestTogether(solution, view, 'N'));
    return { bars, items: view.values === 'none' ? [] : barLabels(model, bars, members, governing, view) };
  }
  const { metresPerUnit } = scaleOfDiagram(model, solution, view);
  if (metresPerUnit === 0 || !isReady(solution, outcome, quantity)) return NO_DIAGRAM;
  const drawn = { solution, outcome, quantity, metresPerUnit };
  const leans = mitresOf(model, drawn, members);
  const near = isCrowded(model, view) ? nearness(model, view) : undefined;
  const isLineDrawn = isDeflection(quantity) && !isRange(solution.outcomes[outcome]!);
  const outlines: View = { ...view, detail: 'outline' };
  const itemsOn = (member: DrawnMember, seen: 'whole' | 'outline'): Item[] =>
    isLineDrawn
      ? [deflectedPath({ solution, outcome, factor: metresPerUnit }, member, view, 'asked for')]
      : diagramItems(drawn, member, seen === 'whole' ? view : outlines, leans.get(member.index));
  const items = near
    ? inDepth(members.map((member) => ({ near: near(member.depth), items: (seen) => itemsOn(member, seen) })))
    : members.flatMap((member) => itemsOn(member, 'whole'));
  if (view.values === 'none') return { bars: undefined, items };
  // Of a crowd what stands behind loses its words; what governs is said wherever it stands.
  const governs = ({ index }: DrawnMember): boolean => index === governing.max.member || index === governing.min.member;
  const speaking = near
    ? members.filter((member) => near(member.depth) >= FRONT || governs(member) || member.id === view.pointed)
    : members;
  return { bars: undefined, items: [...items, ...valueLabels(model, drawn, speaking, governing, view)] };
}

/** Whose deflections are drawn besides, and how large; undefined where there are none, and of envelopes. */
export function deflectionOf(model: Model, solution: Solution | undefined, view: View): Deflected | undefined {
  const acts = solution?.outcomes[view.outcome];
  if (!solution || !acts || isRange(acts)) return undefined;
  const factor = scaleOfDeflection(model, solution, view);
  return factor === 0 ? undefined : { solution, outcome: view.outcome, factor };
}

function deflected(model: Model, solution: Solution, view: View): Item[] {
  const shown = deflectionOf(model, solution, view);
  // Bodies that are bent show it themselves.
  if (!shown || view.solids) return [];
  const members = drawnMembers(model, view);
  if (!isCrowded(model, view)) return members.map((member) => deflectedPath(shown, member, view, 'besides'));
  const near = nearness(model, view);
  const line = (member: DrawnMember): Item => deflectedPath(shown, member, view, 'besides');
  return inDepth(members.map((member) => ({ near: near(member.depth), items: () => [line(member)] })));
}
