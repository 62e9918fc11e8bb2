import type { StoreApi } from 'zustand/vanilla';
import type { Model } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import { planesOf } from '@rigid-beam/core/model/planes';
import { nodesOf } from '@rigid-beam/core/model/selecting';
import { boundsOf, screenX, screenY, worldX, worldY, zoomAt, type Camera } from '@rigid-beam/drawing/camera';
import { drawnNodes, type Seen } from '@rigid-beam/drawing/geometry';
import { gridStep } from '@rigid-beam/drawing/grid-items';
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
import { LARGE } from '@rigid-beam/drawing/level-of-detail';
import { chosenOf } from '../editor/chosen';
import type { Editor } from '../editor/editor';
import type { EditorState } from '../editor/editor-state';
import { fitted, framed, type Drawn } from './framing';
import { RESTING, type SheetState } from './sheet-state';

/** Milliseconds after which a moved drawing counts as at rest. */
const REST = 120;

/** What is seen, and has to follow when one looks from elsewhere. */
interface Shown {
  /** What would be drawn from there. */
  readonly drawnFrom: Drawn;
  /** Whether building it takes longer than a frame. */
  readonly isHeavy: () => boolean;
  refresh(what?: 'all' | 'overlay'): void;
  /** Moves what was painted along, until it is built anew. */
  shift(dx: number, dy: number): void;
}

/** From where the model is seen: the camera over the paper, the look at space, and the plane that points are placed on. */
export class Viewpoint {
  /** The view follows the structure until someone moves it. */
  private follows = true;
  private turns = false;
  private readonly opened: Model;
  private rest: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly editor: Editor,
    private readonly store: StoreApi<SheetState>,
    private readonly shown: Shown,
  ) {
    this.opened = editor.state.model;
  }

  close(): void {
    clearTimeout(this.rest);
  }

  get camera(): Camera {
    return this.store.getState().camera;
  }

  /** Whether the look is being turned. */
  get isTurning(): boolean {
    return this.turns;
  }

  resize(width: number, height: number): void {
    this.store.setState({ camera: { ...this.camera, width, height } });
    if (this.follows) this.showAll();
  }

  modelChanged(state: EditorState, before: EditorState): void {
    const { model, results } = state.drawn;
    const old = before.drawn;
    // Another picture behind is looked at whole, whatever is done with it next.
    if (model.underlay?.image !== old.model.underlay?.image && model.underlay) return this.showAll();
    if (!this.follows || !this.isAtRest()) return;
    const isOther =
      model.nodes !== old.model.nodes ||
      model.underlay !== old.model.underlay ||
      // The first results of what was opened show how much room they take.
      (model === this.opened && results?.solution !== undefined && old.results?.solution === undefined) ||
      state.hidden !== before.hidden;
    // Between stages, and whatever is switched, the picture keeps its place.
    if (isOther) this.showAll();
  }

  /** The whole drawing in view, with room for what any stage shows of it. */
  showAll(): void {
    this.follows = true;
    const { camera } = this;
    if (camera.width === 0) return;
    const state = this.editor.state;
    // A large drawing takes longer to build than a frame: its nodes tell enough.
    const found =
      state.drawn.model.members.length > LARGE
        ? framed(state, this.seen(), camera, () => true)
        : fitted(state, this.seen(), camera, this.shown.drawnFrom);
    this.setCamera(found);
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
    if (this.camera.width > 0) this.setCamera(framed(this.editor.state, this.seen(), this.camera, which));
  }

  zoom(factor: number, px = this.camera.width / 2, py = this.camera.height / 2): void {
    this.follows = false;
    const camera = zoomAt(this.camera, px, py, factor);
    if (!this.shown.isHeavy()) {
      this.setCamera(camera);
      return;
    }
    // A large drawing is stretched while one zooms, and drawn anew when it rests.
    this.store.setState({ camera });
    this.shown.refresh('overlay');
    clearTimeout(this.rest);
    this.rest = setTimeout(() => this.shown.refresh(), REST);
  }

  /** Nothing is drawn anew while the paper moves: texts move along, and find their best places when it rests. */
  pan(dx: number, dy: number): void {
    this.follows = false;
    const { camera } = this;
    this.store.setState({ camera: { ...camera, x: camera.x - dx / camera.scale, y: camera.y + dy / camera.scale } });
    this.shown.shift(dx, dy);
    clearTimeout(this.rest);
    this.rest = setTimeout(() => this.shown.refresh(), REST);
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
    this.turns = true;
    this.store.setState({ camera: { ...camera, x: camera.x + after.x - before.x, y: camera.y + after.y - before.y } });
    this.shown.refresh();
    clearTimeout(this.rest);
    this.rest = setTimeout(() => {
      this.turns = false;
      if (this.follows) this.showAll();
      this.shown.refresh();
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
    this.shown.refresh();
  }

  /** Brings the next frame, truss or floor forward, or the one before; after the last one, all of them. */
  nextPlane(step: 1 | -1): void {
    const { model } = this.editor.state;
    if (model.space === 'plane') return;
    const planes = planesOf(model);
    const { plane } = this.store.getState();
    const now = plane?.tilted ? -1 : planes.findIndex(({ axis, at }) => axis === plane?.axis && at === plane.at);
    // −1 stands for all.
    const next = ((now + 1 + step + planes.length + 1) % (planes.length + 1)) - 1;
    const found = planes[next];
    this.usePlane(found && { axis: found.axis, at: found.at });
  }

  world(px: number, py: number): { x: number; y: number } {
    return { x: worldX(this.camera, px), y: worldY(this.camera, py) };
  }

  /** Where a point of space is seen on the sheet, pixels. */
  placeOf(at: Point): { left: number; top: number } {
    const [x, y] = seenPoint(this.seen().projection, at);
    return { left: screenX(this.camera, x), top: screenY(this.camera, y) };
  }

  /** The grid step that points snap to, metres. */
  step(): number {
    return gridStep(this.camera.scale);
  }

  private setCamera(camera: Camera): void {
    this.store.setState({ camera });
    this.shown.refresh();
  }

  /** Nothing is dragged or drawn that would slip away under the pointer. */
  private isAtRest(): boolean {
    return !this.editor.state.preview && this.store.getState().tool.name === RESTING;
  }
}
