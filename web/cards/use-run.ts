import { useMemo } from 'react';
import { linksOf } from '@rigid-beam/core/model/runs';
import { runReader, type RunReader } from '@rigid-beam/core/results/run-reader';
import type { Solution } from '@rigid-beam/core/results/results';
import { useEditorState } from '../session/use-editor';

/** Members that are read as one line at most. */
const LONGEST = 400;

/** What is read of some members: all of them as one line where they follow each other, else the first. */
export interface Run {
  readonly run: RunReader;
  /** The nodes at its beginning and its end. */
  readonly begins: string;
  readonly ends: string;
  readonly isWhole: boolean;
}

/** The members of these ids as the solution has them; undefined where there is none to read. */
export function useRun(solution: Solution | undefined, outcome: number, ids: readonly string[]): Run | undefined {
  const model = useEditorState((state) => state.settled.model);
  const key = ids.join('\n');
  return useMemo(() => {
    const wanted = key === '' ? [] : key.split('\n');
    if (!solution?.outcomes[outcome] || wanted.length === 0) return undefined;
    for (const some of wanted.length > 1 && wanted.length <= LONGEST ? [wanted, wanted.slice(0, 1)] : [wanted.slice(0, 1)]) {
      const links = linksOf(model, some);
      const run = links && runReader(solution, outcome, links);
      const [first, last] = [links?.[0], links?.at(-1)];
      if (!run || !first || !last) continue;
      return {
        run,
        begins: first.way === 'along' ? first.member.start : first.member.end,
        ends: last.way === 'along' ? last.member.end : last.member.start,
        isWhole: some.length === wanted.length,
      };
    }
    return undefined;
  }, [solution, outcome, model, key]);
}
