import { counted } from '@rigid-beam/core/counted';
import { defaultDisplay, displayOf, type DisplayUnits } from '@rigid-beam/core/quantities/display';
import { isRange } from '@rigid-beam/core/combinations/outcome';
import { largestMovement } from '@rigid-beam/core/results/movement';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { inLetterOrder, quantityTable, quantityWords, symbolOf } from '@rigid-beam/core/results/quantities';
import { isReadByPlace } from '@rigid-beam/core/results/read';
import { isAwaited, isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { governingValues, largestOf } from '@rigid-beam/drawing/diagram-scale';
import { largestMoment } from '@rigid-beam/drawing/opens-on';
import { quietValue } from '@rigid-beam/core/results/noise';
import { showValue } from '@rigid-beam/drawing/show-quantity-value';
import { isDeflection, quantitiesDrawn, type SheetQuantity } from '@rigid-beam/drawing/view';
import { quantityOf, type EditorState } from '../editor/editor-state';
import { settledSolution } from '../editor/use-editor';
import { capital } from '@rigid-beam/core/capital';

/** What the title block tells of. */
export interface Shown extends Pick<
  EditorState,
  'settled' | 'diagramFactor' | 'scales' | 'also' | 'style' | 'face' | 'heldDeflection' | 'stage' | 'switches'
> {
  readonly quantity: SheetQuantity;
  readonly axial: 'bars' | 'diagrams';
}
export const shownOf = (state: EditorState): Shown => ({
  settled: state.settled,
  diagramFactor: state.diagramFactor,
  scales: state.scales,
  also: state.also,
  style: state.style,
  face: state.face,
  heldDeflection: state.heldDeflection,
  stage: state.stage,
  switches: state.switches,
  quantity: quantityOf(state),
  axial: state.suggestion?.axial ?? 'diagrams',
});

/** What can be drawn in a structure, as buttons: symbols of the trade, spoken in full; in the plane without the axes, of which there is one. */
export function choicesOf(
  space: 'plane' | 'space',
  display: DisplayUnits,
): { readonly id: SheetQuantity; readonly text: string; readonly label: string }[] {
  return inLetterOrder(quantitiesDrawn(space), display).map((id) => {
    return { id, text: symbolOf(space, id, display), label: capital(quantityWords(space, id, display).name) };
  });
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
  if (isDeflection(quantity) && !isRange(solution.outcomes[outcome]!))
    return movementWords(solution, outcome, displayOf(state.settled.model));
  const governing = governingValues(solution, outcome, quantity);
  const unknown = unknownWords(solution, quantity);
  if (!governing)
    return unknown || (isReadByPlace(solution, outcome) ? 'not told: what is greatest at different times is not together' : '');
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

/** How far anything moves, whichever way. */
function movementWords(solution: Solution, outcome: number, display: DisplayUnits): string {
  const most = largestMovement(solution, outcome);
  if (!most) return '';
  return `${showQuantity(most.size, display.deflection)} in ${solution.structure.names.members[most.at.member]}`;
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
