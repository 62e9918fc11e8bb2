'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import styled from 'styled-components';
import { actingIndex } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Hint, PanelTitle, PlainButton, Select } from '../ui/controls';
import { DASH_SIGNS, DASHES } from './charts/dashes';
import { useRun, useRunIn, type Run } from './use-run';
import { chartsDrawer as WORDS } from './words';

/** Comes when somebody reads diagrams. */
const RunCharts = dynamic(() => import('./charts/RunCharts').then((all) => all.RunCharts), { ssr: false });

const Drawer = styled.section`
  height: 100%;
  overflow-y: auto;
  padding: 0.4rem 0.9rem 0.8rem;
  background: var(--panel);
  border-top: 1.5px solid var(--ink);
`;

const Head = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: center;
`;

const Named = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
  align-items: center;
  margin-left: auto;
  padding: 0 0.6rem;
`;

/** Why of several members the first is read. */
const ONE_ONLY = {
  apart: WORDS.notARun,
  'too many': WORDS.tooMany,
} as const;

function titleOf({ run: { stretches }, begins, ends }: Run): string {
  return stretches.length === 1 ? WORDS.member(stretches[0]!.member) : WORDS.run(stretches.length, begins, ends);
}

/** The diagrams of the selected member, or of a run of members, at a size that can be read, with one cursor through all of them. */
export function ChartsDrawer() {
  const editor = useEditor();
  const display = useDisplay();
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const selection = useEditorState((state) => state.selection);
  const ids = selection.flatMap((subject) => (subject.kind === 'member' ? [subject.id] : []));
  const found = useRun(solution, outcome, ids);
  const [besides, setBesides] = useState<readonly string[]>([]);
  const acts = solution?.outcomes[outcome]?.id;
  const isShape = solution?.outcomes[outcome]?.kind === 'shape';
  const chosen = besides.filter((id) => id !== acts && solution?.outcomes.some((one) => one.id === id));
  const others = useRunIn(solution, found?.read === 'all' ? ids : ids.slice(0, 1), chosen);
  return (
    <Drawer aria-label={WORDS.diagramsAlongMembers}>
      <Head>
        <PanelTitle>{found ? titleOf(found) : WORDS.diagrams}</PanelTitle>
        {solution && found && (
          <Besides
            names={solution.outcomes.flatMap(({ id, kind }) => (id === acts || kind === 'shape' ? [] : [id]))}
            chosen={chosen}
            onChange={setBesides}
          />
        )}
        <PlainButton aria-label={WORDS.closeTheDiagrams} onPress={() => editor.show({ drawer: undefined })}>
          ✕
        </PlainButton>
      </Head>
      {found && found.read !== 'all' && <Hint>{ONE_ONLY[found.read]}</Hint>}
      {others.length < chosen.length && <Hint role="status">{WORDS.othersTooMany}</Hint>}
      {isShape ? (
        <Hint>{WORDS.ofAShape}</Hint>
      ) : solution && found ? (
        <RunCharts
          key={ids.join()}
          solution={solution}
          outcome={outcome}
          run={found.run}
          nodes={found.nodes}
          display={display}
          others={others}
        />
      ) : (
        <Hint>{WORDS.selectFirst}</Hint>
      )}
    </Drawer>
  );
}

interface BesidesProps {
  readonly names: readonly string[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}

/** What stands in the choice until one is made; no outcome has it for a name. */
const NONE = ' ';

/** Outcomes that are drawn in the same charts: a few at most, each told by its dashes. */
function Besides({ names, chosen, onChange }: BesidesProps) {
  const left = names.filter((id) => !chosen.includes(id));
  return (
    <Named role="group" aria-label={WORDS.others}>
      {chosen.map((id, i) => (
        <PlainButton key={id} aria-label={WORDS.without(id)} onPress={() => onChange(chosen.filter((one) => one !== id))}>
          {DASH_SIGNS[i % DASH_SIGNS.length]} {id} ×
        </PlainButton>
      ))}
      {left.length > 0 && chosen.length < DASHES.length && (
        <Select
          label={WORDS.add}
          hideLabel
          choices={[{ id: NONE, text: WORDS.add }, ...left.map((id) => ({ id, text: id }))]}
          value={NONE}
          onChange={(id) => id !== NONE && onChange([...chosen, id])}
        />
      )}
    </Named>
  );
}
