import { beforeEach, describe, expect, test } from '@jest/globals';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import type { Point } from '@rigid-beam/core/model/point';
import type { Snap } from '@rigid-beam/drawing/snap';
import type { SheetController } from '../controller';
import type { TypedField } from '../sheet-state';
import { isPlaceKey, PointCursor } from './point-cursor';

/** A sheet of 100 pixels a metre whose grid has steps of half a metre: what is pointed at is where the mark stands, in pixels. */
class Paper {
  typed: TypedField | undefined;
  asked: { readonly from?: Point | undefined; readonly step?: number }[] = [];
  constructor(readonly model: Model = emptyModel('Shed')) {}

  get sheet(): SheetController {
    return {
      view: { camera: { width: 800, height: 600, scale: 100 }, step: () => 0.5 },
      editor: { state: { model: this.model } },
      snap: (x: number, y: number, more: { from?: Point; step?: number }): Snap => {
        this.asked.push(more);
        return { kind: 'grid', at: [x, y, 0], on: [], words: '' };
      },
      openTyped: (field: TypedField) => (this.typed = field),
    } as unknown as SheetController;
  }
}

const press = (key: string, held: Partial<KeyboardEvent> = {}): KeyboardEvent =>
  ({ key, shiftKey: false, ctrlKey: false, metaKey: false, altKey: false, preventDefault: () => undefined, ...held }) as never;

describe('the mark of a tool', () => {
  let paper: Paper;
  let from: Point | undefined;
  let taken: Point[];
  const cursorOf = (step?: number): PointCursor =>
    new PointCursor(paper.sheet, {
      from: () => from,
      met: (at) => ({ kind: 'grid', at, on: [], words: '' }),
      taken: ({ at }) => taken.push(at),
      ...(step !== undefined && { step: () => step }),
    });
  beforeEach(() => {
    paper = new Paper();
    from = undefined;
    taken = [];
  });

  test('begins in the middle, goes by steps of the grid, ten with Shift, and Enter takes it', () => {
    const mark = cursorOf();
    expect(mark.key(press('Enter'))).toBe(false);
    mark.key(press('ArrowRight'));
    mark.key(press('ArrowUp', { shiftKey: true }));
    expect(mark.pointed?.at).toEqual([450, -200, 0]);
    expect(mark.key(press('Enter'))).toBe(true);
    expect(taken).toEqual([[450, -200, 0]]);
  });

  test('goes on from where the pointer left it, and over a picture in small steps that no grid catches', () => {
    const mark = cursorOf(0.01);
    mark.move({ x: 10, y: 20, type: 'mouse', shift: false, alt: false });
    mark.key(press('ArrowDown'));
    expect(mark.pointed?.at).toEqual([10, 22, 0]);
    expect(paper.asked.every(({ step }) => step === 0.01)).toBe(true);
  });

  test('a first place is typed from the origin, the next one as a way', () => {
    const mark = cursorOf();
    expect(mark.key(press('2'))).toBe(true);
    expect(paper.typed).toMatchObject({ first: '2', label: 'Place on the drawing' });
    expect(paper.typed!.commit('2 by 1.5')).toBeUndefined();
    from = [2, 1.5, 0];
    mark.key(press('3'));
    expect(paper.typed!.label).toBeUndefined();
    expect(paper.typed!.commit('3 by -0.5')).toBeUndefined();
    expect(paper.typed!.commit('to 1 by 1')).toBeUndefined();
    expect(taken).toEqual([
      [2, 1.5, 0],
      [5, 1, 0],
      [1, 1, 0],
    ]);
  });

  test('what means no place is refused in words, and nothing is taken', () => {
    const mark = cursorOf();
    mark.key(press('4'));
    expect(paper.typed!.commit('4')).toMatch(/a place is written/);
    expect(paper.typed!.commit('4 by far')).toMatch(/is not a length/);
    expect(taken).toEqual([]);
  });

  test('keys with Control are not its own, nor are letters', () => {
    expect([press('1'), press('-'), press('('), press('t')].map(isPlaceKey)).toEqual([true, true, true, true]);
    expect([press('1', { ctrlKey: true }), press('g'), press('Tab')].map(isPlaceKey)).toEqual([false, false, false]);
    expect(cursorOf().key(press('Tab'))).toBe(false);
  });
});
