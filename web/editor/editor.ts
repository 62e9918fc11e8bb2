import type { Recheck } from '@rigid-beam/core/recheck/recheck';
import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Model } from '@rigid-beam/core/model/model';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import { describeIntent } from '@rigid-beam/core/model/edits/describe-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { clashWords, rebased } from '@rigid-beam/core/model/edits/rebase';
import type { Notice } from '@rigid-beam/core/model/notice';
import { toggled, type Subject } from '@rigid-beam/drawing/display-list';
import { isOn, type SwitchName } from '@rigid-beam/drawing/stage-view';
import type { RevisionKind } from '@rigid-beam/core/model/edits/revision';
import { isDeflection, type SheetQuantity } from '@rigid-beam/drawing/view';
import { beginning, isHeld, type EditorState, type Shown } from './editor-state';
import { heldDeflectionOf } from './held-deflection';
import type { Opened } from './opened';
import { Earlier } from './earlier';
import { Files } from './files';
import type { Clash } from './slices/document';
import type { Drawn } from './slices/solution';
import { broughtBy } from './brought';
import type { AskedCut } from '@rigid-beam/core/results/bodies/asked';
import type { LookedInfluence } from './slices/influence';
import { afterRevision, historyOf, type Step } from './history';
import { leave, type Opening } from './left';
import { keepView, keptView } from './kept-view';
import { Readers } from './readers';
import { Solutions } from './solutions';
import { movedUnseen, stillThere, visibleOf } from './visible';
import { suggestionFor } from './suggestion';
import { takeSaid } from '../browser/said-of-file';
import { Addresses } from './addresses';
import { PageStore } from './page-store';
import { StorageQueue, type StorageState, type UnsentEdit } from './storage';
import { storedState, storedStep } from './stored';
import { addressOfPlace, placeOfAddress, type Place } from './view-state';
import { editor as WORDS } from './words';

/** One open model: the single door for every change, its undo, its solution and its storage. */
export class Editor {
  readonly opened: Omit<Opened, 'model'>;
  private readonly own: StoreApi<EditorState>;
  /** The same state for what stands beside the sheet. */
  readonly page: PageStore<EditorState>;
  private readonly addresses: Addresses;
  private readonly solutions: Solutions;
  private readonly queue: StorageQueue;
  private readonly readers: Readers;
  /** Earlier states beside the model as it is. */
  readonly earlier: Earlier;
  readonly files: Files;
  private isTrial = false;
  constructor({ sent, left }: Opening, search: string) {
    const opened: Opened = { ...sent, model: left?.model ?? (JSON.parse(sent.content) as Model) };
    this.opened = opened;
    this.own = createStore<EditorState>(() => ({
      ...beginning(opened, search),
      ...(left && { history: left.history }),
      remarks: takeSaid(opened.id),
    }));
    this.page = new PageStore(this.own);
    this.addresses = new Addresses(this.page);
    const tell = (storage: StorageState): void => this.own.setState({ storage });
    this.queue = left?.queue ?? new StorageQueue(opened.id, opened.revision, tell);
    this.queue.follow(tell);
    const desk = {
      state: () => this.state,
      tell: (part: Partial<EditorState>) => this.own.setState(part),
      draw: (drawn: Drawn) => this.draw(drawn),
    };
    this.solutions = new Solutions({ ...desk, keep: () => this.answer('keep') });
    this.readers = new Readers(this.solutions.client, desk);
    this.files = new Files(this.solutions.client, {
      ...desk,
      refuse: (message) => this.refuse(message),
      remark: (remarks) => this.own.setState({ remarks, brought: undefined }),
    });
    this.earlier = new Earlier({
      ...desk,
      id: opened.id,
      go: (place) => this.go(place),
      edit: (intent, label) => this.edit(intent, label),
      refuse: (message) => this.refuse(message),
    });
    this.solutions.client.solve(opened.model, left ? undefined : sent.content);
  }

  /** What others may follow; every change goes through a method of the editor. */
  get store(): Pick<StoreApi<EditorState>, 'getState' | 'getInitialState' | 'subscribe'> {
    return this.own;
  }

