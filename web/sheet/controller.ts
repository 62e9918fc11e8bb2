import { createStore, type StoreApi } from 'zustand/vanilla';
import type { Point } from '@rigid-beam/core/model/point';
import { nodesOf } from '@rigid-beam/core/model/selecting';
import { boundsOf, screenX, screenY, worldX, worldY, zoomAt, type Camera } from '@rigid-beam/drawing/camera';
import type { Item, Subject } from '@rigid-beam/drawing/display-list';
import { drawnNodes, type Seen } from '@rigid-beam/drawing/geometry';
import { gridStep, paperItems } from '@rigid-beam/drawing/grid-items';
import { hitTest, type Hit } from '@rigid-beam/drawing/hit-test';
import { placeLabels, type PlacedLabel } from '@rigid-beam/drawing/place-labels';
import {
  ELEVATION,
  lookFrom,
  LOOKS,
  onWorkPlane,
  seenPoint,
  squareAxis,
  type Look,
  type WorkPlane,
} from '@rigid-beam/drawing/projection';
import { snap, type Snap } from '@rigid-beam/drawing/snap';
import { chosenOf } from '../session/chosen';
import { isHeld, type Editor, type EditorState } from '../session/editor';
import { traced } from '../underlay/trace';
import { CARD_WIDTH, framed } from './framing';
import { Keyboard } from './keyboard';
import { Painter, type Picture } from './painter';
import { Swing } from './swing';
import type { InPlaceField, Offer, SheetState, TypedField } from './sheet-state';
import type { Tool, ToolPointer } from './tools/tool';
import { itemsIn, viewOf } from './view-of';

const RESTING = 'select';
/** Milliseconds after which a moved drawing counts as at rest. */
const REST = 120;
/** Items from which a drawing takes longer to build than a frame. */
const HEAVY = 4000;

/** How near something must be to be meant, pixels: a finger is less exact than a mouse. */
const REACH = { mouse: 7, pen: 9, touch: 18 } as const;
const SNAP = 10;

/** The live drawing behind the canvas: camera, display list, hit-testing and the tool in hand. React only mounts it. */
export class SheetController {
  readonly store: StoreApi<SheetState>;
  private items: Item[] = [];
  private placed: PlacedLabel[] = [];
  private readonly painter: Painter;
  private frame = 0;
  private stale = true;
  private turning = false;
  private rest: ReturnType<typeof setTimeout> | undefined;
  /** The view follows the structure until someone moves it. */
  private follows = true;
  /** Pixels at the top of the sheet that words lie over. */
  private coveredTop = 0;
  private readonly keyboard: Keyboard;
  private readonly swing = new Swing();
  private readonly calm = window.matchMedia('(prefers-reduced-motion: reduce)');
  private readonly stopListening: () => void;

  constructor(
    readonly editor: Editor,
    canvas: HTMLCanvasElement,
    /** The tool that is in hand whenever no other is. */
    private readonly restingTool: (sheet: SheetController) => Tool,
  ) {
    this.painter = new Painter(canvas, () => this.refresh());
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
    this.stopListening = editor.store.subscribe((state, before) => this.modelChanged(state, before));
    // Fonts arrive after the first picture; texts are measured again then.
    void document.fonts.ready.then(() => this.recolour());
  }

  close(): void {
    this.stopListening();
    clearTimeout(this.rest);
    cancelAnimationFrame(this.frame);
  }

  get camera(): Camera {
    return this.store.getState().camera;
  }

  resize(width: number, height: number, ratio: number): void {
    this.painter.resize(width, height, ratio);
    this.store.setState({ camera: { ...this.camera, width, height } });
    if (this.follows) this.showAll();
    this.refresh();
  }

  /** Reads colours and fonts again: the theme has changed, or a font has come. */
  recolour(): void {
    this.painter.recolour();
    this.refresh();
  }

  /** Everything in view, beside or above the title block, whichever leaves the drawing larger. */
  showAll(): void {
    this.follows = true;
    this.show(() => true);
  }

  /** The selected nodes and members in view; everything where nothing is selected. */
  showSelection(): void {
    const { model, selection } = this.editor.state;
    const nodes = new Set(nodesOf(model, chosenOf(selection)));
    if (nodes.size === 0) return this.showAll();
    this.follows = false;
    this.show((id) => nodes.has(id));
  }

  private show(which: (id: string) => boolean): void {
    if (this.camera.width > 0) this.setCamera(framed(this.editor.state, this.seen(), this.camera, which, this.coveredTop));
  }

