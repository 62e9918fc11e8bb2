import { withAxes } from '../quantities/axis-names';
import type { DisplayUnits } from '../quantities/display';

/** What an entry of a list of the model is called; supports are known by their node. */
const NOUNS: Readonly<Record<string, string>> = {
  nodes: 'node',
  members: 'member',
  sections: 'section',
  materials: 'material',
  supports: 'support at node',
  cases: 'load case',
  loads: 'load',
  combinations: 'combination',
  groups: 'group',
  trains: 'train',
  expected: 'expected value',
  ruleSets: 'set of rules',
  parameters: 'parameter',
  structures: 'structure',
  formulas: 'expression of',
};

/** Keys whose own name is not what an engineer calls them. */
const KEYS: Readonly<Record<string, string>> = {
  at: 'position',
  from: 'begin',
  to: 'end',
  udl: 'intensity',
  nu: 'Poisson’s ratio',
  alpha: 'thermal expansion',
  density: 'density',
  fy: 'yield stress',
  selfWeight: 'self weight',
  limitState: 'limit state',
  gradientY: 'gradient along {y}',
  gradientZ: 'gradient along {z}',
};

/** `loads[3].from.at` → `loads`, 3, `from`, `at`. */
const stepsOf = (path: string): (string | number)[] =>
  [...path.matchAll(/\[(\d+)\]|([^.[\]]+)/g)].map(([, index, key]) => (index === undefined ? key! : Number(index)));

/** What is known by its name in the entry of a list: `load 7`; without a name its place in the list. */
function entryWords(list: string, index: number, named: unknown): string | undefined {
  const noun = NOUNS[list];
  if (!noun) return undefined;
  const entry = typeof named === 'object' && named !== null ? (named as Record<string, unknown>) : {};
  const id = entry[list === 'supports' ? 'node' : list === 'formulas' ? 'of' : 'id'];
  return typeof id === 'string' && id !== '' ? `${noun} ${id}` : `number ${index + 1} of the ${list}`;
}

/**
 * Where something stands in a model, as one says it: `loads[3].at` is “load 7, position”. A list alone, or the argument of an edit, is no
 * place that helps, and gives an empty text. `root` is what the path leads into.
 */
export function placeWords(path: string, root?: unknown): string {
  const [list, index, ...rest] = stepsOf(path);
  if (typeof list !== 'string' || index === undefined) return '';
  const model = typeof root === 'object' && root !== null ? (root as Record<string, unknown>) : {};
  const said = (steps: readonly (string | number)[]): string => withAxes(inWords(steps), namesIn(model['display']));
  if (typeof index === 'string') return said([list, index, ...rest]);
  const entries = model[list];
  const entry = entryWords(list, index, Array.isArray(entries) ? entries[index] : undefined);
  return entry ? [entry, said(rest)].filter(Boolean).join(', ') : said([list, index, ...rest]);
}

/** How axes are called in a model that was not checked yet. */
const namesIn = (display: unknown): Pick<DisplayUnits, 'up' | 'strong'> => {
  const own = typeof display === 'object' && display !== null ? (display as Record<string, unknown>) : {};
  return { up: own['up'] === 'Z' ? 'Z' : 'Y', strong: own['strong'] === 'y' ? 'y' : 'z' };
};

/** `parts`, 1, `outline` → “part 2, outline”. */
function inWords(steps: readonly (string | number)[]): string {
  const words: string[] = [];
  for (const step of steps) {
    if (typeof step === 'string') words.push(KEYS[step] ?? step);
    else words.push(`${/\d$/.test(words.at(-1) ?? '0') ? 'number' : words.pop()!.replace(/s$/, '')} ${step + 1}`);
  }
  return words.join(', ');
}
