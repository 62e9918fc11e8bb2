import { isReadAhead, readingOf, withFound } from '@rigid-beam/core/results/readings';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { SolvingClient } from '../solver/solving-client';
import { actingIndex, quantityOf, type Drawn, type EditorState } from './editor-state';

/** What the reader needs of the editor. */
interface Owner {
  readonly state: () => EditorState;
  /** How far a reading is, 0 to 1; undefined when nothing is read. */
  readonly tell: (done: number | undefined) => void;
  readonly show: (drawn: Drawn) => void;
}

/** Has the worker read the acting envelope where that is too much to be done while it is drawn. */
export class EnvelopeReader {
  /** Counts the readings: an older one tells nothing any more. */
  private count = 0;

  constructor(
    private readonly solver: SolvingClient,
    private readonly owner: Owner,
  ) {}

  /** What acts, or what is drawn of it, has changed: reads what is not known yet. */
  async follow(): Promise<void> {
    const { owner } = this;
    const state = owner.state();
    const { drawn, stage, switches } = state;
    const outcome = actingIndex(state);
    const solution = drawn.results?.solution;
    const known = solution && readingOf(solution, outcome);
    const quantity = quantityOf(state);
    const curve = !isOn(stage, switches, 'diagram') || known?.curves.has(quantity) ? undefined : quantity;
    const own = ++this.count;
    if (!solution || !isReadAhead(solution, outcome) || (known && !curve)) {
      owner.tell(undefined);
      return;
    }
    owner.tell(0);
    const found = await this.solver.readEnvelope(outcome, { extremes: !known, curve }, (done) => {
      if (own === this.count) owner.tell(done);
    });
    if (own !== this.count) return;
    owner.tell(undefined);
    const now = owner.state().drawn;
    if (!found || !now.results?.solution || now.model !== drawn.model) return;
    const read = withFound(now.results.solution, outcome, {
      ...(found.extremes && { extremes: found.extremes }),
      ...(found.curve && curve && { curve: [curve, found.curve] }),
    });
    owner.show({ ...now, results: { ...now.results, solution: read } });
  }
}
