import { describe, expect, test } from '@jest/globals';
import { pin, sketch } from '@rigid-beam/core/test/build';
import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { readLoadPhrase } from '@rigid-beam/core/phrases/read-phrase';
import type { Model } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { labels } from '@rigid-beam/drawing/test/demo';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import { plainView } from '@rigid-beam/drawing/view';
import { beginning } from '../../editor/editor-state';
import type { Opened } from '../../editor/opened';
import type { SheetController } from '../controller';
import { LoadTool, type LoadInHand } from './load-tool';
import type { ToolPointer } from './tool';

const SCALE = 100;

/** As much of a sheet as the tool needs, on which a metre is 100 pixels, with a model of its own. */
class Paper {
  model: Model = sketch({ nodes: [['1', 0, 0], ['2', 4, 0], ['3', 8, 0]], members: [['a', '1', '2'], ['b', '2', '3']], supports: [pin('1'), pin('3')] }); // oxfmt-ignore
  hints: string[] = [];
  selected: readonly Subject[] = [];
  readonly tool: LoadTool;
  turned = 0;

  constructor(words: string) {
    const read = readLoadPhrase(words, { display: defaultDisplay, space: 'plane', bare: 'line' });
    if (!read.ok) throw new Error(read.reason);
    const inHand: LoadInHand = {
      phrase: read.phrase as LoadPhrase,
      caseId: 'Q',
      turn: (step) => (this.turned += step),
      putOnSelection: () => false,
    };
    this.tool = new LoadTool(this.sheet, () => inHand);
  }

  private get sheet(): SheetController {
    const own = (): this => this;
    const paper = own();
    return {
      editor: {
        get state() {
          const { model } = paper;
          return beginning(
            { id: 'm', projectId: 'p', projectName: '', projectNumber: '', revision: 1, model, history: [] } as Opened,
            '?stage=loads',
          );
        },
        select: (subjects: readonly Subject[]) => (paper.selected = subjects),
        edit: (intent: Intent) => {
          const applied = applyIntent(paper.model, intent);
          if (applied.ok) paper.model = applied.model;
          return applied.ok;
        },
      },
      view: {
        world: (x: number, y: number) => ({ x: x / SCALE, y: y / SCALE }),
        seen: () => ({ projection: plainView.projection, hidden: NOTHING_HIDDEN }),
        camera: { x: 0, y: 0, scale: SCALE, width: 800, height: 400 },
      },
      refresh: () => undefined,
      say: (hint: string) => paper.hints.push(hint),
      takeKeyboard: () => undefined,
    } as unknown as SheetController;
  }

  private at = (x: number, y: number, type = 'mouse'): ToolPointer => ({
    x: x * SCALE,
    y: y * SCALE,
    type,
    shift: false,
    alt: false,
  });
  move = (x: number, y: number): void => this.tool.move(this.at(x, y));
  click(x: number, y: number, type?: string): void {
    this.tool.down(this.at(x, y, type));
    this.tool.up(this.at(x, y, type));
  }
  said = (): readonly string[] => labels(this.tool.overlay()).map(({ text }) => text);
}

describe('a load in hand', () => {
  test('stands on what is pointed at before the click, with its total; away from it, and off the sheet, it does not', () => {
    const paper = new Paper('8 kN/m down');
    paper.move(1, 0.05);
    expect(paper.said()).toEqual(['8 kN/m']);
    expect(paper.hints.at(-1)).toMatch(/Resultant 32 kN/);
    paper.move(1, 3);
    expect(paper.tool.overlay()).toEqual([]);
    paper.move(1, 0.05);
    paper.tool.away();
    expect(paper.tool.overlay()).toEqual([]);
    expect(paper.hints.at(-1)).not.toMatch(/Resultant/);
    expect(paper.model.loads).toEqual([]);
  });

  test('what was put is not shown a second time over itself, until something else is pointed at or said', () => {
    const paper = new Paper('8 kN/m down');
    paper.move(1, 0);
    paper.click(1, 0);
    expect(paper.model.loads).toMatchObject([{ type: 'line', member: 'a', to: { wy: -8000 } }]);
    expect(paper.tool.overlay()).toEqual([]);
    paper.tool.said();
    expect(paper.said()).toEqual(['8 kN/m']);
    paper.click(1, 0);
    paper.move(6, 0);
    expect(paper.said()).toEqual(['8 kN/m']);
  });

  test('a force goes to the twentieth of its member that is nearest, and the next place of it is shown again', () => {
    const paper = new Paper('10 kN down');
    paper.click(1.03, 0);
    expect(paper.model.loads).toMatchObject([{ type: 'point', member: 'a', at: 0.25, fy: -10e3 }]);
    paper.move(1.04, 0);
    expect(paper.tool.overlay()).toEqual([]);
    paper.move(2.2, 0);
    expect(paper.said()).toEqual(['10 kN']);
    paper.click(4, 0);
    expect(paper.model.loads.at(-1)).toMatchObject({ type: 'node', node: '2' });
  });

  test('a press that is dragged selects in a box and puts nothing; what is broken off puts nothing; a finger does without having pointed', () => {
    const paper = new Paper('8 kN/m down');
    paper.tool.down({ x: 950, y: 220, type: 'mouse', shift: false, alt: false });
    paper.tool.move({ x: 1050, y: 180, type: 'mouse', shift: false, alt: false });
    expect(paper.tool.overlay()).toHaveLength(2);
    paper.tool.up({ x: 1050, y: 180, type: 'mouse', shift: false, alt: false });
    expect(paper.selected).toEqual([{ kind: 'member', id: 'b' }]);
    paper.tool.down({ x: 100, y: 0, type: 'touch', shift: false, alt: false });
    paper.tool.cancel();
    paper.tool.up({ x: 100, y: 0, type: 'touch', shift: false, alt: false });
    expect(paper.model.loads).toEqual([]);
    paper.click(6, 0.1, 'touch');
    expect(paper.model.loads).toMatchObject([{ member: 'b' }]);
  });

  test('where it cannot act it says why, and a click there puts nothing', () => {
    const paper = new Paper('5 mm down');
    paper.move(4, 0);
    expect(paper.hints.at(-1)).toMatch(/node 2 is not held that way/);
    paper.click(4, 0);
    expect(paper.model.loads).toEqual([]);
    paper.click(0, 0);
    expect(paper.model.loads).toMatchObject([{ type: 'settlement', node: '1', uy: -0.005 }]);
  });

  test('Tab turns it one way, and back with Shift; no other key is taken', () => {
    const paper = new Paper('8 kN/m down');
    const press = (key: string, shiftKey = false): boolean => paper.tool.key({ key, shiftKey } as KeyboardEvent);
    expect([press('Tab'), press('Tab'), press('Tab', true), press('x')]).toEqual([true, true, true, false]);
    expect(paper.turned).toBe(1);
  });
});
