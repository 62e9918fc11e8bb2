import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { Brought } from '../brought';
import { historyOf, type History } from '../history';
import type { StorageState } from '../storage';
import type { Slice } from './slice';

/** An edit that was not stored, with why; what it was is kept for copying. */
export interface Clash {
  readonly label: string;
  readonly words: string;
  readonly intent: Intent;
}

/** An edit that is only kept when someone says so, once the structure turns out to be unstable with it. */
export interface Proposal {
  readonly intent: Intent;
  readonly label: string;
  readonly model: Model;
  readonly isUnstable: boolean;
}

/** The model, how it came to be so, and what its last edit has to say. */
export interface DocumentSlice {
  readonly projectName: string;
  readonly projectNumber: string;
  readonly model: Model;
  /** The model while something is dragged; not stored yet. */
  readonly preview: Model | undefined;
  /** An edit that waits to be kept: it is shown and solved, and nobody knows yet whether the structure stands with it. */
  readonly proposal: Proposal | undefined;
  readonly storage: StorageState;
  readonly history: History;
  /** Why the last edit was refused. */
  readonly refusal: readonly Notice[];
  /** What the last edit left out. */
  readonly remarks: readonly string[];
  /** What the last shape brought with it. */
  readonly brought: Brought | undefined;
  /** Edits that could not be put on top of a newer state: they are told until they have been read. */
  readonly clashes: readonly Clash[];
}

/** What is drawn of it is `drawn` of the solution: the model with the results that belong to it. */
export const documentSlice: Slice<DocumentSlice> = {
  redraws: 'never',
  begin: {
    projectName: ({ projectName }) => projectName,
    projectNumber: ({ projectNumber }) => projectNumber,
    model: ({ model }) => model,
    preview: () => undefined,
    proposal: () => undefined,
    storage: () => ({ status: 'stored' }),
    history: ({ history }) => historyOf(history),
    refusal: () => [],
    remarks: () => [],
    brought: () => undefined,
    clashes: () => [],
  },
};
