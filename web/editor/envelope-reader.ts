import { isReadAhead, readableOf, readingOf, withFound } from '@rigid-beam/core/results/readings';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import type { ReadingAsked } from '../solver/solver.worker';
import type { SolvingClient } from '../solver/solving-client';
import { actingIndex, quantityOf, statesBeside, type EditorState } from './editor-state';
import type { Drawn } from './slices/solution';

/** What the reader needs of the editor. */
interface Owner {
  readonly state: () => EditorState;
  /** How far a reading is, 0 to 1; undefined when nothing is read. */
  readonly tell: (done: number | undefined) => void;
  readonly show: (drawn: Drawn) => void;
}

/** What of an envelope is looked at and was not read yet: its extremes, or the bounds of a quantity. */
interface Wanted extends ReadingAsked {
  readonly outcome: number;
  readonly curve: SheetQuantity | undefined;
}

function wantedOf(state: EditorState): Wanted | undefined {
  const outcome = actingIndex(state);
  const solution = state.drawn.results?.solution;
  if (!solution || !isReadAhead(solution, outcome)) return undefined;
  const known = readingOf(solution, outcome);
  const quantity = quantityOf(state);
  const extremes = !known || readableOf(solution).some((one) => !known.extremes.has(one));
  const isDrawn = isOn(state.stage, state.switches, 'diagram') && readableOf(solution).includes(quantity);
  const curve = !isDrawn || known?.curves.has(quantity) ? undefined : quantity;
  return extremes || curve ? { outcome, extremes, curve, sheared: solution.isShearKnown && solution.fibres } : undefined;
}

/** Has the worker read the envelopes that are looked at, where that is too much to be done while they are drawn: one after the other. */
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
    const { drawn } = state;
    const wanted = [state, ...statesBeside(state)].map(wantedOf).find((one) => one !== undefined);
    const own = ++this.count;
    if (!wanted) {
      owner.tell(undefined);
      return;
    }
    owner.tell(0);
    const { outcome, ...parts } = wanted;
    const { curve } = parts;
    const found = await this.solver.readEnvelope(outcome, parts, (done) => {
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