  get state(): EditorState {
    return this.own.getState();
  }

  close(): void {
    this.solutions.close();
    this.earlier.close();
    this.readers.close();
    leave({ id: this.opened.id, model: this.state.model, history: this.state.history, queue: this.queue });
  }

  /** Makes an edit: checked, shown, solved and stored. Returns false, with the reasons in `refusal`, when it is refused. */
  edit(intent: Intent, label = describeIntent(intent)): boolean {
    if (this.isTrial) {
      this.preview(intent);
      return true;
    }
    return this.apply(intent, 'edit', label);
  }

  undo(): void {
    this.retrace('undo', this.state.history.undo.at(-1));
  }

  redo(): void {
    this.retrace('redo', this.state.history.redo.at(-1));
  }

  private retrace(kind: 'undo' | 'redo', step: Step | undefined): void {
    const patches = kind === 'undo' ? step?.inverse : step?.patches;
    if (patches) this.apply({ type: 'patch', patches }, kind, step!.label);
    else if (step) void this.retraceStored(kind, step);
  }

  /** The same of a step whose patches lie on the server. */
  private async retraceStored(kind: 'undo' | 'redo', step: Step): Promise<void> {
    const whole = await storedStep(this.opened.id, step);
    if (!whole) this.refuse(WORDS.notTakenBack(step.label));
    else if (this.state.history[kind].at(-1) === step) this.retrace(kind, whole);
  }

  private apply(intent: Intent, kind: RevisionKind, label: string): boolean {
    const { model, hidden, history, storage } = this.state;
    if (storage.status === 'conflict' || storage.status === 'refused') return false;
    const applied = applyIntent(model, intent);
    if (!applied.ok) {
      this.own.setState({ refusal: applied.faults, preview: undefined, proposal: undefined });
      this.solutions.present(model);
      return false;
    }
    const unseen = kind === 'edit' ? movedUnseen(model, applied.model, hidden, intent) : [];
    if (unseen.length > 0) {
      this.endPreview();
      this.refuse(WORDS.movesUnseen(unseen.length));
      return false;
    }
    const { patches, inverse, said } = applied;
    const brought = kind === 'edit' ? broughtBy(model, applied.model, intent) : undefined;
    // The worker begins before the page follows, and the sheet goes before the page.
    this.page.wait();
    this.solutions.present(applied.model);
    this.own.setState({
      model: applied.model,
      preview: undefined,
      heldDeflection: undefined,
      proposal: undefined,
      refusal: [],
      remarks: brought ? [...said, brought.words] : said,
      brought,
      history: afterRevision(history, kind, { label, patches, inverse }),
    });
    const edit = { edit: crypto.randomUUID(), kind, label: label.slice(0, 200), intent };
    this.queue.add({ ...edit, before: model, after: applied.model });
    this.keepSelection(applied.model);
    return true;
  }

  /**
   * Makes an edit that may take a structure's hold away: it is tried first, and where the structure is no longer stable with it, it waits to
   * be kept or left.
   */
  propose(intent: Intent, label = describeIntent(intent)): void {
    if (this.isTrial) return this.preview(intent);
    const applied = applyIntent(this.state.model, intent);
    // What does not stand as it is is being built.
    if (!applied.ok || !this.solutions.stands) return void this.edit(intent, label);
    this.own.setState({ preview: applied.model, proposal: { intent, label, model: applied.model, isUnstable: false } });
    this.solutions.present(applied.model);
  }

  /** Keeps what was proposed, with what else is to be done at once; or leaves everything as it was. */
  answer(answer: 'keep' | 'leave', along?: { readonly intent: Intent; readonly words: string }): void {
    const { proposal } = this.state;
    if (!proposal) return;
    this.own.setState({ proposal: undefined });
    if (answer === 'leave') return this.endPreview();
    const { intent, label } = proposal;
    if (along) this.edit({ type: 'batch', intents: [intent, along.intent], label: `${label}; ${along.words}` });
    else this.edit(intent, label);
  }

  /** The model as an edit would leave it; undefined when it would be refused. Nothing is changed. */
  tried(intent: Intent): Model | undefined {
    const applied = applyIntent(this.state.model, intent);
    return applied.ok ? applied.model : undefined;
  }

