import { checkModel } from '@rigid-beam/core/model/check';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { SolvingClient } from '../solver/solving-client';
import { keepStates, patchesBack, stateAfter, withState, type KeptState } from './earlier-states';
import type { EditorState } from './editor-state';
import type { Step } from './history';
import type { EarlierState } from './slices/earlier';
import { storedStep } from './stored';
import type { Place } from './view-state';
import { earlier as WORDS } from './words';

/** What earlier states need of the open model. */
interface Desk {
  readonly id: string;
  readonly state: () => EditorState;
  readonly tell: (part: Partial<EditorState>) => void;
  readonly go: (place: Partial<Place>) => void;
  readonly edit: (intent: Intent, label: string) => boolean;
  readonly refuse: (message: string) => void;
}

/** Earlier states of an open model: kept under names, held beside it with results of their own, and gone back to. */
export class Earlier {
  private solver: SolvingClient | undefined;
  /** What was asked for last: patches of long edits are fetched, and something else may be asked for meanwhile. */
  private asked: EarlierState['of'] | undefined;

  constructor(private readonly desk: Desk) {}

  /** Keeps the model as it is now under a name. */
  keep(name: string): void {
    const { keptStates, model } = this.desk.state();
    const states = withState(keptStates, { name, model });
    this.desk.tell({ keptStates: states });
    if (!keepStates(this.desk.id, states)) this.desk.refuse(WORDS.statesAreLarge);
  }

  /** Puts a kept state beside the model, or what it was before an edit. */
  async compare(of: KeptState | Step): Promise<void> {
    this.leave();
    this.asked = of;
    const name = 'name' in of ? of.name : WORDS.before(of.label);
    const model = 'name' in of ? checkModel(of.model).model : await this.before(of);
    if (this.asked !== of) return;
    if (!model) return this.desk.refuse(WORDS.notThere(name));
    const tell = (drawn: EarlierState['drawn']): void => this.desk.tell({ earlier: { of, name, drawn } });
    tell({ model });
    this.solver = new SolvingClient(
      (outcome) => {
        if (this.asked === of) tell('failure' in outcome ? { model } : { model, results: outcome.solved.results });
      },
      () => undefined,
    );
    this.solver.solve(model);
    const { beside, acting, quantity, also, switches } = this.desk.state();
    if (!beside) this.desk.go({ beside: { where: 'right', panes: [{ acting, quantity, also, switches }] } });
  }

  /** Makes the model what it was in the state beside it: an edit like any other. */
  goBack(): void {
    const { earlier, model } = this.desk.state();
    if (!earlier) return;
    // What lies behind the drawing is no part of a kept state.
    const value = { ...earlier.drawn.model, ...(model.underlay && { underlay: model.underlay }) };
    if (this.desk.edit({ type: 'patch', patches: [{ op: 'replace', path: [], value }] }, WORDS.backTo(earlier.name)))
      this.leave();
  }

  /** Puts the model itself there again. */
  leave(): void {
    this.close();
    this.desk.tell({ earlier: undefined });
  }

  close(): void {
    this.solver?.close();
    this.solver = this.asked = undefined;
  }

  private async before(step: Step): Promise<Model | undefined> {
    const { model, history } = this.desk.state();
    const place = history.undo.indexOf(step);
    if (place < 0) return undefined;
    const patches = await patchesBack(history.undo, history.undo.length - place, (one) => storedStep(this.desk.id, one));
    return patches && stateAfter(model, patches);
  }
}