  /** Words lie over so many pixels at the top of the sheet: the drawing makes room for them while it follows the structure. */
  coverTop(pixels: number): void {
    if (pixels === this.coveredTop) return;
    this.coveredTop = pixels;
    if (this.follows && this.isAtRest()) this.showAll();
  }

  zoom(factor: number, px = this.camera.width / 2, py = this.camera.height / 2): void {
    this.follows = false;
    const camera = zoomAt(this.camera, px, py, factor);
    if (this.items.length < HEAVY) {
      this.setCamera(camera);
      return;
    }
    // A large drawing is stretched while one zooms, and drawn anew when it rests.
    this.store.setState({ camera });
    this.refresh('overlay');
    clearTimeout(this.rest);
    this.rest = setTimeout(() => this.refresh(), REST);
  }

  /** Nothing is drawn anew while the paper moves: texts move along, and find their best places when it rests. */
  pan(dx: number, dy: number): void {
    this.follows = false;
    const { camera } = this;
    this.store.setState({ camera: { ...camera, x: camera.x - dx / camera.scale, y: camera.y + dy / camera.scale } });
    this.placed = this.placed.map((label) => ({ ...label, left: label.left + dx, top: label.top + dy }));
    this.refresh('overlay');
    clearTimeout(this.rest);
    this.rest = setTimeout(() => this.refresh(), REST);
  }

  /** Moves the drawing aside when what was clicked would lie under the card. */
  keepInSight(px: number): void {
    const limit = this.camera.width - CARD_WIDTH - 40;
    if (this.editor.state.selection.length > 0 && px > limit) this.pan(limit - px, 0);
  }

  /** How the model is looked at. A plane model is always seen straight on. */
  seen(): Seen {
    const { drawn, hidden } = this.editor.state;
    return { projection: drawn.model.space === 'plane' ? ELEVATION : this.store.getState().projection, hidden };
  }

  /** Looks from another side. */
  look(look: Look | { readonly round: number; readonly height: number }): void {
    const to = typeof look === 'string' ? LOOKS[look] : look;
    const height = Math.min(90, Math.max(-90, to.height));
    const round = ((to.round % 360) + 360) % 360;
    this.store.setState({ look: { round, height }, projection: lookFrom(round, height) });
  }

  lookAt(look: Look | { readonly round: number; readonly height: number }): void {
    this.look(look);
    this.follows = true;
    this.showAll();
  }

  /** Turns the look by a way of the pointer; only members are drawn until it rests. */
  turn(dx: number, dy: number): void {
    const { look } = this.store.getState();
    const before = this.middleSeen();
    this.look({ round: look.round - dx * 0.4, height: look.height + dy * 0.4 });
    const after = this.middleSeen();
    const { camera } = this;
    this.turning = true;
    this.store.setState({ camera: { ...camera, x: camera.x + after.x - before.x, y: camera.y + after.y - before.y } });
    this.refresh();
    clearTimeout(this.rest);
    this.rest = setTimeout(() => {
      this.turning = false;
      if (this.follows) this.showAll();
      this.refresh();
    }, REST);
  }

  /** The middle of the structure as it is seen: it stays where it is while the look turns. */
  private middleSeen(): { x: number; y: number } {
    const box = boundsOf(drawnNodes(this.editor.state.drawn.model, this.seen()).values());
    return box ? { x: (box.left + box.right) / 2, y: (box.bottom + box.top) / 2 } : { x: 0, y: 0 };
  }

  /** The plane on which points are placed: the chosen one, unless it is seen edge-on; then the one that is seen most squarely. */
  workPlane(): WorkPlane {
    const { model } = this.editor.state;
    if (model.space === 'plane') return { axis: 'z', at: 0 };
    const { projection } = this.seen();
    const plane = this.store.getState().plane ?? { axis: 'z', at: 0 };
    if (onWorkPlane(projection, plane, 0, 0)) return plane;
    const axis = squareAxis(projection);
    return { axis, at: 0 };
  }

