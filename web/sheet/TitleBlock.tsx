'use client';

import { Dialog, DialogTrigger, Popover, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { isOn, switchNames } from '@rigid-beam/drawing/stage-view';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { actingIndex, togetherOf } from '../editor/editor-state';
import { NARROW } from '../editor/slices/page';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { overFace, PlainButton, ToggleButton } from '../ui/controls';
import { Slider } from '../ui/Slider';
import type { SheetController } from './controller';
import { RESTING } from './sheet-state';
import { switchWords } from './switch-words';
import { choicesOf, extremeWords, ruleOf, scaleWords, shownOf, type Shown } from './title-words';
import { ViewTools } from './ViewTools';
import { titleBlock as WORDS } from './words';

const Block = styled.section`
  grid-area: title;
  container-type: inline-size;
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
  @media ${NARROW} {
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

/** Gives way to all others: who reads a drawing knows its rule. */
const Rule = styled.span`
  && {
    flex: 0 1000 auto;
  }
  min-width: 5rem;
  overflow: hidden;
  text-overflow: ellipsis;
  @container (width < 50rem) {
    display: none;
  }
`;

/** What there is room for, from its beginning on. */
const Fill = styled.p`
  && {
    flex: 1 1 auto;
  }
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  &[data-tone='soft'] {
    color: var(--soft);
  }
  &[data-tone='asks'] {
    font-weight: 600;
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

/** One line under the sheet: what acts, what is drawn, by which rule, in which scale, and how large it gets. Its legend is its control. */
export function TitleBlock({ controller }: { readonly controller: SheetController | undefined }) {
  const editor = useEditor();
  const state = useEditorState(useShallow(shownOf));
  const outcome = useEditorState(actingIndex);
  const solution = settledSolution(state);
  const acts = solution?.outcomes[outcome] ?? state.settled.model.cases[outcome];
  const { quantity, stage, switches } = state;
  const hasDiagram = isOn(stage, switches, 'diagram');
  const display = useDisplay();

  return (
    <Block aria-label={WORDS.titleBlock}>
      <Acting title={acts?.title}>
        {acts ? acts.id : WORDS.noLoadCase}
        {acts?.title && ` · ${acts.title}`}
      </Acting>
      {hasDiagram && (
        <Quantities
          selectionMode="single"
          disallowEmptySelection
          aria-label={WORDS.quantity}
          selectedKeys={[quantity]}
          onSelectionChange={(keys) => editor.go({ quantity: [...keys][0] as SheetQuantity })}
        >
          {choicesOf(state.settled.model.space, display).map(({ id, text, label }) => (
            <ToggleButton key={id} id={id} aria-label={label}>
              {text}
            </ToggleButton>
          ))}
        </Quantities>
      )}
      {hasDiagram && <Rule title={ruleOf(quantity, state.axial, display)}>{ruleOf(quantity, state.axial, display)}</Rule>}
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
        <Fill role="status" data-tone={isResting ? 'soft' : 'asks'} data-testid="hint" title={hint}>
          {hint}
        </Fill>
      )}
    </>
  );
}

/** What a length of the drawing stands for; dragged, diagrams and deflections grow. */
function Scale({ state, outcome }: { readonly state: Shown; readonly outcome: number }) {
  const editor = useEditor();
  const beside = useEditorState((all) => all.beside);
  const words = scaleWords(state, outcome, beside && togetherOf(editor.page.store.getState()));
  if (!words) return null;
  return (
    <DialogTrigger>
      <Slim className="number" aria-label={`Scale: ${words}`}>
        {words}
      </Slim>
      <Popover placement="top">
        <Over aria-label={WORDS.scaleField}>
          <ScaleSlider
            label={WORDS.diagramScale}
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
      <Slim>{WORDS.alsoShow}</Slim>
      <Popover placement="top end">
        <Over aria-label={WORDS.whatThisStageShows}>
          <Switches
            selectionMode="multiple"
            orientation="vertical"
            aria-label={WORDS.shown}
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
