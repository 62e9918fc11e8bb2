'use client';

import Link from 'next/link';
import styled from 'styled-components';
import { isFault } from '@rigid-beam/core/model/notice';
import { digitsOfShare } from '@rigid-beam/core/quantities/show';
import { isHeld, type EditorState } from '../editor/editor-state';
import { NARROW } from '../editor/slices/page';
import type { SolveProgress } from '../solver/solver.worker';
import { useEditor, useEditorState } from '../editor/use-editor';
import { AppearanceButton } from '../ui/AppearanceButton';
import type { SheetController } from '../sheet/controller';
import { changeProject } from '../projects/requests';
import { PlainButton } from '../ui/controls';
import { InPlaceText } from '../ui/InPlaceText';
import { CommandField } from './CommandField';
import { SaveMenu } from './SaveMenu';
import { StageTabs } from './StageTabs';
import { headStrip as WORDS } from './words';

const Strip = styled.header`
  grid-area: head;
  display: flex;
  align-items: center;
  gap: 0.3rem;
  min-height: 2.1rem;
  padding: 0 0.5rem;
  background: var(--panel);
  border-bottom: 1.5px solid var(--ink);
  white-space: nowrap;
  @media ${NARROW} {
    flex-wrap: wrap;
  }
  a {
    color: var(--soft);
  }
`;

const Where = styled.div`
  display: flex;
  flex: 0 8 auto;
  align-items: baseline;
  gap: 0.3rem;
  min-width: 8rem;
  max-width: 16.8rem;
  @media (min-width: 90rem) {
    max-width: 28rem;
  }
  overflow: hidden;
  @media (max-width: 72rem) {
    flex-basis: 8rem;
    > a,
    > button,
    > span {
      display: none;
    }
  }
  > a {
    flex: 0 8 auto;
    min-width: 2.5rem;
    max-width: 5rem;
    @media (min-width: 90rem) {
      max-width: 12rem;
    }
    overflow: hidden;
    text-overflow: ellipsis;
  }
`;

const Numbered = styled.span`
  && {
    flex: none;
    max-width: 6rem;
  }
`;

const Title = styled.h1`
  flex: 0 1 auto;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 0.88rem;
  font-weight: 600;
`;

const Grow = styled.div`
  flex: 1;
`;

const State = styled.p`
  flex: 0 1 auto;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  font-size: 0.75rem;
  &[data-tone='good'] {
    color: var(--good);
  }
  &[data-tone='attention'] {
    color: var(--attention);
  }
  &[data-tone='fault'] {
    color: var(--fault);
    font-weight: 600;
  }
`;

/** Gives way first: its beginning says enough, and the whole stands in its title. As wide for whatever it says, so that nothing moves with it. */
const Solution = styled(State)`
  flex: 0 30 7.4rem;
  min-width: 3.2rem;
`;

const Storage = styled(State)`
  min-width: 3.4rem;
`;

