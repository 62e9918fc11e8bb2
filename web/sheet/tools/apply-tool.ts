import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { symbolPath, worldPath, type Item, type Subject } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes } from '@rigid-beam/drawing/geometry';
import { circle } from '@rigid-beam/drawing/structure-items';
import { chosenOf } from '../../editor/chosen';
import { visibleOf } from '../../editor/visible';
import type { SheetController } from '../controller';
import { inBox } from '../in-box';
import { BoxDrag } from './box-drag';
import { findTarget } from './find-target';
import type { Tool, ToolPointer } from './tool';

/** What is put on things: on which kind, and the one edit that puts it on all of `ids`. `at` is the ratio along a member that was clicked. */
export interface Application {
  readonly name: string;
  readonly hint: string;
  readonly on: 'node' | 'member';
  /** `propose`: what may take a structure's hold away is tried before it is kept. */
  readonly makes?: 'propose';
  readonly intent: (model: Model, ids: readonly string[], at: number) => Intent | undefined;
}

/** Puts something on nodes or members until Escape: on what is clicked, on all in a box, on what is selected with Enter, on everything with Ctrl+A. */
export class ApplyTool implements Tool {
  readonly cursor = 'crosshair';
  readonly keepsBench = true as const;
  private pointed: { readonly id: string; readonly at: number } | undefined;
  private readonly box: BoxDrag;

  constructor(
    private readonly sheet: SheetController,
    private readonly application: Application,
  ) {
    this.box = new BoxDrag(sheet);
  }

  get name(): string {
    return this.application.name;
  }

  get hint(): string {
    return this.application.hint;
  }

  down(event: ToolPointer): void {
    this.box.down(event);
  }

  move(event: ToolPointer): void {
    if (event.type === 'mouse') this.sheet.takeKeyboard();
    this.pointed = this.box.move(event) ? undefined : this.find(event);
  }

  up(event: ToolPointer): void {
    const press = this.box.up(event);
    if (press === 'nothing') return;
    if (press === 'click') {
      this.pointed = this.find(event);
      if (this.pointed) this.put([this.pointed.id], this.pointed.at);
    } else this.put(this.meant(inBox(this.sheet, press.from, press.to, press.to.alt ? 'inside' : 'touching')), 0);
  }

  cancel(): void {
    this.box.cancel();
  }

  key(event: KeyboardEvent): boolean {
    if (event.key !== 'Enter') return false;
    const ids = this.meant(this.sheet.editor.state.selection);
    this.put(ids, 0);
    return ids.length > 0;
  }

  all(): void {
    const { model, hidden } = this.sheet.editor.state;
    const { on } = this.application;
    const all = (on === 'node' ? model.nodes : model.members).map(({ id }): Subject => ({ kind: on, id }));
    this.put(this.meant(visibleOf(all, model, hidden)), 0);
  }

  /** Of some things those of its kind. */
  private meant(subjects: readonly Subject[]): string[] {
    const { nodes, members } = chosenOf(subjects);
    return [...(this.application.on === 'node' ? nodes : members)];
  }

  private put(ids: readonly string[], at: number): void {
    const { editor } = this.sheet;
    const intent = ids.length > 0 ? this.application.intent(editor.state.model, ids, at) : undefined;
    if (!intent) return;
    if (this.application.makes === 'propose') editor.propose(intent);
    else editor.edit(intent);
  }

  overlay(): Item[] {
    if (this.box.isDrawn) return this.box.overlay();
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
