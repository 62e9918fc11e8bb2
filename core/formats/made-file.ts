import type { Notice } from '../model/notice';
import type { Results } from '../results/results';
import type { FilePart } from './format';

/** A file as it was asked for: its parts one after the other, and what its reader should know. */
export interface MadeFile {
  readonly mediaType: string;
  /** Of its name, the dot included. */
  readonly extension: string;
  readonly parts: Iterable<FilePart>;
  readonly notes: readonly string[];
}

/** Why there is no such file: in words what was asked wrongly, or what the analysis says. */
export type Refusal =
  | { readonly words: string }
  | { readonly status: Exclude<Results['status'], 'solved'>; readonly notices: readonly Notice[] };

export const isRefusal = (one: MadeFile | Refusal): one is Refusal => !('parts' in one);

/** What takes its time, as it begins. */
export const stages = ['solving', 'drawing', 'writing'] as const;
export type Stage = (typeof stages)[number];

/** The refusal that results without a solution are. */
export const unsolved = ({ status, notices }: Results): Refusal => ({
  status: status === 'solved' ? 'invalid' : status,
  notices,
});
