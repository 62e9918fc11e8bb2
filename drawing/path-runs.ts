import type { DisplayList, Path } from './display-list';
import { sameStyle } from './same-style';

/** Paths that follow each other in the same style: what reads a file looks at each element of it. */
export function pathRuns(list: DisplayList): readonly (readonly Path[])[] {
  const runs: Path[][] = [];
  for (const item of list) {
    if (item.kind !== 'path') continue;
    const run = runs.at(-1);
    if (run && sameStyle(run[0]!, item)) run.push(item);
    else runs.push([item]);
  }
  return runs;
}
