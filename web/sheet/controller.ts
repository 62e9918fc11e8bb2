import { createStore, type StoreApi } from 'zustand/vanilla';
import type { DimensionName } from '@rigid-beam/core/quantities/dimension';
import { boundsOf, fit, worldX, worldY, zoomAt, type Camera } from '@rigid-beam/drawing/camera';
import type { Item, Subject } from '@rigid-beam/drawing/display-list';
import { gridItems, gridStep, snapToGrid } from '@rigid-beam/drawing/grid-items';
import { hitTest, type Hit } from '@rigid-beam/drawing/hit-test';
import { placeLabels, type PlacedLabel } from '@rigid-beam/drawing/place-labels';
import { sheetItems } from '@rigid-beam/drawing/sheet-items';
import type { View } from '@rigid-beam/drawing/view';
import { SKETCHED, weightAt, withoutSmallTalk } from '@rigid-beam/drawing/weight';
import type { Editor, EditorState } from '../session/editor';
import { actingIndex, solutionOf } from '../session/use-editor';
import { canvasMeasure, paint, readPalette, type Palette } from './paint';
import type { Tool, ToolPointer } from './tools/tool';

/** A field that stands on the drawing, over the text it changes. */
export interface InPlaceField {
  readonly label: string;
  readonly left: number;
  readonly top: number;
  readonly value: number | undefined;
  readonly dimension: DimensionName;
  readonly unit: string;
  readonly commit: (value: number) => void;
}

/** A free text typed while drawing, in the notation that `hint` explains. */
export interface TypedField {
  readonly left: number;
  readonly top: number;
  readonly hint: string;
  readonly first: string;
  /** Returns why the text means nothing, or undefined when it was taken. */
  readonly commit: (text: string) => string | undefined;
}

export interface SheetState {
  readonly camera: Camera;
  readonly tool: Tool;
  readonly hint: string;
  readonly field: InPlaceField | undefined;
  readonly typed: TypedField | undefined;
  readonly cursor: string;
}

/** A point on the drawing after snapping: the node that it met, if any. */
export interface Snapped {
  readonly x: number;
  readonly y: number;
  readonly node?: string;
}

const RESTING = 'select';
/** Milliseconds after which a moved drawing counts as at rest. */
const REST = 120;

/** How near something must be to be meant, pixels: a finger is less exact than a mouse. */
const REACH = { mouse: 7, pen: 9, touch: 18 } as const;
const SNAP = 10;
/** Pixels that the card covers on the right while something is selected. */
export const CARD_WIDTH = 284;
/** Pixels that the title block takes in the lower right corner. */
export const TITLE_BLOCK = { width: 420, height: 124 };

/** The live drawing behind the canvas: camera, display list, hit-testing and the tool in hand. React only mounts it. */
export class SheetController {
  readonly store: StoreApi<SheetState>;
  private items: Item[] = [];
  private placed: PlacedLabel[] = [];
  private palette: Palette;
  private readonly context: CanvasRenderingContext2D;
  private ratio = 1;
  private frame = 0;
  private stale = true;
  private rest: ReturnType<typeof setTimeout> | undefined;
  /** The view follows the structure until someone moves it. */
  private follows = true;
  private readonly stopListening: () => void;

  constructor(
    readonly editor: Editor,
    private readonly canvas: HTMLCanvasElement,
    /** The tool that is in hand whenever no other is. */
    private readonly restingTool: (sheet: SheetController) => Tool,
  ) {
    this.context = canvas.getContext('2d', { alpha: false })!;
    this.palette = readPalette(canvas);
    const select = restingTool(this);
    this.store = createStore<SheetState>(() => ({
      camera: { x: 0, y: 0, scale: 60, width: 0, height: 0 },
      tool: select,
      hint: select.hint,
      field: undefined,
      typed: undefined,
      cursor: 'default',
    }));
    this.stopListening = editor.store.subscribe((state, before) => this.modelChanged(state, before));
    // Fonts arrive after the first picture; texts are measured again then.
    void document.fonts.ready.then(() => this.refresh());
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
    this.ratio = ratio;
    this.canvas.width = Math.round(width * ratio);
    this.canvas.height = Math.round(height * ratio);
    this.store.setState({ camera: { ...this.camera, width, height } });
    if (this.follows) this.showAll();
    this.refresh();
  }

