import { once } from '@rigid-beam/core/once';
import type { Model } from '@rigid-beam/core/model/model';
import { quantityTable } from '@rigid-beam/core/results/quantities';
import { withShear } from '@rigid-beam/core/results/readings';
import { fibresOf, shapeThatTells, type ShearOf } from '@rigid-beam/core/sections/fibres';
import type { ShearPoints } from '@rigid-beam/core/sections/shear-points';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import { isOn } from '@rigid-beam/drawing/stage-view';
import { quantityOf, statesBeside, type EditorState } from './editor-state';
import type { Drawn } from './slices/solution';

/** What the reader needs of the editor. */
interface Owner {
  readonly state: () => EditorState;
  /** Has a shape meshed, outside the page. */
  readonly find: (shape: Shape) => Promise<ShearPoints | undefined>;
  readonly show: (drawn: Drawn) => void;
}

const keyOf = once((shape: Shape): string => JSON.stringify(shape));

/** Milliseconds for which results are looked at before the list of extremes is made complete. */
const RESTING = 1000;

/** Whether anybody looks at what follows from shear in sections: draws it, or only has it in a list. */
function wantedIn(state: EditorState): 'drawn' | 'listed' | undefined {
  const isDrawn = (one: EditorState): boolean =>
    isOn(one.stage, one.switches, 'diagram') && quantityTable[quantityOf(one)].derived?.takesShear === true;
  if (state.drawer === 'charts' || [state, ...statesBeside(state)].some(isDrawn)) return 'drawn';
  return state.stage === 'results' ? 'listed' : undefined;
}

/** Has the sections of a model meshed once somebody looks at equivalent stresses; what is known of them goes with every solution from then on. */
export class ShearReader {
  private readonly known = new Map<string, ShearPoints | undefined>();
  /** Another one as soon as more is known: what was found with less is found anew. */
  private shearOf: ShearOf = this.lookUp();
  private isBusy = false;
  private later: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly owner: Owner) {}

  private lookUp(): ShearOf {
    return (shape) => this.known.get(keyOf(shape));
  }

  /** What is drawn, with the shear in its sections where all of it is known. */
  given(drawn: Drawn): Drawn {
    const solution = drawn.results?.solution;
    if (!solution || solution.isShearKnown || this.missing(drawn.model)) return drawn;
    return { ...drawn, results: { ...drawn.results!, solution: withShear(solution, fibresOf(drawn.model, this.shearOf)) } };
  }

  close(): void {
    clearTimeout(this.later);
  }

  /** What is looked at, or what is drawn, has changed. */
  async follow(): Promise<void> {
    clearTimeout(this.later);
    const wanted = wantedIn(this.owner.state());
    if (wanted === 'drawn') return this.find();
    if (wanted === 'listed') this.later = setTimeout(() => void this.find(), RESTING);
  }

  private async find(): Promise<void> {
    const { owner } = this;
    if (this.isBusy) return;
    this.isBusy = true;
    let found = 0;
    // The model may become another one meanwhile.
    for (let shape = this.missing(owner.state().drawn.model); shape; shape = this.missing(owner.state().drawn.model)) {
      this.known.set(keyOf(shape), await owner.find(shape).catch(() => undefined));
      found++;
    }
    this.isBusy = false;
    if (found > 0) this.shearOf = this.lookUp();
    const { drawn } = owner.state();
    const given = this.given(drawn);
    if (given !== drawn) owner.show(given);
  }

  /** The first shape that members have and nothing is known of. */
  private missing({ members, sections }: Model): Shape | undefined {
    const used = new Set(members.map(({ section }) => section));
    for (const section of sections) {
      const shape = used.has(section.id) ? shapeThatTells(section) : undefined;
      if (shape && !this.known.has(keyOf(shape))) return shape;
    }
    return undefined;
  }
}
