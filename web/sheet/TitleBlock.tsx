'use client';

import { Dialog, DialogTrigger, Popover, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { showNumber } from '@rigid-beam/core/quantities/show';
import { unitFactor } from '@rigid-beam/core/quantities/parse';
import { isReady } from '@rigid-beam/core/results/readings';
import type { Solution } from '@rigid-beam/core/results/results';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { governingValues } from '@rigid-beam/drawing/diagram-scale';
import { largestMoment } from '@rigid-beam/drawing/opens-on';
import { scaleOfDeflection, scaleOfDiagram } from '@rigid-beam/drawing/sheet-items';
import { showValue } from '@rigid-beam/drawing/show-quantity-value';
import { isOn, switchNames } from '@rigid-beam/drawing/stage-view';
import { quantityTable } from '@rigid-beam/core/results/quantities';
import { capital } from '../ui/capital';
import { forceQuantities, isMoment, plainView, type ForceQuantity, type View } from '@rigid-beam/drawing/view';
import { actingIndex, quantityOf, type EditorState } from '../session/editor-state';
import { settledSolution, useEditor, useEditorState } from '../session/use-editor';
import { overFace, PlainButton, ToggleButton } from '../ui/controls';
import { Slider } from '../ui/Slider';
import type { SheetController } from './controller';
import { RESTING } from './sheet-state';
import { switchWords } from './switch-words';
import { ViewTools } from './ViewTools';

const Block = styled.section`
  grid-area: title;
  display: flex;
  align-items: center;
  min-width: 0;
  min-height: 1.75rem;
  border-top: 1.5px solid var(--ink);
  background: var(--paper);
  font-size: 0.75rem;
  white-space: nowrap;
  > * {
    flex: none;
    padding: 0 0.5rem;
  }
  > * + * {
    border-left: 1px solid var(--rule);
  }
  @media (max-width: 52rem) {
    overflow-x: auto;
  }
`;

const Acting = styled.p`
  && {
    flex: 0 1 auto;
  }
  min-width: 3rem;
  max-width: 14rem;
  overflow: hidden;
  text-overflow: ellipsis;
  font-weight: 600;
`;

const Quantities = styled(ToggleButtonGroup)`
  display: flex;
  gap: 1px;
  && {
    padding: 0 0.2rem;
  }
  button {
    min-height: 1.4rem;
    padding: 0 0.42rem;
    border-color: transparent;
    font-weight: 600;
  }
`;

/** What there is room for, from its beginning on. */
const Fill = styled.p`
  && {
    flex: 1 1 0;
  }
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  &[data-tone='soft'] {
    color: var(--soft);
  }
`;

const Over = styled(Dialog)`
  display: grid;
  gap: 0.2rem;
  padding: 0.5rem 0.6rem;
  ${overFace}
`;

const Switches = styled(ToggleButtonGroup)`
  display: grid;
  gap: 0.15rem;
  button {
    justify-content: flex-start;
  }
`;

const Slim = styled(PlainButton)`
  min-height: 1.4rem;
  padding: 0 0.3rem;
`;

const ScaleSlider = styled(Slider)`
  width: 11rem;
`;

/** By which rule a quantity is drawn. */
function ruleOf(quantity: ForceQuantity, axial: 'bars' | 'diagrams'): string {
  if (quantity === 'N') return axial === 'bars' ? 'width is force · T tension, C compression' : 'T tension, C compression';
  const { side, positive } = quantityTable[quantity];
  return side < 0 ? 'on the tension face' : `positive: ${positive}`;
}

/** What can be drawn in a structure, as buttons: symbols of the trade, spoken in full; in the plane without the axes, of which there is one. */
function choicesOf(space: 'plane' | 'space'): { readonly id: ForceQuantity; readonly text: string; readonly label: string }[] {
  return forceQuantities
    .filter((id) => space === 'space' || quantityTable[id].inPlane)
    .map((id) => {
      const { symbol, name, nameInSpace } = quantityTable[id];
      return { id, text: space === 'space' ? symbol : symbol[0]!, label: capital(space === 'space' ? nameInSpace : name) };
    });
}

/** One line under the sheet: what acts, what is drawn, by which rule, in which scale, and how large it gets. Its legend is its control. */
export function TitleBlock({ controller }: { readonly controller: SheetController | undefined }) {
  const editor = useEditor();
  const state = useEditorState(useShallow(shownOf));
  const outcome = useEditorState(actingIndex);
  const solution = settledSolution(state);
  const acts = solution?.outcomes[outcome] ?? state.settled.model.cases[outcome];
  const { quantity, stage, switches } = state;
  const hasDiagram = isOn(stage, switches, 'diagram');

  return (
    <Block aria-label="Title block">
      <Acting title={acts?.title}>
        {acts ? acts.id : 'No load case'}
        {acts?.title && ` · ${acts.title}`}
      </Acting>
      {hasDiagram && (
        <Quantities
          selectionMode="single"
          disallowEmptySelection
          aria-label="Quantity"
          selectedKeys={[quantity]}
          onSelectionChange={(keys) => editor.go({ quantity: [...keys][0] as ForceQuantity })}
        >
          {choicesOf(state.settled.model.space).map(({ id, text, label }) => (
            <ToggleButton key={id} id={id} aria-label={label}>
              {text}
            </ToggleButton>
          ))}
        </Quantities>
      )}
      {hasDiagram && <span>{ruleOf(quantity, state.axial)}</span>}
      <Scale state={state} outcome={outcome} />
      <Said controller={controller} extremes={hasDiagram ? extremeWords(state, outcome) : undefined} />
      <AlsoShow />
      {controller && <ViewTools controller={controller} />}
    </Block>
  );
}

interface SaidProps {
  readonly controller: SheetController | undefined;
  readonly extremes: string | undefined;
}

/** How large what is drawn gets; with a tool in hand, and where nothing is drawn that would have to be explained, what the tool does. */
function Said({ controller, extremes }: SaidProps) {
  return controller ? <LiveSaid controller={controller} extremes={extremes} /> : <Fill />;
}

function LiveSaid({ controller, extremes }: SaidProps & { readonly controller: SheetController }) {
  const hint = useStore(controller.store, (state) => state.hint);
  const isResting = useStore(controller.store, ({ tool }) => tool.name === RESTING);
  return (
    <>
      {extremes !== undefined && (
        <Fill className="number" data-testid="extremes" title={extremes}>
          {extremes}
        </Fill>
      )}
      {(extremes === undefined || !isResting) && (
        <Fill role="status" data-tone="soft" data-testid="hint" title={hint}>
          {hint}
        </Fill>
      )}
    </>
  );
}

/** What a length of the drawing stands for; dragged, diagrams and deflections grow. */
function Scale({ state, outcome }: { readonly state: Shown; readonly outcome: number }) {
  const editor = useEditor();
  const words = scaleWords(state, outcome);
  if (!words) return null;
  return (
    <DialogTrigger>
      <Slim className="number" aria-label={`Scale: ${words}`}>
        {words}
      </Slim>
      <Popover placement="top">
        <Over aria-label="Scale of what is drawn">
          <ScaleSlider
            label="Diagram scale"
            range={[-2, 2]}
            step={0.25}
            value={Math.log2(state.diagramFactor)}
            onChange={(value) => editor.show({ diagramFactor: 2 ** value })}
          />
        </Over>
      </Popover>
    </DialogTrigger>
  );
}

/** What the stage shows, and what one can have shown besides. */
function AlsoShow() {
  const editor = useEditor();
  const stage = useEditorState((state) => state.stage);
  const switches = useEditorState((state) => state.switches);
  const shown = switchNames.filter((name) => isOn(stage, switches, name));
  return (
    <DialogTrigger>
      <Slim>Also show ▾</Slim>
      <Popover placement="top end">
        <Over aria-label="What this stage shows">
          <Switches
            selectionMode="multiple"
            orientation="vertical"
            aria-label="Shown"
            selectedKeys={shown}
            onSelectionChange={(keys) =>
              editor.go({
                switches: Object.fromEntries(
                  switchNames.filter((name) => keys.has(name) !== isOn(stage, {}, name)).map((name) => [name, keys.has(name)]),
                ),
              })
            }
          >
            {switchNames.map((name) => (
              <ToggleButton key={name} id={name}>
                {switchWords[name]}
              </ToggleButton>
            ))}
          </Switches>
        </Over>
      </Popover>
    </DialogTrigger>
  );
}

interface Shown extends Pick<EditorState, 'settled' | 'diagramFactor' | 'stage' | 'switches'> {
  readonly quantity: ForceQuantity;
  readonly axial: 'bars' | 'diagrams';
}
const shownOf = (state: EditorState): Shown => ({
  settled: state.settled,
  diagramFactor: state.diagramFactor,
  stage: state.stage,
  switches: state.switches,
  quantity: quantityOf(state),
  axial: state.suggestion?.axial ?? 'diagrams',
});

function scaleWords(state: Shown, outcome: number): string {
  const solution = settledSolution(state);
  if (!solution?.outcomes[outcome]) return '';
  const { model } = state.settled;
  const { quantity, diagramFactor, stage, switches } = state;
  const view: View = { ...plainView, outcome, quantity, diagramFactor };
  const unit = isMoment(quantity) ? (model.display?.moment ?? 'kN·m') : (model.display?.force ?? 'kN');
  const hasDiagram = isOn(stage, switches, 'diagram') && !(quantity === 'N' && state.axial === 'bars');
  const perMetre = hasDiagram ? scaleOfDiagram(model, solution, view).perMetre : 0;
  const factor = isOn(stage, switches, 'deflected') ? scaleOfDeflection(model, solution, view) : 0;
  const diagram = perMetre > 0 ? `1 m = ${showNumber(perMetre / unitFactor(unit), 3)} ${unit}` : '';
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

function extremeWords(state: Shown, outcome: number): string {
  const solution = settledSolution(state);
  const { quantity } = state;
  const { display } = state.settled.model;
  if (!solution?.outcomes[outcome]) return state.settled.results ? 'no results' : 'solving …';
  if (!isReady(solution, outcome)) return 'reading the envelope …';
  const governing = governingValues(solution, outcome, quantity);
  if (!governing) return '';
  const units = { length: 'm', force: 'kN', moment: 'kN·m', stress: 'MPa', deflection: 'mm', section: 'cm', ...display };
  const say = ({ value, member, from }: typeof governing.max): string => {
    const by = from === outcome ? '' : ` by ${solution.outcomes[from]!.id}`;
    return `${showValue(quantity, value, units)} in ${solution.structure.names.members[member]}${by}`;
  };
  const other = largerElsewhere(solution, outcome, quantity);
  const words = [governing.max, governing.min]
    .filter(({ value }, i) => i === 0 || value !== governing.max.value)
    .map(
      (extreme) =>
        say(extreme) +
        (quantity === 'Mz' && state.settled.model.space === 'plane' ? senseWords(solution, extreme.member, extreme.value) : ''),
    );
  return [...(other ? [`${other} is larger`] : []), ...words].join(' · ');
}

/** In space: the moment about the other axis, where it is larger than the one that is drawn. */
function largerElsewhere(solution: Solution, outcome: number, quantity: ForceQuantity): string | undefined {
  const other = quantity === 'Mz' ? 'My' : quantity === 'My' ? 'Mz' : undefined;
  if (!other || isPlane(solution.structure)) return undefined;
  const size = (one: ForceQuantity): number => largestMoment(solution, outcome, one);
  return size(other) > size(quantity) * (1 + 1e-6) ? quantityTable[other].symbol : undefined;
}
