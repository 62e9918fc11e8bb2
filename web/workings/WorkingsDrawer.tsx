'use client';

import type { Model } from '@rigid-beam/core/model/model';
import type { Solution } from '@rigid-beam/core/results/results';
import { workingsIn } from '@rigid-beam/core/workings/ask';
import type { WorkingsStep, WorkingsStepId } from '@rigid-beam/core/workings/blocks';
import { workingsStepsOf } from '@rigid-beam/core/workings/steps';
import type { NumbersWay, WorkingsWay } from '@rigid-beam/core/workings/number-words';
import type { Worked } from '@rigid-beam/core/workings/worked';
import { workingsPage } from '@rigid-beam/drawing/workings/html-workings';
import { useEffect, useMemo, useState } from 'react';
import styled from 'styled-components';
import { keepFile } from '../browser/keep-file';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { sheetFreedoms, type SheetFreedom } from '@rigid-beam/core/workings/follow-words';
import { actingIndex, type EditorState } from '../editor/editor-state';
import { settledSolution, useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import { Bar, Drawer, Said, Scroll } from '../schedules/parts';
import { Button, PanelTitle, PlainButton, TextButton, ToggleButton } from '../ui/controls';
import { readEffect } from '@rigid-beam/core/influence/read-effect';
import { chainOf, type Chain } from '@rigid-beam/core/workings/chain';
import { Block } from './Blocks';
import { workings as WORDS } from './words';

const Read = styled(Scroll)`
  padding: 0.3rem 0.9rem 0.8rem;
  p {
    margin: 0.3rem 0;
  }
  h3 {
    margin: 0.2rem 0 0.4rem;
    font-size: 0.92rem;
  }
  h4 {
    margin: 0.8rem 0 0.2rem;
    font-size: 0.86rem;
  }
  h4 button {
    font-weight: 400;
  }
`;

/** How the results of the acting case or sum come about, step by step; of the selected members where some are selected. */
export function WorkingsDrawer() {
  const solution = useEditorState(settledSolution);
  const outcome = useEditorState(actingIndex);
  const model = useEditorState((state) => state.settled.model);
  const id = solution?.outcomes[outcome]?.id;
  const selected = useEditorState(selectedMembers);
  const traced = useEditorState((state) => state.traced);
  const found = useMemo(
    () =>
      solution && id !== undefined
        ? workingsIn(model, solution, id, chosenIn(model, solution, { selected, traced }))
        : WORDS.none,
    [model, solution, id, selected, traced],
  );
  const editor = useEditor();
  const display = useDisplay();
  // While they are read, the freedoms stand on the sheet.
  useEffect(() => {
    editor.show({ worked: typeof found === 'string' ? undefined : { model, freedoms: freedomsOf(found, selected, display) } });
  }, [editor, model, found, selected, display]);
  useEffect(() => () => editor.show({ worked: undefined, lit: [], litMember: undefined }), [editor]);
  return (
    <Drawer aria-label={WORDS.title(id ?? '')}>
      {typeof found === 'string' ? (
        <Bar>
          <Said role="status">{found}</Said>
          <Close />
        </Bar>
      ) : (
        <Steps of={found} id={id!} title={model.title} />
      )}
    </Drawer>
  );
}

/** What is worked out of a large model: what is selected, else the members at the number that is traced. */
function chosenIn(
  model: Model,
  { structure }: Solution,
  { selected, traced }: { readonly selected: string; readonly traced: string | undefined },
): readonly string[] {
  const own = selected === '' ? [] : selected.split('\n');
  const effect = traced === undefined ? undefined : readEffect(traced, model, structure);
  if (!effect || !('kind' in effect)) return own;
  const { members } = structure.names;
  if (effect.kind === 'along') return [...own, members[effect.member]!];
  return [...own, ...members.filter((_, m) => [0, 1].some((e) => structure.memberNodes[2 * m + e] === effect.node))];
}

/** The selected members, a line each: what was written stays while other things are selected. */
const selectedMembers = ({ selection }: Pick<EditorState, 'selection'>): string =>
  selection.flatMap((one) => (one.kind === 'member' ? [one.id] : [])).join('\n');

/** The freedoms of some members, or all: where many stand close to each other they could not be read. */
function freedomsOf(
  { members, numbered, structure, part }: Worked,
  selected: string,
  display: DisplayUnits,
): readonly SheetFreedom[] {
  const all = sheetFreedoms(numbered, display, part?.nodes);
  if (selected === '') return all;
  const ids = new Set(selected.split('\n'));
  const nodes = new Set(
    members.flatMap(({ id, index }) =>
      ids.has(id) ? [structure.memberNodes[2 * index]!, structure.memberNodes[2 * index + 1]!] : [],
    ),
  );
  const at = part ? new Set(Array.from(nodes, (node) => part.nodes[node]!)) : nodes;
  return all.filter(({ node }) => at.has(node));
}

interface StepsProps {
  readonly of: Worked;
  readonly id: string;
  readonly title: string;
}

/** Members that are worked out before the eyes at once; a page has all of them. */
const AT_ONCE = 8;

function Steps({ of, id, title }: StepsProps) {
  const display = useDisplay();
  const selected = useEditorState(selectedMembers);
  const all = of.part?.chosen ?? of.structure.names.members;
  const shown = useMemo(() => {
    if (selected !== '') return selected.split('\n').slice(0, AT_ONCE);
    return all.length > AT_ONCE || of.part ? all.slice(0, AT_ONCE) : undefined;
  }, [selected, all, of.part]);
  const [way, setWay] = useState<WorkingsWay>('plain');
  const steps = useMemo(() => workingsStepsOf(of, display, shown && new Set(shown), way), [of, display, shown, way]);
  const traced = useEditorState((state) => state.traced);
  const model = useEditorState((state) => state.settled.model);
  const chain = useMemo((): Chain | string | undefined => {
    if (traced === undefined) return undefined;
    const effect = readEffect(traced, model, of.structure);
    return 'kind' in effect ? chainOf(of, effect, display, way) : effect.message;
  }, [traced, model, of, display, way]);
  const [at, setAt] = useState<number | typeof CHAIN>(0);
  // A number that is asked for is what one wants to read.
  useEffect(() => setAt(traced === undefined ? 0 : CHAIN), [traced]);
  const isChain = at === CHAIN && chain !== undefined;
  const step = steps[Math.min(at === CHAIN ? 0 : at, steps.length - 1)]!;
  const keep = (numbers: NumbersWay): void => {
    const page = workingsStepsOf(of, display, selected === '' ? undefined : new Set(selected.split('\n')), way);
    keepFile(WORDS.file(title, id), workingsPage(page, { title: `${title} · ${id}`, numbers }), 'text/html');
  };
  return (
    <>
      <Bar>
        <PanelTitle>{WORDS.title(id)}</PanelTitle>
        {chain !== undefined && (
          <ToggleButton isSelected={isChain} onChange={() => setAt(CHAIN)}>
            {WORDS.whereFrom}
          </ToggleButton>
        )}
        {steps.map((one, i) => (
          <ToggleButton key={one.id} isSelected={one === step && !isChain} onChange={() => setAt(i)}>
            {WORDS.step(i + 1, WORDS.short[one.id])}
          </ToggleButton>
        ))}
        <ToggleButton isSelected={way === 'in EI'} onChange={(on) => setWay(on ? 'in EI' : 'plain')}>
          {WORDS.inEI}
        </ToggleButton>
        <Button onPress={() => keep('written')}>{WORDS.page}</Button>
        <Button onPress={() => keep('both')}>{WORDS.fillIn}</Button>
        <Close />
      </Bar>
      {isChain && <Links chain={chain} of={of} steps={steps} go={setAt} />}
      {!isChain && (
        <Read role="region" tabIndex={0} aria-label={step.title}>
          <h3>{step.title}</h3>
          {shown && MEMBERS.has(step.id) && (
            <p>{selected === '' ? WORDS.first(shown.join(', ')) : WORDS.selected(shown.join(', '))}</p>
          )}
          {step.blocks.map((block, i) => (
            // Blocks of a step have no names of their own.
            <Block key={`${step.id} ${i}`} block={block} of={of} />
          ))}
        </Read>
      )}
    </>
  );
}

/** In place of a step: the chain behind one number. */
const CHAIN = 'chain';

interface LinksProps {
  readonly chain: Chain | string;
  readonly of: Worked;
  readonly steps: readonly WorkingsStep[];
  readonly go: (step: number) => void;
}

/** The number, and link by link what it is the sum of, down to the loads. */
function Links({ chain, of, steps, go }: LinksProps) {
  const editor = useEditor();
  if (typeof chain === 'string')
    return (
      <Read role="region" tabIndex={0} aria-label={WORDS.whereFrom}>
        <p role="status">{chain}.</p>
      </Read>
    );
  return (
    <Read role="region" tabIndex={0} aria-label={WORDS.whereFrom}>
      <h3>{chain.title}</h3>
      {chain.links.map(({ title, blocks, leads }) => {
        const step = steps.findIndex(({ id }) => id === leads.step);
        return (
          <section key={title}>
            <h4>
              {title}{' '}
              {step >= 0 && (
                <TextButton
                  onPress={() => {
                    if (leads.member !== undefined) editor.select([{ kind: 'member', id: leads.member }]);
                    go(step);
                  }}
                >
                  {WORDS.leads(WORDS.step(step + 1, WORDS.short[leads.step]))}
                </TextButton>
              )}
            </h4>
            {blocks.map((block, i) => (
              // Blocks of a link have no names of their own.
              <Block key={`${title} ${i}`} block={block} of={of} />
            ))}
          </section>
        );
      })}
    </Read>
  );
}

/** Steps that go member by member. */
const MEMBERS: ReadonlySet<WorkingsStepId> = new Set(['members', 'fixed-ends', 'ends', 'pieces']);

function Close() {
  const editor = useEditor();
  return (
    <PlainButton aria-label={WORDS.close} onPress={() => editor.show({ drawer: undefined })}>
      ✕
    </PlainButton>
  );
}
