import { useMemo } from 'react';
import type { Model } from '@rigid-beam/core/model/model';
import { linksOf } from '@rigid-beam/core/model/runs';
import { partsOf } from '@rigid-beam/core/results/read';
import type { Solution } from '@rigid-beam/core/results/results';
import { runReader, type RunReader } from '@rigid-beam/core/results/run-reader';
import { useEditorState } from '../editor/use-editor';

/** Members times parts of an envelope that are read as one line at most: each chart asks all of them. */
const MOST = 4000;

/** Some members read as one line. */
export interface Run {
  readonly run: RunReader;
  /** The nodes at its beginning and its end. */
  readonly begins: string;
  readonly ends: string;
  /** Of what was asked for all of it, or why only the first member. */
  readonly read: 'all' | 'apart' | 'too many';
}

/** The members of these ids as the solution has them: as one line where they follow each other, else the first; undefined where there is none to read. */
export function useRun(solution: Solution | undefined, outcome: number, ids: readonly string[]): Run | undefined {
  const model = useEditorState((state) => state.settled.model);
  const key = ids.join('\n');
  return useMemo(() => {
    const wanted = key === '' ? [] : key.split('\n');
    if (!solution?.outcomes[outcome] || wanted.length === 0) return undefined;
    const whole = { solution, outcome, model };
    if (wanted.length * partsOf(solution, outcome).length > MOST && wanted.length > 1)
      return lineOf(whole, wanted.slice(0, 1), 'too many');
    return lineOf(whole, wanted, 'all') ?? lineOf(whole, wanted.slice(0, 1), 'apart');
  }, [solution, outcome, model, key]);
}

interface Whole {
  readonly solution: Solution;
  readonly outcome: number;
  readonly model: Model;
}

function lineOf({ solution, outcome, model }: Whole, ids: readonly string[], read: Run['read']): Run | undefined {
  const links = linksOf(model, ids);
  const run = links && runReader(solution, outcome, links);
  const [first, last] = [links?.[0], links?.at(-1)];
  if (!run || !first || !last) return undefined;
  const begins = first.way === 'along' ? first.member.start : first.member.end;
  return { run, begins, ends: last.way === 'along' ? last.member.end : last.member.start, read };
}
