import type { Model } from '@rigid-beam/core/model/model';
import { once } from '@rigid-beam/core/once';
import type { Solution } from '@rigid-beam/core/results/results';
import { workOf } from '@rigid-beam/core/results/readings';
import type { SolvingClient } from '../solver/solving-client';
import type { EditorState } from './editor-state';
import type { Governing } from './slices/solution';

/** What the reader needs of the editor. */
interface Owner {
  readonly state: () => EditorState;
  readonly show: (governing: Governing) => void;
}

/** Milliseconds for which a model rests before it is read; fewer sums need no reading. */
const RESTING = 900;
const FEW = 3;
/** Members times sums up to which it is read without being asked for. */
const LITTLE = 400_000;

/** Has the worker find which sums of a model govern anything, once nothing else is going on. */
export class GoverningReader {
  private later: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly solver: SolvingClient,
    private readonly owner: Owner,
  ) {}

  close(): void {
    clearTimeout(this.later);
  }

  /** The model has changed, or is looked at otherwise. */
  follow(): void {
    clearTimeout(this.later);
    if (sizeOf(this.owner.state()) <= LITTLE) this.findLater();
  }

  private findLater(): void {
    clearTimeout(this.later);
    this.later = setTimeout(() => void this.find(), RESTING);
  }

  /** What is known already is not read again. */
  async find(): Promise<void> {
    const { drawn, governing, preview, reading } = this.owner.state();
    // An envelope that somebody looks at comes first.
    if (reading !== undefined) return this.findLater();
    if (!drawn.results?.solution || governing?.model === drawn.model || preview) return;
    const sums = drawn.model.combinations.filter(({ type }) => type === 'sum');
    if (sums.length < FEW) return;
    const counts = await this.solver.governing();
    if (counts && this.owner.state().drawn.model === drawn.model) this.owner.show({ model: drawn.model, counts });
  }
}

/** Members times all ways of all sums: what reading takes grows with it. */
const sizeOf = ({ drawn: { model, results } }: EditorState): number =>
  results?.solution ? waysOf(results.solution, model.combinations) * model.members.length : Infinity;

const waysOf = once((solution: Solution, combinations: Model['combinations']): number => {
  const sums = new Set(combinations.flatMap(({ type, id }) => (type === 'sum' ? [id] : [])));
  return solution.outcomes.reduce((sum, { id }, i) => sum + (sums.has(id) ? workOf(solution, i) : 0), 0);
});

/** Whether which sums govern is not told unless it is asked for. */
export const mustBeAsked = (state: EditorState): boolean => {
  const size = sizeOf(state);
  return size > LITTLE && size < Infinity;
};
