import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Point } from '@rigid-beam/core/model/point';
import { lookFrom, LOOKS, type WorkPlane } from '@rigid-beam/drawing/projection';
import { snap, type Snap } from '@rigid-beam/drawing/snap';
import type { Editor } from '../editor/editor';
import type { EditorState } from '../editor/editor-state';
import { traced } from '../underlay/trace';
import { Keyboard } from './keyboard';
import { LiveDrawing } from './live-drawing';
import { RESTING, type InPlaceField, type Offer, type SheetState, type TypedField } from './sheet-state';
import type { Tool, ToolPointer } from './tools/tool';
import { Viewpoint } from './viewpoint';

const SNAP = 10;

/** The sheet as one works on it: the tool in hand and the fields it opens, over a drawing seen from somewhere. React only mounts it. */
export class SheetController {
  readonly store: StoreApi<SheetState>;
  readonly drawing: LiveDrawing;
  readonly view: Viewpoint;
  private readonly keyboard: Keyboard;
  private readonly stopListening: () => void;

  constructor(
    readonly editor: Editor,
    canvas: HTMLCanvasElement,
    /** The tool that is in hand whenever no other is. */
    private readonly restingTool: (sheet: SheetController) => Tool,
  ) {
    this.keyboard = new Keyboard(canvas);
    const select = restingTool(this);
    this.store = createStore<SheetState>(() => ({
      camera: { x: 0, y: 0, scale: 60, width: 0, height: 0 },
      tool: select,
      hint: select.hint,
      field: undefined,
      typed: undefined,
      cursor: 'default',
      look: LOOKS.corner,
      projection: lookFrom(LOOKS.corner.round, LOOKS.corner.height),
      plane: undefined,
      offer: undefined,
      menu: undefined,
    }));
    this.drawing = new LiveDrawing(
      editor,
      this.store,
      canvas,
      () => this.view,
      (words) => this.say(words),
    );
    this.view = new Viewpoint(editor, this.store, this.drawing);
    this.stopListening = editor.store.subscribe((state, before) => {
      this.view.modelChanged(state, before);
      if (state.drawn !== before.drawn) this.drawing.follow();
      else if (isChosen(state, before)) this.drawing.followChoice();
      else if (isSeen(state, before)) this.drawing.refresh();
    });
    // Fonts arrive after the first picture; texts are measured again then.
    void document.fonts.ready.then(() => this.drawing.recolour());
  }

  close(): void {
    this.stopListening();
    this.keyboard.forget();
    this.view.close();
    this.drawing.close();
  }

  resize(width: number, height: number, ratio: number): void {
    this.drawing.resize(width, height, ratio);
    this.view.resize(width, height);
    this.drawing.refresh();
  }

  offer(offer: Offer | undefined): void {
    this.store.setState({ offer });
  }

  acceptOffer(): boolean {
    const { offer } = this.store.getState();
    if (!offer) return false;
    this.offer(undefined);
    return this.editor.edit(offer.intent);
  }

  openMenu(menu: { readonly x: number; readonly y: number } | undefined): void {
    this.store.setState({ menu });
  }

  take(tool: Tool): void {
    this.store.getState().tool.leave?.();
    this.store.setState({ tool, hint: tool.hint, field: undefined, typed: undefined, cursor: tool.cursor, offer: undefined });
    // A tool may open a field as soon as it is done: that is waited for.
    if (tool.takesPlaces) this.moveKeyboard();
    else this.keyboard.soon(() => this.moveKeyboard());
    this.drawing.refresh();
  }

  /** The keyboard goes to a tool that takes places, and back once no field is open any more. */
  private moveKeyboard(): void {
    const { tool, field, typed } = this.store.getState();
    if (field || typed) return;
    if (tool.takesPlaces) this.keyboard.take();
    else this.keyboard.giveBack();
  }

  takeSelect(): void {
    this.take(this.restingTool(this));
  }

  say(hint: string): void {
    if (this.store.getState().hint !== hint) this.store.setState({ hint });
  }

  /** Keys go to the tool in hand, from the button that took it. */
  takeKeyboard(): void {
    this.keyboard.forget();
    if (document.activeElement instanceof HTMLButtonElement) this.keyboard.take();
  }

  openField(field: InPlaceField | undefined): void {
    this.store.setState({ field });
    if (!field) this.keyboard.soon(() => this.moveKeyboard());
  }

  openTyped(typed: TypedField | undefined): void {
    this.store.setState({ typed });
    if (!typed) this.keyboard.soon(() => this.moveKeyboard());
  }

  pointer(kind: 'down' | 'move' | 'up' | 'cancel', event: ToolPointer): void {
    const { tool } = this.store.getState();
    tool[kind]?.(event);
    const cursor = tool.cursor;
    if (cursor !== this.store.getState().cursor) this.store.setState({ cursor });
    this.drawing.refresh('overlay');
  }

  pointerAway(): void {
    this.store.getState().tool.away?.();
    this.drawing.refresh('overlay');
  }

  /** Returns true when the tool had use for the key. */
  key(event: KeyboardEvent): boolean {
    const { tool } = this.store.getState();
    const used = tool.key?.(event) ?? false;
    if (!used && event.key === 'Escape' && tool.name !== RESTING) {
      this.takeSelect();
      return true;
    }
    if (used) this.drawing.refresh('overlay');
    return used;
  }

  /** What the pointer means at a place of the sheet: see `snap`. `plane`: another plane than the one in use. */
  snap(
    px: number,
    py: number,
    more: { from?: Point | undefined; without?: ReadonlySet<string>; plane?: WorkPlane; step?: number } = {},
  ): Snap | undefined {
    const { model } = this.editor.state;
    const { camera } = this.view;
    const seen = this.view.seen();
    const plane = more.plane ?? this.view.workPlane();
    const { underlay } = model;
    return snap({
      model,
      seen,
      camera,
      px,
      py,
      plane,
      behind: () => traced({ underlay, projection: seen.projection, camera, px, py, plane, reach: SNAP }),
      step: more.step ?? this.view.step(),
      from: more.from,
      ...(more.without && { without: more.without }),
      reach: SNAP,
    });
  }
}

/** What of the editor's state no drawing shows: how far something is, and what stands beside the sheet. */
const UNSEEN: ReadonlySet<string> = new Set<keyof EditorState>([
  // What is drawn is `drawn`: it follows with its results.
  'model',
  'preview',
  'panel',
  'side',
  'strip',
  'drawer',
  'typical',
  'progress',
  'reading',
  'storage',
  'history',
  'refusal',
  'remedies',
  'settled',
  'projectName',
  'projectNumber',
  'brought',
]);

/** What one chooses to look at, one after the other. */
const CHOSEN = ['stage', 'acting', 'quantity', 'switches'] as const satisfies readonly (keyof EditorState)[];
const isChosen = (state: EditorState, before: EditorState): boolean => CHOSEN.some((key) => state[key] !== before[key]);

/** Whether anything has changed that the drawing may show. */
const isSeen = (state: EditorState, before: EditorState): boolean =>
  Object.keys(state).some((key) => !UNSEEN.has(key) && state[key as keyof EditorState] !== before[key as keyof EditorState]);
