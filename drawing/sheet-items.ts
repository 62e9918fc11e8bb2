import { latest, once } from '@rigid-beam/core/once';
import { finished, inSteps, type Steps } from '@rigid-beam/core/steps';
import type { Model } from '@rigid-beam/core/model/model';
import { isReadAhead } from '@rigid-beam/core/results/readings';
import type { LetGo, Solution } from '@rigid-beam/core/results/results';
import { actingFactors } from './acting-factors';
import { freedomItems } from './freedom-items';
import { AT_ONCE, FRONT, inDepthInSteps, isCrowded, type Hairlines } from './behind';
import { barLabels, barsOf, type Bar } from './axial-items';
import { colouredInSteps, colouredOf } from './coloured-items';
import { besidesBody, cutItems } from './cut-items';
import type { DrawnCut } from './drawn-cut';
import { diagramOn, outlineOn } from './curve-items';
import { deflectedOutline, deflectedPath, isLineDrawn } from './diagram-items';
import { diagramLabels } from './diagram-labels';
import { governingInSteps, largestOf } from './diagram-scale';
import { dimensionItems } from './dimension-items';
import type { Item, Label } from './display-list';
import { deflectionOf, drawnQuantityOf, largestTogether } from './drawn-scale';
import { drawnMembers, nearness, NOTHING_HIDDEN, type DrawnMember } from './geometry';
import { governingItems } from './governing-items';
import { gridLineItems } from './grid-line-items';
import { mitresOf } from './mitres';
import { LOOKED_AT, sameGround, type Ground } from './ground';
import { influenceItems } from './influence-items';
import { kinkLabels } from './kink-labels';
import { loadItems } from './load-items';
import { placeItems } from './place-items';
import { reactionItems } from './reaction-items';
import { resultantItems } from './resultant-items';
import { sectionItems } from './section-items';
import { membersInFront, structureItems } from './structure-items';
import { supportItems } from './support-items';
import { SKETCHED } from './level-of-detail';
import { isBars, isDeflection, type View } from './view';

/** The whole drawing of a model: (model, solution, view) → display list, from back to front. */
export const sheetItems = (model: Model, solution: Solution | undefined, view: View): Item[] =>
  itemsOf(sheetParts(model, solution, view));

/** All items of a drawing in parts; one by one, since there are thousands of them. */
export function itemsOf(parts: readonly SheetPart[]): Item[] {
  const items: Item[] = [];
  for (const part of parts) for (const item of part.items) items.push(item);
  return items;
}

/** A part of a drawing; where it is kept, the very same list comes again as long as it shows the same. */
export interface SheetPart {
  readonly items: readonly Item[];
  readonly isKept: boolean;
}

const part = (items: readonly Item[]): SheetPart => ({ items, isKept: false });

/** The drawing in parts, from back to front. */
export const sheetParts = (model: Model, solution: Solution | undefined, view: View): readonly SheetPart[] =>
  finished(sheetSteps(model, solution, view));

/** The same in steps, of which none takes much longer than the others. A new kind of item is added here. */
export function* sheetSteps(model: Model, solution: Solution | undefined, view: View): Steps<readonly SheetPart[]> {
  if (view.influence) {
    const bare: View = {
      ...view,
      influence: undefined,
      quantity: 'none',
      loads: 'none',
      otherLoads: false,
      resultant: false,
      deflected: false,
      reactions: false,
    };
    return [part([...sheetItems(model, undefined, bare), ...influenceItems(model, view.influence, view)])];
  }
  if (view.cut) return [part(bodyDrawn(model, solution, view, view.cut))];
  if (view.faded.size > 0) return [part(forward(model, solution, view))];
  const shown = solution?.outcomes[view.outcome] ? solution : undefined;
  const bent = shown && view.deflected && !isDeflection(view.quantity) ? deflectionOf(model, shown, view) : undefined;
  yield;
  const line = bent ? deflected(bent.solution, model, view, bent.outcome, bent.factor) : NOTHING;
  yield;
  const diagram = shown ? yield* diagramSteps(shown, model, view) : NO_DIAGRAM;
  yield;
  const also = shown ? besides(model, shown, view) : [];
  const loads = view.loads === 'none' ? NOTHING : loadItems(model, actingFactors(model, shown, view.outcome), view);
  yield;
  const under = [
    ...gridLineItems(model, view),
    ...(view.dimensions === 'none' ? [] : dimensionItems(model, view)),
    ...(view.dimensions === 'plain' ? placeItems(model, view) : []),
    ...(view.sections ? sectionItems(model, view) : []),
    ...(view.otherLoads
      ? loadItems(model, otherCases(model, actingFactors(model, shown, view.outcome)), { ...view, loads: 'faint' })
      : []),
    ...loads,
    ...(shown && view.resultant ? resultantItems(model, shown, view) : []),
    ...also,
  ];
  yield;
  const structure = structureItems(model, view, { ...diagram, letGo: shown?.letGo?.[view.outcome] });
  const supports = view.supports === 'none' ? NOTHING : supportItems(model, view, liftedNodes(shown, view.outcome));
  const over = [
    ...(view.freedoms ? freedomItems(model, view.freedoms, view) : []),
    ...(shown && view.reactions ? reactionItems(model, shown, view.outcome, view) : []),
  ];
  return [
    part(under),
    part(diagram.items),
    { items: line, isKept: true },
    { items: together(structure, supports), isKept: true },
    part(over),
  ];
}