  /** Reads the colours again: the theme has changed. */
  recolour(): void {
    this.palette = readPalette(this.canvas);
    this.refresh();
  }

  /** Everything in view, beside or above the title block, whichever leaves the drawing larger. */
  showAll(): void {
    const { model } = this.editor.state.drawn;
    const { width, height } = this.camera;
    if (width === 0) return;
    this.follows = true;
    const found = boundsOf(model.nodes);
    const box =
      found && (found.right > found.left || found.top > found.bottom) ? found : { left: -1, right: 9, bottom: -1, top: 5 };
    const covered = this.editor.state.selection.length > 0 ? CARD_WIDTH : 0;
    const above = fit(box, width, height, { left: 165, right: 75 + covered, top: 84, bottom: 128 + TITLE_BLOCK.height });
    const beside = fit(box, width, height, { left: 165, right: 60 + Math.max(TITLE_BLOCK.width, covered), top: 84, bottom: 140 });
    this.setCamera(above.scale >= beside.scale ? above : beside);
  }

  zoom(factor: number, px = this.camera.width / 2, py = this.camera.height / 2): void {
    this.follows = false;
    this.setCamera(zoomAt(this.camera, px, py, factor));
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

  take(tool: Tool): void {
    this.store.getState().tool.leave?.();
    this.store.setState({ tool, hint: tool.hint, field: undefined, typed: undefined, cursor: tool.cursor });
    this.refresh();
  }

  takeSelect(): void {
    this.take(this.restingTool(this));
  }

  say(hint: string): void {
    if (this.store.getState().hint !== hint) this.store.setState({ hint });
  }

  openField(field: InPlaceField | undefined): void {
    this.store.setState({ field });
  }

  openTyped(typed: TypedField | undefined): void {
    this.store.setState({ typed });
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

  /** The node under the point, or else the nearest grid point. */
  snap(px: number, py: number, without: ReadonlySet<string> = new Set()): Snapped {
    const { x, y } = this.world(px, py);
    const reach = SNAP / this.camera.scale;
    const node = this.editor.state.model.nodes.find((one) => !without.has(one.id) && Math.hypot(one.x - x, one.y - y) <= reach);
    if (node) return { x: node.x, y: node.y, node: node.id };
    const step = this.step();
    return { x: snapToGrid(x, step), y: snapToGrid(y, step) };
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
    if (this.follows && state.selection.length > 0 !== before.selection.length > 0) this.showAll();
    if (
      state.drawn !== before.drawn &&
      this.follows &&
      !state.preview &&
      state.drawn.model !== before.drawn.model &&
      this.store.getState().tool.name === RESTING
    )
      this.showAll();
    this.refresh();
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
    const { camera } = this;
    if (camera.width === 0) return;
    if (this.stale) {
      const state = this.editor.state;
      const view = this.view(state);
      const items = sheetItems(state.drawn.model, solutionOf(state), view);
      this.items = view.weight < SKETCHED ? withoutSmallTalk(items) : items;
      this.placed = placeLabels(this.items, camera, canvasMeasure(this.context));
      this.stale = false;
    }
    const overlay = this.store.getState().tool.overlay?.() ?? [];
    const overlayLabels = placeLabels(overlay, camera, canvasMeasure(this.context));
    paint(
      this.context,
      [gridItems(camera), this.items, overlay],
      [...this.placed, ...overlayLabels],
      camera,
      this.palette,
      this.ratio,
    );
  }

  private view(state: EditorState): View {
    return {
      outcome: actingIndex(state),
      quantity: state.quantity,
      diagramFactor: state.diagramFactor,
      values: state.values,
      deflected: state.deflected,
      reactions: true,
      loads: true,
      dimensions: state.dimensions,
      names: state.names || state.stage === 'geometry',
      selection: state.selection,
      scale: this.camera.scale,
      weight: weightAt(state.drawn.model, this.camera.scale),
    };
  }
}
