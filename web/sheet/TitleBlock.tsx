'use client';

import { DialogTrigger, Popover, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { useShallow } from 'zustand/react/shallow';
import { isOn, switchNames } from '@rigid-beam/drawing/stage-view';
import { ruleOf } from '@rigid-beam/drawing/rule-words';
import { diagramStyles, momentFaces, type DiagramStyle, type MomentFace, type SheetQuantity } from '@rigid-beam/drawing/view';
import { actingIndex, areFreedomsShown, isCutShown, isInfluenceShown, isShapeShown, quantityOf } from '../editor/editor-state';
import { NARROW } from '../editor/slices/page';
import { settledSolution, useDisplay, useEditor, useEditorState, useModel } from '../editor/use-editor';
import { Select, ToggleButton } from '../ui/controls';
import type { SheetController } from './controller';
import { DrawnScale } from './DrawnScale';
import { RESTING } from './sheet-state';
import { switchWords } from './switch-words';
import { choicesOf, extremeWords, shownOf } from './title-words';
import { Over, Slim } from './title-controls';
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
  &[data-many] button {
    padding: 0 0.24rem;
  }
`;

/** So many quantities stand closer together. */
const MANY = 9;

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
  &[data-many] {
    @container (width < 72rem) {
      display: none;
    }
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

const Switches = styled(ToggleButtonGroup)`
  display: grid;
  gap: 0.15rem;
  button {
    justify-content: flex-start;
  }
`;

/** One line under the sheet: what acts, what is drawn, by which rule, in which scale, and how large it gets. Its legend is its control. */
export function TitleBlock({ controller }: { readonly controller: SheetController | undefined }) {
  const editor = useEditor();
  const state = useEditorState(useShallow(shownOf));
  const outcome = useEditorState(actingIndex);
  const solution = settledSolution(state);
  const acts = solution?.outcomes[outcome] ?? state.settled.model.cases[outcome];
  const influence = useEditorState(isInfluenceShown);
  const { quantity, stage, switches } = state;
  const isShape = useEditorState(isShapeShown);
  const hasDiagram = !isShape && isOn(stage, switches, 'diagram');
  const display = useDisplay();
  const choices = choicesOf(state.settled.model.space, display);

  const isCut = useEditorState(isCutShown);
  const areFreedoms = useEditorState(areFreedomsShown);
  if (isCut || areFreedoms)
    return (
      <Block aria-label={WORDS.titleBlock}>
        <Acting title={acts?.title}>{acts?.id}</Acting>
        <Said controller={controller} extremes={isCut ? WORDS.cut : WORDS.freedoms} />
        {controller && <ViewTools controller={controller} />}
      </Block>
    );
  if (influence)
    return (
      <Block aria-label={WORDS.titleBlock}>
        <Acting>{WORDS.influence}</Acting>
        <Fill data-tone="soft">{WORDS.influenceRule(display.force)}</Fill>
        {controller && <ViewTools controller={controller} />}
      </Block>
    );
  return (
    <Block aria-label={WORDS.titleBlock}>
      <Acting title={acts?.title}>
        {acts ? acts.id : WORDS.noLoadCase}
        {acts?.title && ` · ${acts.title}`}
        {solution?.displaced?.[outcome] && ` · ${WORDS.secondOrder}`}
        {solution?.sharing && ` · ${WORDS.axiallyRigid}`}
      </Acting>
      {hasDiagram && (
        <Quantities
          selectionMode="single"
          disallowEmptySelection
          aria-label={WORDS.quantity}
          data-many={choices.length > MANY || undefined}
          selectedKeys={[quantity]}
          onSelectionChange={(keys) => editor.go({ quantity: [...keys][0] as SheetQuantity })}
        >
          {choices.map(({ id, text, label }) => (
            <ToggleButton
              key={id}
              id={id}
              aria-label={label}
              onHoverStart={() => editor.show({ pointedAt: { quantity: id } })}
              onHoverEnd={() => editor.show({ pointedAt: undefined })}
            >
              {text}
            </ToggleButton>
          ))}
        </Quantities>
      )}
      {hasDiagram && (
        <Rule title={ruleOf(quantity, state, display)} data-many={choices.length > MANY || undefined}>
          {ruleOf(quantity, state, display)}
        </Rule>
      )}
      {!isShape && <DrawnScale state={state} outcome={outcome} />}
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
          <AlsoDrawn />
          <DrawnAs />
        </Over>
      </Popover>
    </DialogTrigger>
  );
}

/** Other quantities over the same members. */
function AlsoDrawn() {
  const editor = useEditor();
  const display = useDisplay();
  const { space } = useModel();
  const stage = useEditorState((state) => state.stage);
  const switches = useEditorState((state) => state.switches);
  const drawn = useEditorState(quantityOf);
  const also = useEditorState((state) => state.also);
  if (!isOn(stage, switches, 'diagram')) return null;
  return (
    <Quantities
      selectionMode="multiple"
      aria-label={WORDS.alsoDrawn}
      selectedKeys={also ?? []}
      onSelectionChange={(keys) => editor.go({ also: [...keys] as SheetQuantity[] })}
    >
      {choicesOf(space, display)
        .filter(({ id }) => id !== drawn)
        .map(({ id, text, label }) => (
          <ToggleButton key={id} id={id} aria-label={label}>
            + {text}
          </ToggleButton>
        ))}
    </Quantities>
  );
}

/** How diagrams are drawn, and on which face moments stand. */
function DrawnAs() {
  const editor = useEditor();
  const style = useEditorState((state) => state.style);
  const face = useEditorState((state) => state.face);
  const hasDiagram = useEditorState((state) => isOn(state.stage, state.switches, 'diagram'));
  if (!hasDiagram) return null;
  return (
    <>
      <Select
        label={WORDS.drawnAs}
        choices={diagramStyles.map((id) => ({ id, text: WORDS.styles[id] }))}
        value={style}
        onChange={(id) => editor.drawAs({ style: id as DiagramStyle })}
      />
      <Select
        label={WORDS.momentsOn}
        choices={momentFaces.map((id) => ({ id, text: WORDS.faces[id] }))}
        value={face}
        onChange={(id) => editor.drawAs({ face: id as MomentFace })}
      />
    </>
  );
}