const NOTHING: readonly Item[] = [];

/** What stands over results and stays: the structure and its supports. */
const together = once((structure: readonly Item[], supports: readonly Item[]): readonly Item[] => [...structure, ...supports]);

/** Nodes whose supports are lifted off in what acts. */
const liftedNodes = (shown: Solution | undefined, outcome: number): ReadonlySet<string> => {
  const letGo = shown?.letGo?.[outcome];
  return letGo && letGo.lifted.length > 0 ? liftedIn(letGo, shown.structure.names.nodes) : NOBODY;
};
const NOBODY: ReadonlySet<string> = new Set();
const liftedIn = once(
  ({ lifted }: LetGo, nodes: readonly string[]): ReadonlySet<string> => new Set(lifted.map(({ node }) => nodes[node]!)),
);

/** The body strongly with what acts on it, the rest as a hint behind it. */
function bodyDrawn(model: Model, solution: Solution | undefined, view: View, cut: DrawnCut): Item[] {
  const plain: View = { ...view, ...BARE, cut: undefined, dimensions: view.dimensions };
  const body: View = {
    ...plain,
    loads: 'said',
    reactions: true,
    members: 'plain',
    hidden: besidesBody(cut.body, cut.structure, view.hidden),
  };
  return [
    ...sheetItems(model, undefined, { ...view, ...HINT }),
    ...sheetItems(model, solution, body),
    ...cutItems(model, cut, view),
  ];
}

/** What is brought forward with all that is shown of it, the rest as a hint behind it. */
function forward(model: Model, solution: Solution | undefined, view: View): Item[] {
  const front: View = { ...view, faded: NOTHING_HIDDEN, hidden: either(view.hidden, view.faded) };
  return [...sheetItems(model, undefined, { ...view, ...HINT }), ...sheetItems(model, solution, front)];
}

/** The same set each time, so that what was found for what is hidden holds. */
const either = once((one: View['hidden'], other: View['hidden']): View['hidden'] => new Set([...one, ...other]));

/** Nothing of results, and no loads beside those that act. */
const BARE: Partial<View> = { quantity: 'none', resultant: false, deflected: false, otherLoads: false, faded: NOTHING_HIDDEN };
/** Members and nodes as a hint, and nothing else. */
const HINT: Partial<View> = {
  ...BARE,
  cut: undefined,
  loads: 'none',
  reactions: false,
  dimensions: 'none',
  supports: 'none',
  members: 'faint',
  names: false,
  sections: false,
  localAxes: false,
};

/** Other quantities over the same members, each to its own scale, without telling who governs. */
function besides(model: Model, solution: Solution, view: View): Item[] {
  if (view.quantity === 'none' || view.detail === 'outline') return [];
  return view.also.flatMap((quantity) =>
    quantity === view.quantity
      ? []
      : finished(diagramSteps(solution, model, { ...view, ...asOrdinates(view), quantity, governing: false, together: [] }))
          .items,
  );
}

/** Beside members that show a quantity themselves, what else is drawn stands off them. */
const asOrdinates = ({ style }: View): Pick<View, 'axial' | 'style'> => ({
  axial: 'diagrams',
  style: style === 'colour' ? 'hatched' : style,
});

const otherCases = ({ cases }: Model, acting: ReadonlyMap<string, number>): ReadonlyMap<string, number> =>
  new Map(cases.flatMap(({ id }) => (acting.get(id) ? [] : [[id, 1]])));

