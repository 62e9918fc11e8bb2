import type { StoreApi } from 'zustand/vanilla';
import { screenX, screenY, worldX, worldY, type Camera } from '@rigid-beam/drawing/camera';
import type { Item, Label } from '@rigid-beam/drawing/display-list';
import { paperItems } from '@rigid-beam/drawing/grid-items';
import { hitTest, type Hit } from '@rigid-beam/drawing/hit-test';
import { pointedItems } from '@rigid-beam/drawing/pointed-items';
import { placeLabels, placeLabelsIn, type PlacedLabel } from '@rigid-beam/drawing/place-labels';
import { isHeld, type EditorState } from '../editor/editor-state';
import { isAwaited } from '../editor/slices/solution';
import { colouredOf } from '@rigid-beam/drawing/coloured-items';
import { inkOf } from '@rigid-beam/drawing/diagram-items';
import { movingItems } from '@rigid-beam/drawing/moving-items';
import { deflectionOf } from '@rigid-beam/drawing/drawn-scale';
import { itemsOf, type SheetPart } from '@rigid-beam/drawing/sheet-items';
import { isOn } from '@rigid-beam/drawing/stage-view';
import type { View } from '@rigid-beam/drawing/view';
import { finished, type Steps } from '@rigid-beam/core/steps';
import { LARGE } from '@rigid-beam/drawing/level-of-detail';
import { DrawnAhead, type Asked, type DrawnView } from './drawn-ahead';
import type { Drawn } from './framing';
import { goesThrough, likelyNext, type Goes } from './in-strip';
import type { Palette } from './paint';
import { Painter, type Picture } from './painter';
import { SolidLayer } from './solid/solid-layer';
import type { SheetState } from './sheet-state';
import { Sway } from './sway';
import { Swing } from './swing';
import { partsIn, partsInSteps, viewOf } from './view-of';
import type { Viewpoint } from './viewpoint';

/** Whether the look is turning, so that only members are drawn. */
type Look = 'turning' | 'still';

/** Items from which a drawing takes longer to build than a frame. */
const HEAVY = 4000;

/** How near something must be to be meant, pixels: a finger is less exact than a mouse. */
const REACH = { mouse: 7, pen: 9, touch: 18 } as const;

/** What a drawing needs of the sheet that it is on. */
interface Owner {
  readonly store: StoreApi<SheetState>;
  /** What is looked at: see `stateBeside`. */
  readonly state: () => EditorState;
  /** From where it is seen; asked from the first frame on. */
  readonly from: () => Viewpoint;
  readonly say: (words: string) => void;
  /** What the tool in hand marks on it. */
  readonly marks: (drawing: LiveDrawing) => readonly Item[];
}

/** The display list behind the canvas: built anew when something has changed, painted, and asked what lies at a place. */
export class LiveDrawing {
  private parts: readonly SheetPart[] = [];
  private items: Item[] = [];
  private placed: PlacedLabel[] = [];
  private readonly ahead = new DrawnAhead((asked) => this.steps(asked, 'still'));
  private readonly painter: Painter;
  private frame = 0;
  private stale = true;
  /** What was looked at last, and what the reader goes through. */
  private looked: View | undefined;
  private goes: Goes = 'quantities';
  private readonly swing = new Swing();
  private readonly sway = new Sway();
  private readonly bodies: SolidLayer;
  private readonly calm = window.matchMedia('(prefers-reduced-motion: reduce)');

  constructor(
    readonly canvas: HTMLCanvasElement,
    private readonly owner: Owner,
  ) {
    this.painter = new Painter(canvas, () => this.refresh());
    this.bodies = new SolidLayer(() => this.refresh(), owner.say);
  }

  close(): void {
    cancelAnimationFrame(this.frame);
    this.frame = 0;
    this.ahead.stop();
    this.bodies.close();
  }

  get isHeavy(): boolean {
    return this.items.length >= HEAVY;
  }

  resize(width: number, height: number, ratio: number): void {
    this.painter.resize(width, height, ratio);
  }

  /** Reads colours and fonts again: the theme has changed, or a font has come. */
  recolour(): void {
    this.painter.recolour();
    this.ahead.forget();
    this.refresh();
  }

  /** Whether a large structure is being solved: its members are drawn until then, since all else would be drawn again with the results. */
  private get isAwaited(): boolean {
    const { drawn, progress } = this.owner.state();
    return isAwaited(drawn, progress) && drawn.model.members.length > LARGE;
  }

  /** What would be drawn from a camera, in this stage and in Results: nothing has to move when one goes there. */
  readonly drawnFrom: Drawn = (camera) => {
    const lists = [this.itemsFrom(camera)];
    const state = this.owner.state();
    const { stage, drawn } = state;
    if (stage !== 'results' && drawn.results?.solution)
      lists.push(this.itemsFrom(camera, { ...state, stage: 'results', switches: {} }));
    return {
      items: lists.flat(),
      placed: lists.flatMap((items) => placeLabels(items, camera, this.painter.measure)),
    };
  };