  usePlane(plane: WorkPlane | undefined): void {
    this.store.setState({ plane });
    this.refresh();
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
    else setTimeout(() => this.moveKeyboard());
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

  openField(field: InPlaceField | undefined): void {
    this.store.setState({ field });
    if (!field) setTimeout(() => this.moveKeyboard());
  }

  openTyped(typed: TypedField | undefined): void {
    this.store.setState({ typed });
    if (!typed) setTimeout(() => this.moveKeyboard());
  }

  pointer(kind: 'down' | 'move' | 'up' | 'cancel', event: ToolPointer): void {
    const { tool } = this.store.getState();
    tool[kind]?.(event);
    const cursor = tool.cursor;
    if (cursor !== this.store.getState().cursor) this.store.setState({ cursor });
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

  hit(px: number, py: number, pointerType: string): Hit | undefined {
    const reach = REACH[pointerType as keyof typeof REACH] ?? REACH.mouse;
    return hitTest(this.items, this.placed, this.camera, px, py, reach);
  }

  /** Where the text of a thing stands on the sheet, if it is shown. */
  labelOf(matches: (subject: Subject) => boolean): PlacedLabel | undefined {
    if (this.stale) this.draw();
    return this.placed.find(({ label }) => label.subject !== undefined && matches(label.subject));
  }

  world(px: number, py: number): { x: number; y: number } {
    return { x: worldX(this.camera, px), y: worldY(this.camera, py) };
  }

  /** Where a point of space is seen on the sheet, pixels. */
  placeOf(at: Point): { left: number; top: number } {
    const [x, y] = seenPoint(this.seen().projection, at);
    return { left: screenX(this.camera, x), top: screenY(this.camera, y) };
  }

  /** What the pointer means at a place of the sheet: see `snap`. `plane`: another plane than the one in use. */
  snap(
    px: number,
    py: number,
    more: { from?: Point | undefined; without?: ReadonlySet<string>; plane?: WorkPlane; step?: number } = {},
  ): Snap | undefined {
    const { model } = this.editor.state;
    const { camera } = this;
    const seen = this.seen();
    const plane = more.plane ?? this.workPlane();
    const { underlay } = model;
    return snap({
      model,
      seen,
      camera,
      px,
      py,
      plane,
      behind: () => traced({ underlay, projection: seen.projection, camera, px, py, plane, reach: SNAP }),
      step: more.step ?? this.step(),
      from: more.from,
      ...(more.without && { without: more.without }),
      reach: SNAP,
    });
  }

  /** The grid step that points snap to, metres. */
  step(): number {
    return gridStep(this.camera.scale);
  }

  private setCamera(camera: Camera): void {
    this.store.setState({ camera });
    this.refresh();
  }

  private modelChanged(state: EditorState, before: EditorState): void {
    // The card comes or goes: the drawing makes room for it while it follows the structure.
    const room = (one: EditorState): string => `${one.selection.length > 0} ${one.schedule !== undefined}`;
    if (this.follows && room(state) !== room(before)) this.showAll();
    if (state.drawn.model !== before.drawn.model && this.follows && this.isAtRest()) this.showAll();
    this.refresh();
  }

  /** Nothing is dragged or drawn that would slip away under the pointer. */
  private isAtRest(): boolean {
    return !this.editor.state.preview && this.store.getState().tool.name === RESTING;
  }

  /** Paints before the next frame; builds the display list anew unless only the tool's own marks changed. */
  refresh(what: 'all' | 'overlay' = 'all'): void {
    if (what === 'all') this.stale = true;
    if (this.frame !== 0) return;
    this.frame = requestAnimationFrame(() => {
      this.frame = 0;
      this.draw();
    });
  }

  private draw(): void {
    if (this.camera.width === 0) return;
    if (this.stale) this.rebuild();
    const moves = this.turning || isHeld(this.editor.state);
    const motion = this.swing.marks(this.editor.state, this.seen(), this.calm.matches);
    this.painter.show(this.picture(), moves, [...motion.items, ...(this.store.getState().tool.overlay?.() ?? [])]);
    if (motion.goesOn) this.refresh('overlay');
  }

  private picture(): Picture {
    const { model } = this.editor.state.drawn;
    const { projection } = this.seen();
    return {
      camera: this.camera,
      lists: () => [this.turning ? [] : paperItems(model, projection, this.camera, this.workPlane()), this.items],
      placed: this.placed,
      underlay: model.underlay,
      projection,
    };
  }

  private rebuild(): void {
    const { camera } = this;
    const state = this.editor.state;
    const view = viewOf(state, this.seen(), this.store.getState().plane, camera.scale, this.turning);
    this.items = itemsIn(state, view, this.turning);
    this.placed = placeLabels(this.items, camera, this.painter.measure);
    this.painter.forget();
    this.stale = false;
  }
}