/** What shows a quantity, and what becomes of the members beneath: bars in their place, or colours on them. */
interface DiagramParts {
  readonly bars?: ReadonlyMap<number, Bar>;
  readonly areColoured?: boolean;
  readonly items: readonly Item[];
}
const NO_DIAGRAM: DiagramParts = { items: [] };

/** What shows the chosen quantity: of a structure that carries by tension and compression the members themselves, as bars; else diagrams. */
function* diagramSteps(solution: Solution, model: Model, view: View): Steps<DiagramParts> {
  const { quantity, outcome } = view;
  if (quantity === 'none') return NO_DIAGRAM;
  const governing = yield* governingInSteps(solution, outcome, quantity);
  if (!governing) return NO_DIAGRAM;
  yield;
  const members = membersInFront(model, view);
  if (isBars(view)) {
    const bars = barsOf(solution, outcome, members, largestTogether(solution, view, 'N'));
    return { bars, items: view.values === 'none' ? [] : barLabels(model, bars, members, governing, view) };
  }
  const drawn = drawnQuantityOf(model, solution, view);
  if (!drawn) return NO_DIAGRAM;
  const said = (speaking: readonly DrawnMember[]): Label[] =>
    view.values === 'none' ? [] : diagramLabels(model, drawn, speaking, governing, view);
  const coloured = colouredOf(solution, view);
  if (coloured) {
    const colours = yield* colouredInSteps(coloured, members, largestOf(governing), view);
    return { areColoured: true, items: [...colours, ...said(members)] };
  }
  const leans = mitresOf(model, drawn, members);
  const near = isCrowded(model, view) ? nearness(model, view) : undefined;
  const bent = isLineDrawn(drawn) ? { ...drawn, factor: drawn.metresPerUnit } : undefined;
  const [whole, outline] = [diagramOn(drawn, view), outlineOn(drawn, view)];
  const itemsOn = (member: DrawnMember): Item[] =>
    bent ? [deflectedPath(bent, member, view, 'asked for')] : whole(member, leans.get(member.index));
  const outlineOf = (member: DrawnMember, lines: Hairlines): void =>
    bent ? deflectedOutline(lines, bent, member, view, 'asked for') : outline(lines, member, leans.get(member.index));
  const items = near ? yield* standing(members, near, itemsOn, outlineOf) : yield* inSteps(members, AT_ONCE, itemsOn);
  yield;
  // Of a crowd what stands behind loses its words; what governs is said wherever it stands.
  const isLargest = ({ index }: DrawnMember): boolean => index === governing.max.member || index === governing.min.member;
  const speaking = near
    ? members.filter((member) => near(member.depth) >= FRONT || isLargest(member) || member.id === view.pointed)
    : members;
  const governs = tellsWho(solution, view) ? governingItems(model, drawn, speaking, view) : [];
  const kinks = view.kinks && view.weight >= SKETCHED ? kinkLabels(model, drawn, speaking, governing) : [];
  return { items: [...items, ...governs, ...said(speaking), ...kinks] };
}

/** Whether it is told along the members who governs: of an envelope that need not be read ahead, and where stripes can be told apart. */
const tellsWho = (solution: Solution, { governing, outcome, detail, weight }: View): boolean =>
  governing &&
  detail === 'whole' &&
  weight >= SKETCHED &&
  solution.outcomes[outcome]!.kind === 'envelope' &&
  !isReadAhead(solution, outcome);

/** What stands on members of a crowd. */
const standing = (
  members: readonly DrawnMember[],
  near: (depth: number) => number,
  itemsOn: (member: DrawnMember) => readonly Item[],
  outlineOf: (member: DrawnMember, lines: Hairlines) => void,
): Steps<Item[]> =>
  inDepthInSteps(
    members.map((member) => ({
      near: near(member.depth),
      items: () => itemsOn(member),
      outline: (lines) => outlineOf(member, lines),
    })),
  );

const deflected = latest(LOOKED_AT, deflectedLines, sameGround);

function deflectedLines(
  solution: Solution,
  model: Model,
  view: Ground,
  ...[outcome, factor]: [outcome: number, factor: number]
): readonly Item[] {
  // Bodies that are bent show it themselves.
  if (view.solids) return NOTHING;
  const members = drawnMembers(model, view);
  const drawn = { solution, outcome, factor };
  const line = (member: DrawnMember): Item[] => [deflectedPath(drawn, member, view, 'besides')];
  if (!isCrowded(model, view)) return members.flatMap(line);
  const outline = (member: DrawnMember, lines: Hairlines): void => deflectedOutline(lines, drawn, member, view, 'besides');
  return finished(standing(members, nearness(model, view), line, outline));
}