  /** All values of a member that is pointed at, and its name, beside what is written already; what is drawn at the place that is pointed at, in pixels. */
  pointedAt(member: string, at?: readonly [px: number, py: number]): Item[] {
    // While the look turns nobody reads, and every step would be found anew.
    if (this.owner.from().isTurning) return [];
    const state = this.owner.state();
    const view = viewOf(state, this.owner.from().seen(), undefined, this.owner.from().camera.scale, 'still');
    const { camera } = this.owner.from();
    const place = at ? ([worldX(camera, at[0]), worldY(camera, at[1])] as const) : undefined;
    // The same figure close by, of this member or its neighbour at their node, is written already.
    const isWritten = ({ text, x, y, dx, dy }: Label): boolean =>
      this.placed.some(
        ({ label, left, top, width, height }) =>
          label.text.split(UNIT)[0] === text.split(UNIT)[0] &&
          Math.hypot(left + width / 2 - screenX(camera, x) - dx, top + height / 2 - screenY(camera, y) + dy) < CLOSE,
      );
    return pointedItems(state.drawn.model, state.drawn.results?.solution, view, member, place).filter(
      (item) => item.kind !== 'label' || item.rank === Infinity || !isWritten(item),
    );
  }

  shift(dx: number, dy: number): void {
    this.placed = this.placed.map((label) => ({ ...label, left: label.left + dx, top: label.top + dy }));
    this.refresh('overlay');
  }

  hit(px: number, py: number, pointerType: string): Hit | undefined {
    const reach = REACH[pointerType as keyof typeof REACH] ?? REACH.mouse;
    return hitTest(this.items, this.placed, this.owner.from().camera, [px, py], reach);
  }

  /** All texts, where they stand. */
  labels(): PlacedLabel[] {
    if (this.stale) this.draw();
    return [...this.placed];
  }

  /** Where the text of a thing stands on the sheet, if it is shown. */
  labelOf(matches: (label: Label) => boolean): PlacedLabel | undefined {
    if (this.stale) this.draw();
    return this.placed.find(({ label }) => label.subject !== undefined && matches(label));
  }

  /** Paints before the next frame; builds the display list anew unless only the tool's own marks changed. */
  refresh(what: 'all' | 'overlay' = 'all'): void {
    if (what === 'all') this.stale = true;
    if (this.frame !== 0) return;
    this.frame = requestAnimationFrame(() => this.drawFrame());
  }

  /** Something else was chosen to be seen: it is drawn as soon as all that the choice does has been done, so that the next frame shows it. */
  followChoice(): void {
    if (this.frame !== 0) cancelAnimationFrame(this.frame);
    // A frame that is asked for meanwhile would only draw the same again.
    const asked = requestAnimationFrame(() => this.drawFrame());
    this.frame = asked;
    this.stale = true;
    queueMicrotask(() => {
      if (this.frame !== asked) return;
      cancelAnimationFrame(asked);
      this.drawFrame();
    });
  }

  private drawFrame(): void {
    this.frame = 0;
    this.draw();
  }

  /** New results are there: they are drawn at once, so that the next frame shows them; what takes longer than a frame waits for its turn. */
  follow(): void {
    this.stale = true;
    // In hand the pointer asks for a frame anyway.
    if (this.isHeavy || this.owner.state().preview) return this.refresh();
    cancelAnimationFrame(this.frame);
    this.frame = 0;
    // Painted straight on the sheet: a copy to lay elsewhere is made when the pointer asks for one.
    this.draw('another');
  }

  /** All of it but the marks of the tool in hand, with so many pixels to one of the sheet. */
  enlarged(ratio: number): HTMLCanvasElement {
    if (this.stale) this.rebuild();
    return this.painter.enlarged(this.picture(), ratio);
  }

  private draw(next: 'another' | 'the same' = 'the same'): void {
    if (this.owner.from().camera.width === 0) return;
    if (this.stale) this.rebuild();
    const moves = next === 'another' || this.isAwaited || this.owner.from().isTurning || isHeld(this.owner.state());
    const motion = this.swing.marks(this.owner.state(), this.owner.from().seen(), this.calm.matches ? 'still' : 'moving');
    const swaying = this.swaying();
    this.painter.show(this.picture(), moves ? 'another' : 'the same', [
      ...motion.items,
      ...swaying.items,
      ...this.owner.marks(this),
    ]);
    if (motion.goesOn || swaying.goesOn) this.refresh('overlay');
  }

