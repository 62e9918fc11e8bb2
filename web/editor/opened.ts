import type { RevisionKind } from '@rigid-beam/core/model/edits/revision';
import type { Model } from '@rigid-beam/core/model/model';
import type { Step } from './history';

/** The model as the server gave it when the page was opened. */
export interface Opened {
  readonly id: string;
  readonly projectId: string;
  readonly projectName: string;
  readonly projectNumber: string;
  readonly revision: number;
  readonly model: Model;
  readonly history: readonly (Step & { readonly kind: RevisionKind })[];
}

/**
 * A model as it comes to the page: its content is one text (JSON), which a browser reads many times faster than objects in the page's own
 * writing, and which goes on to the solver as it is.
 */
export interface Sent extends Omit<Opened, 'model'> {
  readonly content: string;
  /** Hashes of pictures that the content only names: they are fetched before it is opened. */
  readonly pictures?: readonly string[];
}
