import { shearIn } from '../solver/section-client';
import type { SolvingClient } from '../solver/solving-client';
import type { EditorState } from './editor-state';
import { EnvelopeReader } from './envelope-reader';
import { GoverningReader } from './governing-reader';
import { InfluenceReader } from './influence-reader';
import { ShearReader } from './shear-reader';
import type { Drawn } from './slices/solution';

/** What the readers need of the editor. */
interface Owner {
  readonly state: () => EditorState;
  readonly tell: (part: Partial<EditorState>) => void;
  readonly draw: (drawn: Drawn) => void;
}

/** What is looked at and takes its time is found outside the page, each thing by its own reader. */
export class Readers {
  private readonly envelope: EnvelopeReader;
  private readonly shear: ShearReader;
  private readonly influence: InfluenceReader;
  private readonly governing: GoverningReader;

  constructor(solver: SolvingClient, { state, tell, draw }: Owner) {
    this.envelope = new EnvelopeReader(solver, {
      state,
      tell: (reading) => {
        if (reading !== state().reading) tell({ reading });
      },
      show: draw,
    });
    this.shear = new ShearReader({ state, find: shearIn, show: draw });
    this.influence = new InfluenceReader(solver, { state, show: (influence) => tell({ influence }) });
    this.governing = new GoverningReader(solver, { state, show: (governing) => tell({ governing }) });
  }

  /** What is looked at, or the model, has changed. */
  follow(): void {
    void this.envelope.follow();
    void this.shear.follow();
    void this.influence.follow();
    this.governing.follow();
  }

  /** Another influence line is looked at. */
  followInfluence(): void {
    void this.influence.follow();
  }

  /** What is drawn, with what is known of its sections. */
  given(drawn: Drawn): Drawn {
    return this.shear.given(drawn);
  }

  /** Which sums govern is asked for, of a model that is too large for it to be told by itself. */
  findGoverning(): void {
    void this.governing.find();
  }

  close(): void {
    this.shear.close();
    this.governing.close();
  }
}
