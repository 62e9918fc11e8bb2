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
  /** All of them, from there on. */
  readonly nodes: readonly string[];
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
    if (wanted.length > 1 && isTooMany(solution, outcome, wanted)) return lineOf(whole, wanted.slice(0, 1), 'too many');
    return lineOf(whole, wanted, 'all') ?? lineOf(whole, wanted.slice(0, 1), 'apart');
  }, [solution, outcome, model, key]);
}

const isTooMany = (solution: Solution, outcome: number, ids: readonly string[]): boolean =>
  ids.length * partsOf(solution, outcome).length > MOST;

interface Whole {
  readonly solution: Solution;
  readonly outcome: number;
  readonly model: Model;
}

function lineOf({ solution, outcome, model }: Whole, ids: readonly string[], read: Run['read']): Run | undefined {
  const links = linksOf(model, ids);
  const run = links && runReader(solution, outcome, links);
  const first = links?.[0];
  if (!run || !first) return undefined;
  const begins = first.way === 'along' ? first.member.start : first.member.end;
  const nodes = [begins, ...links.map(({ member, way }) => (way === 'along' ? member.end : member.start))];
  return { run, begins, ends: nodes.at(-1)!, nodes, read };
}

/** The same run in other outcomes, by their ids; those that are not there, and that would take too long, are left out. */
export function useRunIn(
  solution: Solution | undefined,
  ids: readonly string[],
  others: readonly string[],
): readonly { readonly id: string; readonly outcome: number; readonly run: RunReader }[] {
  const model = useEditorState((state) => state.settled.model);
  const [key, wanted] = [ids.join('\n'), others.join('\n')];
  return useMemo(() => {
    if (!solution || wanted === '' || key === '') return [];
    const members = key.split('\n');
    return wanted.split('\n').flatMap((id) => {
      const outcome = solution.outcomes.findIndex((one) => one.id === id);
      if (outcome < 0 || isTooMany(solution, outcome, members)) return [];
      const found = lineOf({ solution, outcome, model }, members, 'all');
      return found ? [{ id, outcome, run: found.run }] : [];
    });
  }, [solution, model, key, wanted]);
}
