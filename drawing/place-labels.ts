import { screenX, screenY, type Camera } from './camera';
import type { DisplayList, Label, LabelRole } from './display-list';

/** Height of each kind of text, pixels. */
export const TEXT_HEIGHT: Record<LabelRole, number> = { value: 12, extreme: 13.5, dimension: 12, name: 11, load: 12 };

/** A text with its place on the screen: the middle of its left edge, and its box. */
export interface PlacedLabel {
  readonly label: Label;
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** Width of a text in pixels. */
export type Measure = (text: string, role: LabelRole) => number;

/** A width good enough where no canvas can be asked: in a thumbnail or a test. */
export const roughMeasure: Measure = (text, role) => text.length * TEXT_HEIGHT[role] * 0.5;

/**
 * Gives every label a place where it hides no other: higher ranks first, each at its preferred side, else at one of a few places
 * around it, else left out (an unlimited rank is never left out).
 */
export function placeLabels(list: DisplayList, camera: Camera, measure: Measure): PlacedLabel[] {
  const labels = list.filter((item): item is Label => item.kind === 'label').map((label, order) => ({ label, order }));
  labels.sort((a, b) => b.label.rank - a.label.rank || a.order - b.order);
  const grid = new BoxGrid();
  const placed: PlacedLabel[] = [];
  for (const { label } of labels) {
    const width = measure(label.text, label.role);
    const height = TEXT_HEIGHT[label.role] * 1.25;
    const candidates =
      label.role === 'dimension' ? [preferred(label, camera, { width, height }, 0)] : candidatesOf(label, camera, width, height);
    const free =
      candidates.find((box) => !grid.hits(box)) ??
      (label.rank === Infinity || label.role === 'extreme' ? candidates[0] : undefined);
    if (!free || outside(free, camera)) continue;
    grid.add(free);
    placed.push({ label, ...free });
  }
  return placed;
}

interface ScreenBox {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

const outside = (box: ScreenBox, camera: Camera): boolean =>
  box.left + box.width < 0 || box.top + box.height < 0 || box.left > camera.width || box.top > camera.height;

type Size = Pick<ScreenBox, 'width' | 'height'>;

/** The box that touches the anchor and lies in the direction `away`, turned by some angle. */
function preferred(label: Label, camera: Camera, { width, height }: Size, turn: number, reach = 0): ScreenBox {
  const x = screenX(camera, label.x) + label.dx;
  const y = screenY(camera, label.y) - label.dy;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [ax, ay] = [c * label.away[0] - s * label.away[1], s * label.away[0] + c * label.away[1]];
  const size = Math.hypot(ax, ay) || 1;
  const [ux, uy] = [ax / size, ay / size];
  // Half the box's extent along the direction: the text touches the anchor but does not cover it.
  const centreX = x + ux * (width / 2 + reach) * softSign(ux);
  const centreY = y - uy * (height / 2 + reach);
  return { left: centreX - width / 2, top: centreY - height / 2, width, height };
}

const softSign = (u: number): number => Math.min(1, Math.abs(u) * 1.6);

function candidatesOf(label: Label, camera: Camera, width: number, height: number): ScreenBox[] {
  const turns = [0, 0.5, -0.5, 1, -1, Math.PI];
  return [
    ...turns.map((turn) => preferred(label, camera, { width, height }, turn)),
    ...[0, 0.6, -0.6].map((turn) => preferred(label, camera, { width, height }, turn, height)),
  ];
}

/** Boxes by the cells of a coarse grid, so that thousands of labels stay quick. */
class BoxGrid {
  private readonly cells = new Map<string, ScreenBox[]>();

  hits(box: ScreenBox): boolean {
    return this.keys(box).some((key) => this.cells.get(key)?.some((other) => overlap(box, other)) ?? false);
  }

  add(box: ScreenBox): void {
    for (const key of this.keys(box)) {
      const cell = this.cells.get(key);
      if (cell) cell.push(box);
      else this.cells.set(key, [box]);
    }
  }

  private keys(box: ScreenBox): string[] {
    const keys: string[] = [];
    for (let i = Math.floor(box.left / 64); i <= Math.floor((box.left + box.width) / 64); i++)
      for (let j = Math.floor(box.top / 64); j <= Math.floor((box.top + box.height) / 64); j++) keys.push(`${i},${j}`);
    return keys;
  }
}

const overlap = (a: ScreenBox, b: ScreenBox): boolean =>
  a.left < b.left + b.width + 2 && b.left < a.left + a.width + 2 && a.top < b.top + b.height && b.top < a.top + a.height;
