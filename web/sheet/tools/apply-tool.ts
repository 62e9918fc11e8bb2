import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { symbolPath, worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes } from '@rigid-beam/drawing/geometry';
import { circle } from '@rigid-beam/drawing/structure-items';
import type { SheetController } from '../controller';
import { findTarget } from './find-target';
import type { Tool, ToolPointer } from './tool';

/** What a click does: on which kind of thing, and which edit it makes there. `at` is the ratio along a member. */
export interface Application {
  readonly name: string;
  readonly hint: string;
  readonly on: 'node' | 'member';
  /** `propose`: what may take a structure's hold away is tried before it is kept. */
  readonly makes?: 'propose';
  readonly intent: (model: Model, id: string, at: number) => Intent | undefined;
}

/** Puts something on nodes or members, one click after the other, until Escape: a support. */
export class ApplyTool implements Tool {
  readonly cursor = 'crosshair';
  private pointed: { readonly id: string; readonly at: number } | undefined;

  constructor(
    private readonly sheet: SheetController,
    private readonly application: Application,
  ) {}

  get name(): string {
    return this.application.name;
  }

  get hint(): string {
    return this.application.hint;
  }

  move(event: ToolPointer): void {
    this.pointed = this.find(event);
  }

  up(event: ToolPointer): void {
    this.pointed = this.find(event);
    if (!this.pointed) return;
    const { editor } = this.sheet;
    const intent = this.application.intent(editor.state.model, this.pointed.id, this.pointed.at);
    if (!intent) return;
    if (this.application.makes === 'propose') editor.propose(intent);
    else editor.edit(intent);
  }

  overlay(): Item[] {
    const { pointed } = this;
    if (!pointed) return [];
    const { model } = this.sheet.editor.state;
    if (this.application.on === 'node') {
      const node = drawnNodes(model, this.sheet.view.seen()).get(pointed.id);
      return node ? [symbolPath(node.x, node.y, circle(9), { closed: true, stroke: 'selection', width: 2 })] : [];
    }
    const member = drawnMembers(model, this.sheet.view.seen()).find(({ id }) => id === pointed.id);
    return member
      ? [worldPath([member.x1, member.y1, member.x2, member.y2], { stroke: 'selection', width: 8, opacity: 0.4 })]
      : [];
  }

  private find(event: ToolPointer): { id: string; at: number } | undefined {
    const found = findTarget(this.sheet, event, this.application.on);
    return found && { id: found.id, at: found.kind === 'member' ? found.at : 0 };
  }
}
