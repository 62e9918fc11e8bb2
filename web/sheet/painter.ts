import type { Underlay } from '@rigid-beam/core/model/model';
import { screenX, screenY, worldX, worldY, type Camera } from '@rigid-beam/drawing/camera';
import type { DisplayList } from '@rigid-beam/drawing/display-list';
import { placeLabels, type Measure, type PlacedLabel } from '@rigid-beam/drawing/place-labels';
import { seenPoint, type Projection } from '@rigid-beam/drawing/projection';
import { pointOfPixel } from '../underlay/placing';
import { loaded } from '../underlay/read-picture';
import {
  canvasMeasure,
  paint,
  paintLists,
  readPalette,
  type Layer,
  type PaintedPicture,
  type Palette,
  type Canvas,
} from './paint';

/** All that stands on the sheet but the marks of the tool in hand. */
export interface Picture {
  readonly camera: Camera;
  /** From back to front; asked only where they are painted. */
  readonly lists: () => readonly DisplayList[];
  /** That of them which comes again as long as it shows the same. */
  readonly kept: DisplayList | undefined;
  readonly placed: readonly PlacedLabel[];
  readonly underlay: Underlay | undefined;
  readonly projection: Projection;
  /** Members as bodies, as they are seen from the camera; asked only where they are painted. */
  readonly solids: (ratio: number, palette: Palette) => CanvasImageSource | undefined;
}

/** Items from which it takes less to lay a picture of them than to paint them. */
const LONG = 1500;

/** The canvas. What does not change while the pointer hovers or the paper moves is painted once, and then only laid where it belongs. */
export class Painter {
  /** Width of a text in the canvas's own fonts. */
  measure: Measure;
  private palette: Palette;
  private readonly context: CanvasRenderingContext2D;
  private ratio = 1;
  private readonly still = document.createElement('canvas');
  /** What comes again in another picture, on a canvas of its own: from the second time on it is only laid there. */
  private layer: { readonly of: DisplayList; readonly camera: Camera; canvas?: HTMLCanvasElement } | undefined;
  /** The camera that the still picture was painted for. */
  private painted: Camera | undefined;
  /** The sheet itself shows the still picture and nothing else, which is copied as soon as something else has to be shown. */
  private isBare = false;
  private decoded: { readonly address: string; readonly image?: HTMLImageElement } | undefined;

  constructor(
    private readonly canvas: HTMLCanvasElement,
    /** Asks for another picture: an image has been decoded. */
    private readonly again: () => void,
  ) {
    this.context = canvas.getContext('2d', { alpha: false })!;
    this.palette = readPalette(canvas);
    this.measure = canvasMeasure(this.context);
  }

  resize(width: number, height: number, ratio: number): void {
    this.ratio = ratio;
    this.canvas.width = Math.round(width * ratio);
    this.canvas.height = Math.round(height * ratio);
    this.still.width = this.canvas.width;
    this.still.height = this.canvas.height;
    this.layer = undefined;
    this.forget();
  }

  recolour(): void {
    this.palette = readPalette(this.canvas);
    this.measure = canvasMeasure(this.context);
    this.layer = undefined;
    this.forget();
  }

  /** The picture has changed by more than its place. */
  forget(): void {
    this.painted = undefined;
    this.isBare = false;
  }

  /** `next`: where the next picture will be another one, keeping this one would only cost time. */
  show(picture: Picture, next: 'another' | 'the same', marks: DisplayList): void {
    const { camera } = picture;
    if (next === 'another') {
      if (this.isBare) this.forget();
      this.paintOn(this.context, picture);
    } else {
      const still = this.still.getContext('2d', { alpha: false })!;
      if (!this.painted) {
        this.painted = camera;
        this.isBare = marks.length === 0;
        this.paintOn(this.isBare ? this.context : still, picture, this.ratio, this.layerOf(picture));
        if (this.isBare) return;
      } else if (this.isBare) {
        still.setTransform(1, 0, 0, 1, 0, 0);
        still.drawImage(this.canvas, 0, 0);
        this.isBare = false;
      }
      this.layStill(this.painted, camera);
    }
    if (marks.length === 0) return;
    const labels = placeLabels(marks, camera, this.measure, picture.placed);
    paintLists(this.canvasOf(this.context), [marks], labels, camera);
  }

  /** The picture once more, on a canvas of its own, with so many of its pixels to one of the sheet. */
  enlarged(picture: Picture, ratio: number): HTMLCanvasElement {
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(picture.camera.width * ratio);
    canvas.height = Math.round(picture.camera.height * ratio);
    this.paintOn(canvas.getContext('2d', { alpha: false })!, picture, ratio);
    return canvas;
  }

  private canvasOf(context: CanvasRenderingContext2D, ratio = this.ratio): Canvas {
    return { context, palette: this.palette, ratio };
  }

  /** What comes again, painted already; undefined the first time, and where it is soon painted. */
  private layerOf({ kept, camera }: Picture): Layer | undefined {
    if (!kept || kept.length < LONG) return undefined;
    if (this.layer?.of !== kept || this.layer.camera !== camera) {
      this.layer = { of: kept, camera };
      return undefined;
    }
    let { canvas } = this.layer;
    if (!canvas) {
      canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [this.canvas.width, this.canvas.height];
      paintLists(this.canvasOf(canvas.getContext('2d')!), [kept], [], camera);
      this.layer.canvas = canvas;
    }
    return { of: kept, image: canvas };
  }

  private paintOn(context: CanvasRenderingContext2D, picture: Picture, ratio = this.ratio, layer?: Layer): void {
    const solids = picture.solids(ratio, this.palette);
    paint(this.canvasOf(context, ratio), picture.lists(), picture.placed, picture.camera, {
      picture: this.behind(picture),
      solids,
      layer,
    });
  }

  /** The still picture, moved by as much as the camera has moved since it was painted. */
  private layStill(painted: Camera, camera: Camera): void {
    const { context, ratio, still } = this;
    context.setTransform(1, 0, 0, 1, 0, 0);
    const factor = camera.scale / painted.scale;
    // Where the upper left corner of the painted picture lies now.
    const left = screenX(camera, worldX(painted, 0)) * ratio;
    const top = screenY(camera, worldY(painted, 0)) * ratio;
    if (Math.abs(left) + Math.abs(top) > 0.25 || factor !== 1) {
      context.fillStyle = this.palette('paper');
      context.fillRect(0, 0, still.width, still.height);
    }
    if (factor === 1) context.drawImage(still, Math.round(left), Math.round(top));
    else context.drawImage(still, left, top, still.width * factor, still.height * factor);
  }

  /** The picture behind the drawing, once it is decoded: where its corners are seen. */
  private behind({ underlay, camera, projection }: Picture): PaintedPicture | undefined {
    const strength = underlay?.strength ?? 0.5;
    if (!underlay || strength === 0) return undefined;
    if (this.decoded?.address !== underlay.image) {
      this.decoded = { address: underlay.image };
      void loaded(underlay.image).then((image) => {
        if (this.decoded?.address === underlay.image) this.decoded = { address: underlay.image, image };
        this.again();
      });
    }
    if (!this.decoded.image) return undefined;
    const seen = (px: number, py: number): { x: number; y: number } => {
      const [x, y] = seenPoint(projection, pointOfPixel(underlay, px, py));
      return { x: screenX(camera, x), y: screenY(camera, y) };
    };
    const [origin, right, down] = [seen(0, 0), seen(underlay.width, 0), seen(0, underlay.height)];
    return { image: this.decoded.image, strength, origin, right, down };
  }
}
