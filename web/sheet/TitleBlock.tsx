'use client';

import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useShallow } from 'zustand/react/shallow';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { unitFactor } from '@rigid-beam/core/quantities/parse';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
import { scaleOfDeflection, scaleOfDiagram } from '@rigid-beam/drawing/sheet-items';
import { showValue } from '@rigid-beam/drawing/show-quantity-value';
import { quantityTable } from '@rigid-beam/core/results/quantities';
import { capital } from '../ui/capital';
import { forceQuantities, isMoment, plainView, type DiagramQuantity, type View } from '@rigid-beam/drawing/view';
import type { EditorState } from '../session/editor-state';
import { actingIndex } from '../session/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../session/use-editor';
import { ToggleButton } from '../ui/controls';
import { Slider } from '../ui/Slider';
import { TITLE_BLOCK } from './framing';

const Block = styled.section`
  position: absolute;
  right: 0;
  bottom: 0;
  width: ${TITLE_BLOCK.width}px;
  max-width: 100%;
  border: 1.5px solid var(--ink);
  border-right: 0;
  border-bottom: 0;
  background: var(--paper);
  font-size: 0.75rem;
`;

const Line = styled.div`
  display: flex;
  align-items: center;
  min-height: 1.75rem;
  border-bottom: 1px solid var(--rule);
  &:last-child {
    border-bottom: 0;
  }
  > * {
    padding: 0.1rem 0.55rem;
  }
  > * + * {
    border-left: 1px solid var(--rule);
  }
`;

const Acting = styled.p`
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  font-weight: 600;
`;

const Quantities = styled(ToggleButtonGroup)`
  display: flex;
  gap: 2px;
  padding: 0.1rem 0.25rem;
  button {
    min-height: 1.45rem;
    padding: 0 0.5rem;
    border-color: transparent;
  }
`;

const Fill = styled.p`
  flex: 1;
`;

const ScaleSlider = styled(Slider)`
  width: 5.2rem;
`;

/** Short names in the plane, where one quantity of each kind is enough; in space the letters of the local axes tell them apart. */
const SHORT: Partial<Record<DiagramQuantity, string>> = { N: 'Axial', Vy: 'Shear', Mz: 'Moment' };

/** By which rule a quantity is drawn. */
function ruleOf(quantity: DiagramQuantity): string {
  if (quantity === 'none') return 'no diagram';
  if (quantity === 'N') return 'T in tension, C in compression';
  const { side, positive } = quantityTable[quantity];
  return side < 0 ? 'drawn on the tension face' : `positive: ${positive}`;
}

/** What can be drawn in a structure, as buttons. */
function choicesOf(space: 'plane' | 'space'): { readonly id: DiagramQuantity; readonly text: string; readonly label: string }[] {
  const shown = forceQuantities.filter((id) => space === 'space' || quantityTable[id].inPlane);
  const choices = shown.map((id) => {
    const { symbol, name, nameInSpace } = quantityTable[id];
    const label = capital(space === 'space' ? nameInSpace : name);
    return { id, text: space === 'space' ? symbol : (SHORT[id] ?? symbol), label };
  });
  return [...choices, { id: 'none', text: 'Off', label: 'No diagram' }];
}