/** Undo and redo, where one is, whether the model is solved, and whether it is stored. */
export function HeadStrip({ sheet }: { readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const title = useEditorState((state) => state.model.title);
  const projectName = useEditorState((state) => state.projectName);
  const history = useEditorState((state) => state.history);
  const solving = useEditorState(solutionWords);
  const stored = useEditorState(storageWords);
  const progress = useEditorState((state) => state.progress);
  const panel = useEditorState((state) => state.panel);
  const [solvingTone, solvingText, solvingTitle = solvingText] = solving.split('|') as [string, string, string?];
  const [storedTone, storedText] = stored.split('|') as [string, string];
  const undo = history.undo.at(-1);
  const redo = history.redo.at(-1);
  return (
    <Strip>
      <PlainButton
        aria-label={panel === 'open' ? WORDS.foldTheSidePanelAway : WORDS.showTheSidePanel}
        aria-keyshortcuts="q"
        onPress={() => editor.show({ panel: panel === 'open' ? 'folded' : 'open' })}
      >
        {panel === 'open' ? '◧' : '▯'}
      </PlainButton>
      {/* Left of whatever changes its width, so that they stand still under a hand that presses them again. */}
      <PlainButton isDisabled={!undo} aria-label={undo ? `Undo: ${undo.label}` : WORDS.undo} onPress={() => editor.undo()}>
        ↶
      </PlainButton>
      <PlainButton isDisabled={!redo} aria-label={redo ? `Redo: ${redo.label}` : WORDS.redo} onPress={() => editor.redo()}>
        ↷
      </PlainButton>
      <Where>
        <Numbered>
          <ProjectNumber />
        </Numbered>
        <Link href="/" prefetch={false}>
          {projectName}
        </Link>
        <span aria-hidden>/</span>
        <Title title={title}>
          <InPlaceText
            label={WORDS.nameOfTheModel}
            value={title}
            empty={WORDS.untitled}
            longest={200}
            onCommit={(next) => editor.edit({ type: 'set', settings: { title: next } })}
          />
        </Title>
      </Where>
      <StageTabs />
      <Grow />
      <CommandField sheet={sheet} />
      <Solution role="status" data-tone={solvingTone} data-testid="solution" title={solvingTitle}>
        {solvingText}
      </Solution>
      {progress === 'stopped' ? (
        <PlainButton onPress={() => editor.solveAgain()}>{WORDS.solve}</PlainButton>
      ) : (
        progress && <PlainButton onPress={() => editor.stopSolving()}>{WORDS.stop}</PlainButton>
      )}
      <Storage role="status" data-tone={storedTone} data-testid="storage">
        {storedText}
      </Storage>
      <SaveMenu />
      <AppearanceButton />
    </Strip>
  );
}

/** The number of the project, which all its models share. */
function ProjectNumber() {
  const editor = useEditor();
  const number = useEditorState((state) => state.projectNumber);
  return (
    <InPlaceText
      label={WORDS.numberOfTheProject}
      value={number}
      empty={WORDS.noNumber}
      longest={40}
      onCommit={(next) => {
        void changeProject(editor.opened.projectId, { number: next }).then((faults) =>
          faults.length > 0
            ? editor.refuse(faults.map(({ message }) => message).join(' '))
            : editor.show({ projectNumber: next }),
        );
      }}
    />
  );
}

const PHASES: Record<SolveProgress['phase'], string> = {
  stiffness: WORDS.stiffnessOfTheMembers,
  ordering: 'ordering',
  factorization: 'factorization',
  cases: 'cases',
  combinations: 'envelope',
};

const timeWords = (milliseconds: number): string => milliseconds.toFixed(milliseconds < 100 ? 1 : 0);

/** `tone|text`, and `|more` that is shown on asking: a plain string, so that the strip follows only when the words change. */
function solutionWords(state: EditorState): string {
  const { progress, reading } = state;
  // What the sheet shows is told with it; only in hand a large structure waits.
  const { results, milliseconds } = isHeld(state) ? state.settled : state.drawn;
  if (progress === 'stopped') return `attention|${WORDS.stoppedNotSolved}`;
  if (progress) {
    const share = progress.done > 0 ? ` ${Math.round(100 * progress.done)} %` : '';
    return `plain|Solving: ${PHASES[progress.phase]}${share}`;
  }
  if (reading !== undefined) return `plain|${WORDS.readingTheEnvelope(Math.round(100 * reading))}`;
  if (!results) return `plain|${WORDS.solving}`;
  if (results.status === 'unstable') {
    const count = results.mechanisms.filter(({ harmless }) => !harmless).length;
    return `fault|${WORDS.mechanisms(count)}`;
  }
  const faults = results.notices.filter(isFault).length;
  if (results.status === 'invalid') {
    const empty = results.notices.every(({ code }) => code === 'no-members' || code === 'no-support');
    return empty ? `attention|${WORDS.notReadyToSolve}` : `fault|${WORDS.faults(faults)}`;
  }
  const worst = Math.max(0, ...(results.solution?.responses.map(({ equilibrium }) => equilibrium.residual) ?? []));
  const balance = worst < 1e-9 ? WORDS.inBalance : WORDS.balanceTo(digitsOfShare(worst));
  return `good|${WORDS.solved(balance)}|${WORDS.solvedInMs(timeWords(milliseconds ?? 0), balance)}`;
}

function storageWords({ storage }: EditorState): string {
  switch (storage.status) {
    case 'stored':
      return 'good|Stored';
    case 'storing':
      return `plain|${WORDS.storing}`;
    case 'unreachable':
      return `attention|${WORDS.silent}`;
    case 'failing':
      return `fault|${WORDS.failing}`;
    case 'refused':
      return `fault|${WORDS.notStored}`;
    case 'conflict':
      return `fault|${WORDS.changedElsewhere}`;
  }
}