  /** The deflected line on its way, where somebody watches it. */
  private swaying(): { readonly items: readonly Item[]; readonly goesOn: boolean } {
    const state = this.owner.state();
    const { drawn, stage, switches } = state;
    const from = this.owner.from();
    const isWatched = isOn(stage, switches, 'moving') && !from.isTurning && !isHeld(state);
    const view = isWatched ? viewOf(state, from.seen(), undefined, from.camera.scale, 'turning') : undefined;
    const deflected = view && deflectionOf(drawn.model, drawn.results?.solution, view);
    if (!view || !deflected) {
      this.sway.stop();
      return { items: [], goesOn: false };
    }
    const { phase, goesOn } = this.sway.phase(`${deflected.outcome} ${deflected.factor}`, this.calm.matches ? 'still' : 'moving');
    return { items: movingItems(drawn.model, deflected, view, phase), goesOn };
  }

  private picture(): Picture {
    const { model } = this.owner.state().drawn;
    const { projection } = this.owner.from().seen();
    return {
      camera: this.owner.from().camera,
      lists: () => [
        this.owner.from().isTurning ? [] : paperItems(model, projection, this.owner.from().camera, this.owner.from().workPlane()),
        ...this.parts.map(({ items }) => items),
      ],
      kept: this.parts.findLast(({ isKept }) => isKept)?.items,
      placed: this.placed,
      underlay: model.underlay,
      projection,
      solids: (ratio, palette) => this.bodiesSeen(ratio, palette),
    };
  }

  private bodiesSeen(ratio: number, palette: Palette): CanvasImageSource | undefined {
    const state = this.owner.state();
    const { camera } = this.owner.from();
    const { projection } = this.owner.from().seen();
    // As while a look turns: how heavy lines are, which looks at every member, is no matter of bodies.
    const view = viewOf(state, this.owner.from().seen(), undefined, camera.scale, 'turning');
    if (!view.solids) return undefined;
    const bent = view.deflected ? deflectionOf(state.drawn.model, state.drawn.results?.solution, view) : undefined;
    const coloured = colouredOf(state.drawn.results?.solution, view);
    const inks = [1, -1].map((sign) => palette(coloured ? inkOf(coloured.quantity, sign) : 'member')) as [string, string];
    return this.bodies.picture(state, bent, coloured, {
      ...{ camera, projection, ratio, inks },
      ink: palette('member'),
      paper: palette('paper'),
    });
  }

  private asked(camera: Camera, look: Look, state = this.owner.state()): Asked {
    const view = viewOf(state, this.owner.from().seen(), this.owner.store.getState().plane, camera.scale, look);
    return { drawn: state.drawn, view, camera };
  }

  private itemsFrom(camera: Camera, state?: EditorState): Item[] {
    const look = this.isAwaited ? 'turning' : 'still';
    const { drawn, view } = this.asked(camera, look, state);
    return itemsOf(partsIn(drawn, view, look));
  }

  private *steps({ drawn, view, camera }: Asked, look: Look): Steps<DrawnView> {
    const parts = yield* partsInSteps(drawn, view, look);
    yield;
    return { parts, items: itemsOf(parts), placed: placeLabelsIn(parts, camera, this.painter.measure) };
  }

  private rebuild(): void {
    const { camera, isTurning } = this.owner.from();
    const look = this.isAwaited || isTurning ? 'turning' : 'still';
    const asked = this.asked(camera, look);
    const stays = look === 'still' && this.isStill && isPlain(asked.view);
    this.goes = goesThrough(this.looked, asked.view, this.goes);
    this.looked = asked.view;
    ({
      parts: this.parts,
      items: this.items,
      placed: this.placed,
    } = stays ? this.ahead.drawing(asked) : finished(this.steps(asked, look)));
    this.painter.forget();
    this.stale = false;
    this.drawAhead();
  }

  /** Nothing is in hand that changes the drawing with each frame. */
  private get isStill(): boolean {
    const { preview, proposal } = this.owner.state();
    return !preview && !proposal;
  }

  /** What is likely to be looked at next is drawn when nothing else is to do. */
  drawAhead(after: 'looked' | 'pointed' = 'looked'): void {
    this.ahead.prepare(() => {
      const state = this.owner.state();
      const { camera, isTurning } = this.owner.from();
      if (this.stale || this.isAwaited || !this.isStill || isTurning || camera.width === 0) return [];
      return likelyNext(state, this.goes)
        .map((place) => this.asked(camera, 'still', { ...state, ...place }))
        .filter(({ view }) => isPlain(view));
    }, after);
  }
}

/** Whether nothing is drawn in place of results that changes as it is dragged. */
const isPlain = ({ influence, cut }: View): boolean => influence === undefined && cut === undefined;

/** Pixels around a text in which its figure need not be written again. */
const CLOSE = 70;
/** Between a figure and its unit. */
const UNIT = / (?=[^ ]*[A-Za-z])/;