  /** Why an edit would be refused; empty when it would not. */
  refusalOf(intent: Intent): readonly Notice[] {
    const applied = applyIntent(this.state.model, intent);
    return applied.ok ? [] : applied.faults;
  }

  /** What `act` edits is shown and solved, and not made: while a value is stepped. */
  trial(act: () => void): void {
    this.isTrial = true;
    try {
      act();
    } finally {
      this.isTrial = false;
    }
  }

  /** Shows and solves what an edit would do, without making it: while dragging. */
  preview(intent: Intent): void {
    const applied = applyIntent(this.state.model, intent, intent.type === 'moveNodes' ? 'trust' : 'check');
    if (!applied.ok) return;
    this.own.setState({ preview: applied.model, proposal: undefined, heldDeflection: heldDeflectionOf(this.state) });
    this.solutions.present(applied.model);
  }

  endPreview(): void {
    if (!this.state.preview) return;
    this.own.setState({ preview: undefined, heldDeflection: undefined });
    this.solutions.present(this.state.model);
  }

  /** Selects what can be seen of some things: what is hidden is neither changed nor removed with the rest. */
  select(subjects: readonly Subject[]): void {
    this.page.catchUp();
    const { model, hidden } = this.state;
    this.own.setState({ selection: visibleOf(subjects, model, hidden), side: 'card' });
  }

  /** Adds a thing to the selection, or takes it out. */
  toggle(subject: Subject): void {
    this.select(toggled(this.state.selection, subject));
  }

  /** Goes to a stage, case or quantity, or switches what it shows; each is a step of the browser's own back and forth. */
  go(place: Partial<Place>): void {
    const kept = keptView(this.opened.id);
    // Each stage shows what was switched in it.
    const own = place.stage === undefined ? {} : { switches: kept.stages?.[place.stage] ?? {} };
    const { stage, acting, quantity, also, switches, beside } = { ...this.state, ...own, ...place };
    const next = { stage, acting, quantity, also, switches, beside };
    if (place.quantity ?? place.switches)
      keepView(this.opened.id, { ...kept, ...(quantity && { quantity }), stages: { ...kept.stages, [stage]: switches } });
    // What is asked for is on the sheet, which goes before the page.
    this.page.wait();
    // Who goes to a stage wants its bench, whatever is selected.
    this.own.setState({
      ...next,
      ...(place.stage !== undefined && { side: 'bench' }),
      // A case or a quantity is of the results themselves.
      ...((place.acting ?? place.quantity) && { influence: undefined }),
    });
    this.addresses.add(addressOfPlace(next));
    this.page.afterPaint();
    this.readers.follow();
  }

  /** Has something shown in this stage, or not. */
  switch(name: SwitchName, to = !isOn(this.state.stage, this.state.switches, name)): void {
    this.go({ switches: { ...this.state.switches, [name]: to } });
  }

  /** The address changed by back or forward. */
  follow(search: string): void {
    this.own.setState(placeOfAddress(search));
    this.readers.follow();
  }

  /** Switches what is shown and how; the model stays as it is. */
  show(what: Partial<Shown>): void {
    this.page.catchUp();
    this.own.setState(what);
    if (what.drawer) this.readers.follow();
  }

  /** Draws quantities to a scale of their own, or to the one that suits them again. The line that members take has one scale for both ways. */
  scale(quantities: readonly SheetQuantity[], to: number | undefined): void {
    const own = quantities.flatMap((quantity): readonly SheetQuantity[] => (isDeflection(quantity) ? ['v', 'w'] : [quantity]));
    const scales = { ...this.state.scales, ...Object.fromEntries(own.map((quantity) => [quantity, to])) };
    keepView(this.opened.id, { ...keptView(this.opened.id), scales });
    this.show({ scales });
  }

  /** Draws diagrams in another way, which is kept. */
  drawAs(how: Partial<Pick<EditorState, 'style' | 'face'>>): void {
    keepView(this.opened.id, { ...keptView(this.opened.id), ...how });
    this.show(how);
  }

