import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { storage as WORDS } from './words';

export interface PendingEdit {
  /** Its own name: an edit that was stored but whose answer was lost is not taken for someone else's. */
  readonly edit: string;
  readonly kind: RevisionKind;
  readonly label: string;
  readonly intent: Intent;
}

/** An edit that waits, with the model before and after it. */
export interface UnsentEdit extends PendingEdit {
  readonly before: Model;
  readonly after: Model;
}

/** How far what the page shows has been stored. */
export type StorageState =
  | { readonly status: 'stored' }
  | { readonly status: 'storing' }
  | { readonly status: 'unreachable' }
  /** The server answers, and cannot store; it has said why. The edit is kept here and sent again. */
  | { readonly status: 'failing'; readonly message: string }
  | { readonly status: 'refused'; readonly faults: readonly Notice[] }
  | {
      readonly status: 'conflict';
      readonly revision: number;
      readonly since: readonly { readonly number: number; readonly label: string }[];
    };

const RETRY_AFTER = 2000;
/** Bytes of bodies that a browser lets go on when the page is closed, with room for what goes along. */
const MAXIMUM_KEEPALIVE = 50_000;

/** Revisions up to which models were stored from this window: a page that the browser brings back may be older. */
const reached = new Map<string, number>();
export const revisionReached = (modelId: string): number => reached.get(modelId) ?? -1;

let hasStored = false;
/** Whether anything was stored from this window since this was asked last. */
export function takeStored(): boolean {
  const before = hasStored;
  hasStored = false;
  return before;
}

/** Sends edits one after the other, each on top of the revision before it; stops at a conflict or a refusal. */
export class StorageQueue {
  private readonly pending: UnsentEdit[] = [];
  private running = false;
  private halted = false;

  private state: StorageState = { status: 'stored' };
  /** Sendings in a row that met no server. */
  private failures = 0;

  constructor(
    private readonly modelId: string,
    private revision: number,
    private tell: (state: StorageState) => void,
  ) {
    reached.set(modelId, Math.max(revision, revisionReached(modelId)));
  }

  /** Another page follows what is stored; it is told how far that is. */
  follow(tell: (state: StorageState) => void): void {
    this.tell = tell;
    tell(this.state);
  }

  private report(state: StorageState): void {
    this.state = state;
    this.tell(state);
  }

  add(edit: UnsentEdit): void {
    this.pending.push(edit);
    if (!this.running && !this.halted) void this.run();
  }

  /** Edits that the server has not confirmed, oldest first. */
  get unsent(): readonly UnsentEdit[] {
    return this.pending;
  }

  /** Begins again from another revision with nothing waiting. */
  restart(revision: number): void {
    this.pending.length = 0;
    this.revision = revision;
    reached.set(this.modelId, revision);
    this.halted = false;
    this.report({ status: 'stored' });
  }

  private async run(): Promise<void> {
    this.running = true;
    this.report({ status: 'storing' });
    while (this.pending.length > 0 && !this.halted) {
      const sent = this.pending[0]!;
      const state = await this.send(sent);
      if (state === 'stored') {
        reached.set(this.modelId, ++this.revision);
        hasStored = true;
        this.pending.shift();
      } else if (state.status === 'unreachable' || state.status === 'failing') {
        this.report(state);
        await new Promise((resolve) => setTimeout(resolve, RETRY_AFTER));
      } else {
        this.halted = true;
        this.report(state);
      }
    }
    this.running = false;
    if (!this.halted) this.report({ status: 'stored' });
  }

  private async send({ edit, kind, label, intent }: PendingEdit): Promise<'stored' | StorageState> {
    try {
      const body = JSON.stringify({ base: this.revision, edit, kind, label, intent });
      const response = await fetch(`/api/models/${this.modelId}/revisions`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body,
        // Lets the last edit arrive when the page is closed. Browsers bound the bytes of all such bodies together, and send nothing beyond.
        keepalive: this.failures === 0 && new TextEncoder().encode(body).length < MAXIMUM_KEEPALIVE,
      });
      this.failures = 0;
      if (response.status === 201) return 'stored';
      const answer = (await response.json()) as {
        faults?: Notice[];
        revision?: number;
        since?: { number: number; label: string }[];
      };
      if (response.status === 409) return { status: 'conflict', revision: answer.revision ?? 0, since: answer.since ?? [] };
      if (response.status < 500) return { status: 'refused', faults: answer.faults ?? [] };
      return { status: 'failing', message: answer.faults?.[0]?.message ?? WORDS.theServerFailed(response.status) };
    } catch {
      this.failures++;
      return { status: 'unreachable' };
    }
  }
}
