import { counted } from '@rigid-beam/core/counted';
import { defaultDisplay, displayOf, drawnUnit, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { unitFactor } from '@rigid-beam/core/quantities/parse';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { inLetterOrder, quantityTable, quantityWords, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { isAwaited, isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { largestMoment } from '@rigid-beam/drawing/opens-on';
import { scaleOfDeflection, scaleOfDiagram } from '@rigid-beam/drawing/sheet-items';
import { quietValue } from '@rigid-beam/core/results/noise';
import { showValue } from '@rigid-beam/drawing/show-quantity-value';
import { isOn } from '@rigid-beam/drawing/stage-view';
import { isDeflection, plainView, sheetQuantities, type SheetQuantity, type View } from '@rigid-beam/drawing/view';
import { quantityOf, type EditorState } from '../editor/editor-state';
import { settledSolution } from '../editor/use-editor';
import { capital } from '../ui/capital';

/** What the title block tells of. */
export interface Shown extends Pick<EditorState, 'settled' | 'diagramFactor' | 'heldDeflection' | 'stage' | 'switches'> {
  readonly quantity: SheetQuantity;
  readonly axial: 'bars' | 'diagrams';
}
export const shownOf = (state: EditorState): Shown => ({
  settled: state.settled,
  diagramFactor: state.diagramFactor,
  heldDeflection: state.heldDeflection,
  stage: state.stage,
  switches: state.switches,
  quantity: quantityOf(state),
  axial: state.suggestion?.axial ?? 'diagrams',
});

/** By which rule a quantity is drawn. */
export function ruleOf(quantity: SheetQuantity, axial: 'bars' | 'diagrams', display: DisplayUnits): string {
  const { side } = quantityTable[quantity];
  const { positive, rule } = quantityWords('space', quantity, display);
  if (quantity === 'N' && axial === 'bars') return 'width is force · T tension, C compression';
  return rule ?? (side < 0 ? 'on the tension face' : `positive: ${positive}`);
}

/** Symbols in the plane, where no axis has to be told; a v beside a V would hardly be. */
const SHORT: Partial<Record<SheetQuantity, string>> = { Vy: 'V', Mz: 'M', v: 'δ' };

/** What can be drawn in a structure, as buttons: symbols of the trade, spoken in full; in the plane without the axes, of which there is one. */
export function choicesOf(
  space: 'plane' | 'space',
  display: DisplayUnits,
): { readonly id: SheetQuantity; readonly text: string; readonly label: string }[] {
  return inLetterOrder(sheetQuantities, display)
    .filter((id) => space === 'space' || quantityTable[id].inPlane)
    .map((id) => {
      const { symbol, name } = quantityWords(space, id, display);
      return {
        id,
        text: space === 'space' ? symbol : (SHORT[id] ?? symbol),
        label: capital(name),
      };
    });
}

const NOT_DRAWN = { perMetre: 0, metresPerUnit: 0 };

/** What a length of the drawing stands for, with what is drawn `together` to the same scale; empty where nothing is drawn to a scale of its own. */
export function scaleWords(state: Shown, outcome: number, together: View['together'] = []): string {
  const solution = settledSolution(state);
  if (!solution?.outcomes[outcome]) return '';
  const { model } = state.settled;
  const { quantity, diagramFactor, heldDeflection, stage, switches } = state;
  const view: View = { ...plainView, outcome, quantity, diagramFactor, heldDeflection, together };
  const display = displayOf(model);
  const [unit, drawn] = [unitOfQuantity(quantity, display), drawnUnit(display)];
  const hasDiagram = isOn(stage, switches, 'diagram') && !(quantity === 'N' && state.axial === 'bars');
  const { perMetre, metresPerUnit } = hasDiagram ? scaleOfDiagram(model, solution, view) : NOT_DRAWN;
  const factor =
    hasDiagram && isDeflection(quantity)
      ? metresPerUnit
      : isOn(stage, switches, 'deflected')
        ? scaleOfDeflection(model, solution, view)
        : 0;
  const diagram =
    perMetre > 0 && !isDeflection(quantity)
      ? `1 ${drawn} = ${showNumber((perMetre * unitFactor(drawn)) / unitFactor(unit), 3)} ${unit}`
      : '';
  return [diagram, factor > 0 ? `deflections × ${showNumber(factor, 3)}` : ''].filter(Boolean).join(' · ');
}

/** A member that rises more steeply than this has no upper and lower face to speak of. */
const STEEP = 0.3;

/** What a moment of this sign does, as engineers say it: sagging or hogging, or on a post the side in tension. */
function senseWords(solution: Solution, member: number, value: number): string {
  if (value === 0) return '';
  const { axes } = solution.structure;
  if (Math.hypot(axes[9 * member]!, axes[9 * member + 2]!) > STEEP) return value > 0 ? ', sagging' : ', hogging';
  // Tension lies on the −y face where the moment is positive.
  return -axes[9 * member + 3]! * value > 0 ? ', tension right' : ', tension left';
}

/** How large what is drawn gets, and where. */
export function extremeWords(state: Shown, outcome: number): string {
  const solution = settledSolution(state);
  const { quantity } = state;
  const { display } = state.settled.model;
  if (!solution?.outcomes[outcome]) return state.settled.results ? 'no results' : 'solving …';
  if (isAwaited(solution, outcome, quantity))
    return isReady(solution, outcome) ? 'finding the shear in the sections …' : 'reading the envelope …';
  const governing = governingValues(solution, outcome, quantity);
  const unknown = unknownWords(solution, quantity);
  if (!governing) return unknown;
  const units = { ...defaultDisplay, ...display };
  const say = ({ value, member, from }: typeof governing.max): string => {
    const by = from === outcome ? '' : ` by ${solution.outcomes[from]!.id}`;
    return `${showValue(quantity, quietValue(solution, outcome, quantity, value), units)} in ${solution.structure.names.members[member]}${by}`;
  };
  const other = largerElsewhere(solution, outcome, quantity, units);
  const size = largestOf(governing);
  const isMagnitude = quantityTable[quantity].derived?.isMagnitude === true;
  const words = [governing.max, governing.min]
    .filter(({ value }, i) => i === 0 || (value !== governing.max.value && !isMagnitude))
    .filter(({ value }) => Math.abs(value) > 1e-9 * size || size === 0)
    .map(
      (extreme) =>
        say(extreme) +
        (quantity === 'Mz' && state.settled.model.space === 'plane' ? senseWords(solution, extreme.member, extreme.value) : ''),
    );
  return [...(other ? [`${other} is larger`] : []), ...words, ...(unknown ? [unknown] : [])].join(' · ');
}

/** Of how many members a stress is not known, and what would tell it. */
function unknownWords({ fibres }: Solution, quantity: SheetQuantity): string {
  const { derived, dimension } = quantityTable[quantity];
  if (!derived || dimension !== 'stress') return '';
  const unknown = fibres.filter((one) => !one || (derived.takesShear && !one.shear)).length;
  if (unknown === 0) return '';
  const whose = unknown === fibres.length ? '' : ` of ${counted(unknown, 'member')}`;
  return `not known${whose}: ${derived.takesShear ? 'it takes a shape in one piece' : 'their sections have no shape and no section moduli'}`;
}

/** In space: the moment about the other axis, where it is larger than the one that is drawn. */
function largerElsewhere(
  solution: Solution,
  outcome: number,
  quantity: SheetQuantity,
  display: DisplayUnits,
): string | undefined {
  const other = quantity === 'Mz' ? 'My' : quantity === 'My' ? 'Mz' : undefined;
  if (!other || isPlane(solution.structure)) return undefined;
  const size = (one: SheetQuantity): number => largestMoment(solution, outcome, one);
  return size(other) > size(quantity) * (1 + 1e-6) ? quantityWords('space', other, display).symbol : undefined;
}