/** What is drawn, by which rule, in which units and scale, and how large it gets. Its legend is its control. */
export function TitleBlock() {
  const editor = useEditor();
  const state = useEditorState(useShallow(shownOf));
  const display = useDisplay();
  const outcome = useEditorState(actingIndex);
  const solution = settledSolution(state);
  const acts = solution?.outcomes[outcome] ?? state.settled.model.cases[outcome];
  const { quantity } = state;

  return (
    <Block aria-label="Title block">
      <Line>
        <Acting>
          {acts ? acts.id : 'No load case'}
          {acts?.title && ` · ${acts.title}`}
        </Acting>
        <span>{display.length === 'm' ? 'dimensions in m' : `dimensions in ${display.length}`}</span>
      </Line>
      <Line>
        <Quantities
          selectionMode="single"
          disallowEmptySelection
          aria-label="Quantity"
          selectedKeys={[quantity]}
          onSelectionChange={(keys) => editor.go({ quantity: [...keys][0] as DiagramQuantity })}
        >
          {choicesOf(state.settled.model.space).map(({ id, text, label }) => (
            <ToggleButton key={id} id={id} aria-label={label}>
              {text}
            </ToggleButton>
          ))}
        </Quantities>
        <Fill>{ruleOf(quantity)}</Fill>
      </Line>
      <Line>
        <ScaleSlider
          label="Diagram scale"
          range={[-2, 2]}
          step={0.25}
          value={Math.log2(state.diagramFactor)}
          onChange={(value) => editor.show({ diagramFactor: 2 ** value })}
        />
        <Fill className="number">{scaleWords(state, outcome)}</Fill>
        <Quantities
          selectionMode="multiple"
          aria-label="Shown"
          selectedKeys={[...(state.values ? ['values'] : []), ...(state.deflected ? ['deflected'] : [])]}
          onSelectionChange={(keys) => editor.show({ values: keys.has('values'), deflected: keys.has('deflected') })}
        >
          <ToggleButton id="values">Values</ToggleButton>
          <ToggleButton id="deflected">Deflected</ToggleButton>
        </Quantities>
      </Line>
      <Line>
        <Fill className="number" data-testid="extremes">
          {extremeWords(state, outcome)}
        </Fill>
      </Line>
    </Block>
  );
}

type Shown = Pick<EditorState, 'settled' | 'quantity' | 'diagramFactor' | 'values' | 'deflected'>;
const shownOf = ({ settled, quantity, diagramFactor, values, deflected }: EditorState): Shown => ({
  settled,
  quantity,
  diagramFactor,
  values,
  deflected,
});

const viewOf = (state: Shown, outcome: number): View => ({
  ...plainView,
  outcome,
  quantity: state.quantity,
  diagramFactor: state.diagramFactor,
});

function scaleWords(state: Shown, outcome: number): string {
  const solution = settledSolution(state);
  if (!solution?.outcomes[outcome]) return '';
  const { model } = state.settled;
  const view = viewOf(state, outcome);
  const unit = isMoment(state.quantity) ? (model.display?.moment ?? 'kN·m') : (model.display?.force ?? 'kN');
  const { perMetre } = scaleOfDiagram(model, solution, view);
  const factor = scaleOfDeflection(model, solution, view);
  const diagram = perMetre > 0 ? `1 m = ${showNumber(perMetre / unitFactor(unit), 3)} ${unit}` : '';
  return [diagram, state.deflected && factor > 0 ? `bent × ${showNumber(factor, 3)}` : ''].filter(Boolean).join(' · ');
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

function extremeWords(state: Shown, outcome: number): string {
  const solution = settledSolution(state);
  const { quantity } = state;
  const { display } = state.settled.model;
  if (!solution?.outcomes[outcome]) return state.settled.results ? 'no results' : 'solving …';
  if (quantity === 'none') return '';
  if (!isReady(solution, outcome)) return 'reading the envelope …';
  const governing = governingValues(solution, outcome, quantity);
  if (!governing) return '';
  const units = { length: 'm', force: 'kN', moment: 'kN·m', stress: 'MPa', deflection: 'mm', section: 'cm', ...display };
  const say = ({ value, member, from }: typeof governing.max): string => {
    const by = from === outcome ? '' : ` by ${solution.outcomes[from]!.id}`;
    return `${showValue(quantity, value, units)} in ${solution.structure.names.members[member]}${by}`;
  };
  return [governing.max, governing.min]
    .filter(({ value }, i) => i === 0 || value !== governing.max.value)
    .map(
      (extreme) =>
        say(extreme) +
        (quantity === 'Mz' && state.settled.model.space === 'plane' ? senseWords(solution, extreme.member, extreme.value) : ''),
    )
    .join(' · ');
}
