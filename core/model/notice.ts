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

/** Where it is and what stands there; what is missing has only a place, and a whole file has neither. */
const placeWords = ({ path, value }: FaultDetail): string => {
  if (path === '') return '';
  return value === undefined ? ` (${path})` : ` (${path}: ${shownValue(value)})`;
};

/** A fault, said in the order: what is wrong, where, what to do. */
export function fault(detail: FaultDetail): Notice {
  return {
    code: detail.code,
    severity: 'error',
    message: `${detail.what}${placeWords(detail)}. ${detail.remedy}.`,
    subjects: detail.subjects ?? [],
    path: detail.path,
    value: detail.value === undefined ? null : detail.value,
    expected: detail.expected,
    remedy: detail.remedy,
  };
}

export const isFault = (notice: Notice): boolean => notice.severity === 'error';
