import type { Recheck } from '@rigid-beam/core/recheck/recheck';
import type { Model } from '@rigid-beam/core/model/model';
import { SolvingClient, type SolveOutcome } from '../solver/solving-client';
import type { EditorState } from './editor-state';
import { unsolved, type Drawn } from './slices/solution';

/** After this time a solution that is still awaited is no longer replaced by the one before it on the sheet. */
const PATIENCE = 150;

/** What solutions need of the open model. */
interface Desk {
  readonly state: () => EditorState;
  readonly tell: (part: Partial<EditorState>) => void;
  readonly draw: (drawn: Drawn) => void;
  /** What was proposed holds, or cannot be told. */
  readonly keep: () => void;
}

/** The solutions of an open model: asked for as it changes, and drawn when they come. */
export class Solutions {
  readonly client: SolvingClient;
  /** Whether the model as it is kept was solved last. */
  stands = false;
  private patience: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly desk: Desk) {
    this.client = new SolvingClient(
      (outcome) => this.receive(outcome),
      (progress) => {
        if (progress !== desk.state().progress) desk.tell({ progress });
      },
    );
  }

  close(): void {
    clearTimeout(this.patience);
    this.client.close();
  }

  /** Has a model solved; where that takes long it is drawn without results meanwhile. */
  present(model: Model): void {
    this.client.solve(model);
    clearTimeout(this.patience);
    this.patience = setTimeout(() => {
      if (this.current() === model && this.desk.state().drawn.model !== model) this.desk.draw({ model });
    }, PATIENCE);
  }

  /** Gives up the solution that is running; the model stays as it is, without results. */
  stop(): void {
    this.client.stop();
    this.desk.tell({ progress: 'stopped' });
    this.desk.draw({ model: this.current() });
  }

  again(): void {
    this.desk.tell({ progress: undefined });
    this.present(this.current());
  }

  /** What acts, solved once more in another way; nothing where the model changes before that is done. */
  async recheck(outcome: number): Promise<Recheck | undefined> {
    const { model } = this.desk.state().drawn;
    const found = await this.client.recheck(outcome);
    return model === this.desk.state().drawn.model ? found : undefined;
  }

  private current(): Model {
    const { preview, model } = this.desk.state();
    return preview ?? model;
  }

  private receive(outcome: SolveOutcome): void {
    const { desk } = this;
    if ('failure' in outcome) {
      desk.draw(unsolved(outcome.model, outcome.failure));
      if (desk.state().proposal?.model === outcome.model) desk.keep();
      return;
    }
    const { model, solved } = outcome;
    // While dragging, results may be one step behind; they are drawn with the very model they belong to.
    desk.draw({ model, results: solved.results, milliseconds: solved.milliseconds });
    const { proposal, model: kept } = desk.state();
    if (model === kept) this.stands = solved.results.status === 'solved';
    const isProposed = proposal?.model === model;
    if (solved.results.status === 'unstable' && (isProposed || model === kept)) void this.seekRemedies(model);
    if (!isProposed) return;
    if (solved.results.status === 'unstable') desk.tell({ proposal: { ...proposal, isUnstable: true } });
    else desk.keep();
  }

  private async seekRemedies(model: Model): Promise<void> {
    const mechanisms = await this.client.remedies();
    if (mechanisms && model === this.desk.state().drawn.model) this.desk.tell({ remedies: { model, mechanisms } });
  }
}
