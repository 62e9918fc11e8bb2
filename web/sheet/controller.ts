import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Point } from '@rigid-beam/core/model/point';
import type { Item } from '@rigid-beam/drawing/display-list';
import { lookFrom, LOOKS, type WorkPlane } from '@rigid-beam/drawing/projection';
import { snap, type Snap } from '@rigid-beam/drawing/snap';
import type { Editor } from '../editor/editor';
import { redrawOf, stateBeside, type EditorState } from '../editor/editor-state';
import { traced } from '../underlay/trace';
import { Keyboard } from './keyboard';
import { LiveDrawing } from './live-drawing';
import { RESTING, type InPlaceField, type Offer, type SheetState, type TypedField } from './sheet-state';
import type { Tool, ToolPointer } from './tools/tool';
import { Viewpoint } from './viewpoint';
import { sheetController as WORDS } from './words';

const SNAP = 10;

/**
 * The sheet as one works on it: the tool in hand and the fields it opens, over a drawing seen from somewhere, or over two of them beside each
 * other, seen from the same place. React only mounts it.
 */
export class SheetController {
  readonly store: StoreApi<SheetState>;
  readonly view: Viewpoint;
  /** The drawings, the first one first. */
  private drawings: readonly LiveDrawing[];
  /** The one that the pointer is over, or was last: what is pressed is sought in it. */
  private under: LiveDrawing;
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
    const first = this.drawingOn(canvas, () => editor.state);
    this.drawings = [first];
    this.under = first;
    this.view = new Viewpoint(editor, this.store, {
      drawnFrom: first.drawnFrom,
      isHeavy: () => first.isHeavy,
      refresh: (what) => this.refresh(what),
      shift: (dx, dy) => this.drawings.forEach((one) => one.shift(dx, dy)),
    });
    this.stopListening = editor.store.subscribe((state, before) => {
      this.view.modelChanged(state, before);
      const redraw = redrawOf(state, before);
      if (state.pointedAt !== before.pointedAt) first.drawAhead('pointed');
      if (state.drawn !== before.drawn) this.drawings.forEach((one) => one.follow());
      else if (redraw === 'at once') this.drawings.forEach((one) => one.followChoice());
      else if (redraw === 'next frame') this.refresh();
    });
    document.fonts.addEventListener('loadingdone', this.fontsCame);
  }

  /** A font is fetched when a text is first drawn in it, which may be long after the first picture; texts are measured again then. */
  private readonly fontsCame = (): void => this.recolour();

  private drawingOn(canvas: HTMLCanvasElement, state: () => EditorState): LiveDrawing {
    return new LiveDrawing(canvas, {
      store: this.store,
      state,
      from: () => this.view,
      say: (words) => this.say(words),
      marks: (drawing) => this.marksOn(drawing),
    });
  }

  /** What is in hand marks the same place in each drawing, with what each says there. */
  private marksOn(drawing: LiveDrawing): readonly Item[] {
    const under = this.under;
    this.under = drawing;
    const marks = this.store.getState().tool.overlay?.() ?? [];
    this.under = under;
    return marks;
  }

  /** The drawing that the pointer is over. */
  get drawing(): LiveDrawing {
    return this.under;
  }

  /** Draws what one of the panes beside looks at on a canvas of its own; returns what ends it. */
  drawBeside(canvas: HTMLCanvasElement, at: number): () => void {
    const made = this.drawingOn(canvas, () => stateBeside(this.editor.state, at));
    this.drawings = [...this.drawings, made];
    return () => {
      made.close();
      this.drawings = this.drawings.filter((one) => one !== made);
      if (this.under === made) this.under = this.drawings[0]!;
    };
  }

  /** Paints every drawing before the next frame: see `LiveDrawing.refresh`. */
  refresh(what: 'all' | 'overlay' = 'all'): void {
    for (const one of this.drawings) one.refresh(what);
  }

  /** Reads colours and fonts again: the theme has changed, or a font has come. */
  recolour(): void {
    for (const one of this.drawings) one.recolour();
  }

  close(): void {
    document.fonts.removeEventListener('loadingdone', this.fontsCame);
    this.stopListening();
    this.keyboard.forget();
    this.view.close();
    for (const one of this.drawings) one.close();
  }

  /** Each drawing has the size of the first. */
  resize(width: number, height: number, ratio: number): void {
    for (const one of this.drawings) one.resize(width, height, ratio);
    this.view.resize(width, height);
    this.refresh();
  }

  /** What the sheet shows, so many pixels wide, as a PNG file. */
  async picture(pixels: number): Promise<Blob> {
    const [first] = this.drawings;
    const canvas = first!.enlarged(pixels / this.view.camera.width);
    // Whatever the sheet shows next is drawn in its own size again.
    this.refresh();
    return new Promise((resolve, reject) =>
      canvas.toBlob((file) => (file ? resolve(file) : reject(new Error(WORDS.noPicture))), 'image/png'),
    );
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
    const { left, top } = this.corner();
    this.store.setState({ menu: menu && { x: menu.x + left, y: menu.y + top } });
  }

  /** Where the drawing that the pointer is over begins on the sheet, pixels. */
  private corner(): { readonly left: number; readonly top: number } {
    const [first, here] = [this.drawings[0]!, this.under].map(({ canvas }) => canvas.getBoundingClientRect());
    return { left: here!.left - first!.left, top: here!.top - first!.top };
  }

  /** A field that stands over a place of the drawing, where that is on the sheet. */
  private onSheet<F extends { readonly left: number; readonly top: number }>(field: F | undefined): F | undefined {
    if (!field || this.under === this.drawings[0]) return field;
    const { left, top } = this.corner();
    return { ...field, left: field.left + left, top: field.top + top };
  }

  take(tool: Tool): void {
    this.store.getState().tool.leave?.();
    this.store.setState({ tool, hint: tool.hint, field: undefined, typed: undefined, cursor: tool.cursor, offer: undefined });
    // A tool may open a field as soon as it is done: that is waited for.
    if (tool.takesPlaces) this.moveKeyboard();
    else this.keyboard.soon(() => this.moveKeyboard());
    this.refresh();
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
    this.store.setState({ field: this.onSheet(field) });
    if (!field) this.keyboard.soon(() => this.moveKeyboard());
  }

  openTyped(typed: TypedField | undefined): void {
    this.store.setState({ typed: this.onSheet(typed) });
    if (!typed) this.keyboard.soon(() => this.moveKeyboard());
  }

  /** `canvas`: of the drawing on which it happens. */
  pointer(kind: 'down' | 'move' | 'up' | 'cancel', event: ToolPointer, canvas?: HTMLCanvasElement): void {
    this.under = this.drawings.find((one) => one.canvas === canvas) ?? this.drawings[0]!;
    const { tool } = this.store.getState();
    tool[kind]?.(event);
    const cursor = tool.cursor;
    if (cursor !== this.store.getState().cursor) this.store.setState({ cursor });
    this.refresh('overlay');
  }

  pointerAway(): void {
    this.store.getState().tool.away?.();
    this.under = this.drawings[0]!;
    this.refresh('overlay');
  }

  /** Returns true when the tool had use for the key. */
  key(event: KeyboardEvent): boolean {
    const { tool } = this.store.getState();
    const used = tool.key?.(event) ?? false;
    if (!used && event.key === 'Escape' && tool.name !== RESTING) {
      this.takeSelect();
      return true;
    }
    if (used) this.refresh('overlay');
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
