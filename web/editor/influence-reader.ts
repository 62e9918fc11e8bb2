import type { SolvingClient } from '../solver/solving-client';
import type { EditorState } from './editor-state';
import type { LookedInfluence } from './slices/influence';

/** What the reader needs of the editor. */
interface Owner {
  readonly state: () => EditorState;
  readonly show: (influence: LookedInfluence) => void;
}

/** Has the worker find the influence line that is looked at, of each model anew. */
export class InfluenceReader {
  /** Counts the questions: the answer to an older one is not looked at. */
  private count = 0;

  constructor(
    private readonly solver: SolvingClient,
    private readonly owner: Owner,
  ) {}

  /** Another line is asked for, or the model has changed. */
  async follow(): Promise<void> {
    const { influence, drawn } = this.owner.state();
    const own = ++this.count;
    if (!influence || !drawn.results?.solution || influence.found?.model === drawn.model) return;
    const what = await this.solver.influence(influence.asked);
    const now = this.owner.state();
    if (own !== this.count || !what || now.drawn.model !== drawn.model || !now.influence) return;
    this.owner.show({ ...now.influence, found: { model: drawn.model, what } });
  }
}