  /** Looks at an influence line in place of results, or back at these. */
  look(influence: LookedInfluence | undefined): void {
    this.page.catchUp();
    if (influence && this.state.stage !== 'results') this.go({ stage: 'results' });
    this.own.setState({ influence, cut: undefined, ...(influence && { side: 'bench' }) });
    this.readers.followInfluence();
  }

  /** Cuts the structure to look at what goes through, or puts it together again. */
  cut(cut: AskedCut | undefined): void {
    this.page.catchUp();
    if (cut && this.state.stage !== 'results') this.go({ stage: 'results' });
    this.own.setState({ cut, influence: undefined, ...(cut && { side: 'bench' }) });
  }

  /** Says why something could not be done that was no edit. */
  refuse(message: string): void {
    this.own.setState({ refusal: [{ code: 'refused', severity: 'error', message, subjects: [] }] });
  }

  dismissRemarks(): void {
    this.own.setState({ remarks: [], brought: undefined });
  }

  dismissRefusal(): void {
    this.own.setState({ refusal: [] });
  }

  /** After a conflict: takes the newer state, and puts the edits that were not stored on top of it when `again` says so. */
  async takeNewer(again: 'drop' | 'put on top'): Promise<void> {
    const newer = await storedState(this.opened.id);
    if (typeof newer === 'string') return this.refuse(newer);
    const unsent = [...this.queue.unsent];
    this.queue.restart(newer.revision);
    this.own.setState({ model: newer.model, preview: undefined, history: historyOf(newer.history), refusal: [] });
    this.solutions.present(newer.model);
    this.keepSelection(newer.model);
    if (again === 'drop') return;
    const clashes = unsent.flatMap((one): Clash[] => {
      const words = this.putOnTop(one);
      return words === undefined ? [] : [{ label: one.label, words, intent: one.intent }];
    });
    this.own.setState({ refusal: [], clashes });
  }

  /** Makes an edit again that was made on an older state, if what it changed still stands as it did then; else why it cannot be. */
  private putOnTop({ before, after, label }: UnsentEdit): string | undefined {
    const found = rebased(before, after, this.state.model);
    if (!found.ok) return WORDS.notOnTop(label, clashWords(found.clashes));
    if (found.patches.length === 0 || this.apply({ type: 'patch', patches: found.patches }, 'edit', label)) return undefined;
    return WORDS.notOnTop(label, this.state.refusal.map(({ message }) => message).join(' '));
  }

  /** The edits that could not be put on top have been read. */
  dismissClashes(): void {
    this.own.setState({ clashes: [] });
  }

  /** Gives up the solution that is running; the model stays as it is, without results. */
  stopSolving(): void {
    this.solutions.stop();
  }

  solveAgain(): void {
    this.solutions.again();
  }

  /** What acts, solved once more in another way. */
  recheck(outcome: number): Promise<Recheck | undefined> {
    return this.solutions.recheck(outcome);
  }

  /** Draws one of the motions that nothing resists, by its place among the mechanisms. */
  showMotion(place: number | 'held' | undefined): void {
    if (place !== this.state.shownMotion) this.own.setState({ shownMotion: place });
  }

  /** Which sums govern is asked for. */
  findGoverning(): void {
    this.readers.findGoverning();
  }

  private draw(found: Drawn): void {
    const drawn = this.readers.given(found);
    if (drawn.model !== this.state.drawn.model) this.own.setState({ shownMotion: undefined });
    const suggestion = suggestionFor(drawn, this.state);
    this.own.setState({ drawn, suggestion });
    this.page.afterPaint(() => this.settle());
    this.readers.follow();
  }

  /** The rest of the page follows when the sheet has been painted. */
  private settle(): void {
    const { drawn, settled } = this.state;
    if (drawn !== settled && !isHeld(this.state)) this.own.setState({ settled: drawn });
  }

  private keepSelection(model: Model): void {
    const kept = stillThere(model, this.state.selection);
    if (kept.length === this.state.selection.length) return;
    // What an edit of the bench takes away does not call a card over it.
    this.page.catchUp();
    this.own.setState({ selection: visibleOf(kept, model, this.state.hidden) });
  }
}
