'use client';

import { isRange } from '@rigid-beam/core/combinations/outcome';
import { jointOf } from '@rigid-beam/core/results/bodies/joint';
import type { Solution } from '@rigid-beam/core/results/results';
import { balanceWords, jointTable, supportsTable } from '@rigid-beam/core/tables/results/cut';
import { useDisplay } from '../editor/use-editor';
import { Hint, PanelSubtitle } from '../ui/controls';
import { CopiedTable } from '../ui/CopiedTable';
import { nodeReading as WORDS } from './words';

interface NodeReadingProps {
  /** Places of the nodes in the structure. */
  readonly nodes: readonly number[];
  readonly solution: Solution;
  readonly outcome: number;
}

/** One joint cut free, with all that acts on it; of several supports what they exert together. */
export function NodeReading({ nodes, solution, outcome }: NodeReadingProps) {
  const display = useDisplay();
  const { id } = solution.outcomes[outcome]!;
  if (isRange(solution.outcomes[outcome]!)) return <Hint>{WORDS.ofOneOutcome}</Hint>;
  const [node] = nodes;
  const supports = nodes.filter((one) => solution.supported[one]);
  if (nodes.length === 1) {
    const joint = jointOf(solution, outcome, node!);
    return (
      <>
        <PanelSubtitle>{WORDS.joint(id)}</PanelSubtitle>
        <CopiedTable table={jointTable(joint, solution, display)} />
        <Hint>{balanceWords(joint.residual)}</Hint>
      </>
    );
  }
  if (supports.length < 2) return null;
  return (
    <>
      <PanelSubtitle>{WORDS.supports(id)}</PanelSubtitle>
      <CopiedTable table={supportsTable(solution, outcome, supports, display)} />
      <Hint>{WORDS.aboutTheMiddle}</Hint>
    </>
  );
}
