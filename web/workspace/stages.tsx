import { counted } from '@rigid-beam/core/counted';
import type { ReactNode } from 'react';
import type { Model } from '@rigid-beam/core/model/model';
import type { Results } from '@rigid-beam/core/results/results';
import { CombinationsBench } from '../stages/CombinationsBench';
import { GeometryBench } from '../stages/GeometryBench';
import { LoadsBench } from '../stages/LoadsBench';
import { ResultsBench } from '../stages/ResultsBench';
import { SectionsBench } from '../stages/SectionsBench';
import { LoadChecks } from '../stages/loads/LoadChecks';
import { SupportChecks } from '../stages/SupportChecks';
import { SupportsBench } from '../stages/SupportsBench';
import type { Command } from '../commands/command';
import type { SheetController } from '../sheet/controller';
import { isOnlyMissing } from './told';
import { stages as WORDS } from './words';

type Found = Pick<Results, 'status' | 'notices'> | undefined;

/** What a stage holds, and how it stands. */
export interface Standing {
  readonly count: string;
  /** The same in as little room as there is. */
  readonly figure: string;
  readonly mark: 'empty' | 'order' | 'attention';
}

/** A stage of work: its place in the head, its bench, and the command that leads to it. */
interface Stage {
  readonly id: string;
  readonly words: string;
  readonly bench: (sheet: SheetController | undefined) => ReactNode;
  /** What is worth a look: under the bench, so that nothing of it moves when something comes. */
  readonly checks?: () => ReactNode;
  readonly standing: (model: Model, found: Found) => Standing;
}

/** In the order of work; none locks another. A new one is entered here. */
export const stages: readonly Stage[] = [
  {
    id: 'geometry',
    words: WORDS.geometry,
    bench: (sheet) => sheet && <GeometryBench sheet={sheet} />,
    standing: ({ nodes, members }, found) => {
      const own = standingOf(members.length, 'member', 'members', isFaulty(found, 'zero-length'));
      return { ...own, count: `${counted(nodes.length, 'node')}, ${own.count}` };
    },
  },
  {
    id: 'sections',
    words: WORDS.sections,
    bench: (sheet) => sheet && <SectionsBench sheet={sheet} />,
    standing: ({ sections }, found) =>
      standingOf(sections.length, 'section', 'sections', isFaulty(found, 'bad-shape', 'missing-property')),
  },
  {
    id: 'supports',
    words: WORDS.supports,
    bench: (sheet) => sheet && <SupportsBench sheet={sheet} />,
    checks: () => <SupportChecks />,
    standing: ({ supports }, found) =>
      standingOf(supports.length, 'support', 'supports', isFaulty(found, 'no-support', 'mechanism')),
  },
  {
    id: 'loads',
    words: WORDS.loads,
    bench: (sheet) => sheet && <LoadsBench sheet={sheet} />,
    checks: () => <LoadChecks />,
    standing: ({ loads }) => standingOf(loads.length, 'load', 'loads'),
  },
  {
    id: 'combinations',
    words: WORDS.combinations,
    bench: () => <CombinationsBench />,
    standing: ({ combinations }) => standingOf(combinations.length, 'entry', 'entries'),
  },
  {
    id: 'results',
    words: WORDS.results,
    bench: (sheet) => <ResultsBench sheet={sheet} />,
    standing: (_model, found) =>
      found?.status === 'solved'
        ? { count: 'solved', figure: '', mark: 'order' }
        : { count: 'none', figure: '', mark: found && !found.notices.every(isOnlyMissing) ? 'attention' : 'empty' },
  },
];

/** The stage of an id; the first one for ids that are none. */
export const stageOf = (id: string): Stage => stages.find((stage) => stage.id === id) ?? stages[0]!;

export const stageCommands: readonly Command[] = stages.map(({ id, words }) => ({
  name: WORDS.goTo(words.toLowerCase()),
  run: ({ editor }) => {
    editor.go({ stage: id });
    return undefined;
  },
}));

const isFaulty = (found: Found, ...codes: readonly string[]): boolean =>
  found?.notices.some(({ code, severity }) => severity === 'error' && codes.includes(code)) ?? false;

function standingOf(n: number, one: string, many: string, attention = false): Standing {
  return {
    count: counted(n, one, many),
    figure: n < 1000 ? String(n) : `${(n / 1000).toFixed(1)} k`,
    mark: attention ? 'attention' : n === 0 ? 'empty' : 'order',
  };
}
