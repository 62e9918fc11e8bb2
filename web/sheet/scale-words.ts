import { scalesIn, type Scales } from '@rigid-beam/drawing/scale-words';
import { isOn } from '@rigid-beam/drawing/stage-view';
import { plainView, type View } from '@rigid-beam/drawing/view';
import { settledSolution } from '../editor/use-editor';
import type { Shown } from './title-words';

/** The scales of what is drawn with what is drawn `together` to the same scale; undefined where nothing is. */
export function scalesOf(state: Shown, outcome: number, together: View['together'] = []): Scales | undefined {
  const solution = settledSolution(state);
  if (!solution?.outcomes[outcome]) return undefined;
  const { quantity, axial, style, diagramFactor, scales, heldDeflection, stage, switches, also = [] } = state;
  const isShown = isOn(stage, switches, 'diagram');
  return scalesIn(state.settled.model, solution, {
    ...plainView,
    ...{ outcome, axial, style, diagramFactor, scales, heldDeflection, also, together },
    quantity: isShown ? quantity : 'none',
    deflected: isOn(stage, switches, 'deflected'),
  });
}
