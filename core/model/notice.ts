import { placeWords } from './place-words';

export type Severity = 'note' | 'warning' | 'error';

/** Something to tell the engineer. A fault is a notice of severity `error`, and then carries where, what and what to do. */
export interface Notice {
  readonly code: string;
  readonly severity: Severity;
  readonly message: string;
  /** What it is about, as the engineer names it: `node 4`, `member a`, `case Q`. */
  readonly subjects: readonly string[];
  /** Where in the model file, as `members[3].section`. */
  readonly path?: string;
  readonly value?: unknown;
  readonly expected?: string;
  readonly remedy?: string;
}

const MAXIMUM_SHOWN = 80;

/** The offending value, cut to a length that a message can carry. */
export function shownValue(value: unknown): string {
  if (value === undefined) return 'nothing';
  if (typeof value === 'number') return String(value);
  let text: string;
  try {
    text = JSON.stringify(value) ?? String(value);
  } catch {
    text = String(value);
  }
  return text.length > MAXIMUM_SHOWN ? `${text.slice(0, MAXIMUM_SHOWN)}…` : text;
}

export interface FaultDetail {
  readonly code: string;
  readonly path: string;
  readonly value: unknown;
  /** What is wrong, as a sentence without a full stop. */
  readonly what: string;
  readonly expected: string;
  readonly remedy: string;
  readonly subjects?: readonly string[];
}

/** Where it is, as an engineer says it, and what stands there; what the sentence names already is not said again. */
function placed({ what, path, value }: FaultDetail, root: unknown): string {
  const [entry = '', ...keys] = placeWords(path, root).split(', ');
  const isSaid = (name: string): boolean => name !== '' && what.includes(`“${name}”`);
  // “Member “a” has no length” needs no “(member a)” behind it.
  const isNamed = isSaid(entry.slice(entry.lastIndexOf(' ') + 1)) || (entry.startsWith('number ') && /^[A-Z][a-z]+ “/.test(what));
  // A name that is wrong is named already.
  const where = [...(isNamed ? [] : [entry]), ...keys.filter((key) => key !== 'id' && !isSaid(key))].filter(Boolean).join(', ');
  const words = [where, foundWords(what, value)].filter(Boolean).join(': ');
  return words === '' ? '' : ` (${words})`;
}

/** A number or a text that stands where another was expected. */
function foundWords(what: string, value: unknown): string {
  if (typeof value === 'number') return shownValue(value);
  return typeof value === 'string' && !what.includes(`“${value}”`) ? `“${shownValue(value).replace(/^"|"$/g, '')}”` : '';
}

/** A fault, said in the order: what is wrong, where, what to do. `root` is what its path leads into: its names are then used. */
export function fault(detail: FaultDetail, root?: unknown): Notice {
  return {
    code: detail.code,
    severity: 'error',
    message: `${detail.what}${placed(detail, root)}. ${detail.remedy}.`,
    subjects: detail.subjects ?? [],
    path: detail.path,
    value: detail.value === undefined ? null : detail.value,
    expected: detail.expected,
    remedy: detail.remedy,
  };
}

export const isFault = (notice: Notice): boolean => notice.severity === 'error';
