import type { Subject } from '@rigid-beam/drawing/display-list';
import { symbolPath, type Item } from '@rigid-beam/drawing/display-list';
import { circle } from '@rigid-beam/drawing/structure-items';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { SheetController } from '../controller';
import { openInPlace } from '../in-place';
import { removalOf } from '../removal';
import type { Tool, ToolPointer } from './tool';

type State =
  | { readonly name: 'idle' }
  | { readonly name: 'pressing'; readonly from: ToolPointer; readonly subject: Subject | undefined; readonly onLabel: boolean }
  | { readonly name: 'moving'; readonly from: ToolPointer; readonly grabbed: string; readonly nodes: readonly string[] }
  | { readonly name: 'panning'; readonly last: ToolPointer };

const SLACK = 4;

/** Selects, drags nodes, pans, and opens the field of a value that is clicked. idle → pressing → moving | panning → idle. */
export class SelectTool implements Tool {
  readonly name = 'select';
  readonly hint = 'Click a value to type over it. Drag a node to move it; drag the paper to pan.';
  private state: State = { name: 'idle' };
  private hovered: Subject | undefined;
  private pending: Intent | undefined;

  constructor(private readonly sheet: SheetController) {}

  get cursor(): string {
    if (this.state.name === 'panning') return 'grabbing';
    if (this.state.name === 'moving') return 'move';
    if (this.hovered?.kind === 'dimension' || this.hovered?.kind === 'load') return 'text';
    return this.hovered ? 'pointer' : 'default';
  }

  down(event: ToolPointer): void {
    const hit = this.sheet.hit(event.x, event.y, event.type);
    this.state = { name: 'pressing', from: event, subject: hit?.subject, onLabel: hit?.label !== undefined };
  }

  move(event: ToolPointer): void {
    const { state } = this;
    if (state.name === 'idle') {
      this.hovered = this.sheet.hit(event.x, event.y, event.type)?.subject;
    } else if (state.name === 'pressing') {
      if (Math.hypot(event.x - state.from.x, event.y - state.from.y) >= SLACK) this.begin(state, event);
    } else if (state.name === 'panning') {
      this.sheet.pan(event.x - state.last.x, event.y - state.last.y);
      this.state = { name: 'panning', last: event };
    } else {
      this.drag(state, event);
    }
  }

  up(event: ToolPointer): void {
    const { state } = this;
    this.state = { name: 'idle' };
    if (state.name === 'moving') {
      const intent = this.pending;
      this.pending = undefined;
      if (!intent || !this.sheet.editor.edit(intent)) this.sheet.editor.endPreview();
    }
    if (state.name === 'pressing') this.click(state, event);
  }

  cancel(): void {
    this.sheet.editor.endPreview();
    this.pending = undefined;
    this.state = { name: 'idle' };
  }

  key(event: KeyboardEvent): boolean {
    const { editor } = this.sheet;
    if (event.key === 'Escape') {
      if (this.state.name === 'moving') this.cancel();
      else editor.select([]);
      return true;
    }
    if (event.key === 'Delete' || event.key === 'Backspace') {
      for (const intent of removalOf(editor.state.model, editor.state.selection)) if (!editor.edit(intent)) break;
      return editor.state.selection.length > 0;
    }
    return false;
  }

  overlay(): Item[] {
    const hovered = this.hovered;
    if (hovered?.kind !== 'node' || this.state.name !== 'idle') return [];
    const node = this.sheet.editor.state.drawn.model.nodes.find(({ id }) => id === hovered.id);
    return node ? [symbolPath(node.x, node.y, circle(7), { closed: true, stroke: 'selection', width: 1.5 })] : [];
  }

  private begin(state: Extract<State, { name: 'pressing' }>, event: ToolPointer): void {
    const { editor } = this.sheet;
    const subject = state.subject;
    // A support sits on its node: dragging either moves the node.
    const grabbed = subject?.kind === 'node' || subject?.kind === 'support' ? subject.id : undefined;
    if (grabbed === undefined) {
      this.state = { name: 'panning', last: state.from };
      this.move(event);
      return;
    }
    const selected = editor.state.selection.flatMap((one) => (one.kind === 'node' ? [one.id] : []));
    const nodes = selected.includes(grabbed) ? selected : [grabbed];
    this.state = { name: 'moving', from: state.from, grabbed, nodes };
    this.drag(this.state, event);
  }

  /** The grabbed node goes to the snapped point; the others keep their place beside it. */
  private drag(state: Extract<State, { name: 'moving' }>, event: ToolPointer): void {
    const { model } = this.sheet.editor.state;
    const start = model.nodes.find(({ id }) => id === state.grabbed);
    if (!start) return;
    const to = this.sheet.snap(event.x, event.y, new Set([...state.nodes, ...model.nodes.map(({ id }) => id)]));
    const [dx, dy] = [to.x - start.x, to.y - start.y];
    const moves = model.nodes.filter(({ id }) => state.nodes.includes(id)).map(({ id, x, y }) => ({ id, x: x + dx, y: y + dy }));
    this.pending = dx === 0 && dy === 0 ? undefined : { type: 'moveNodes', moves };
    if (this.pending) this.sheet.editor.preview(this.pending);
    else this.sheet.editor.endPreview();
  }

  private click(state: Extract<State, { name: 'pressing' }>, event: ToolPointer): void {
    const { editor } = this.sheet;
    const { subject } = state;
    if (!subject) {
      if (!event.shift) editor.select([]);
      return;
    }
    if (subject.kind === 'dimension' || (subject.kind === 'load' && state.onLabel)) {
      openInPlace(this.sheet, subject);
      return;
    }
    const chosen: Subject =
      subject.kind === 'extreme'
        ? { kind: 'member', id: subject.member }
        : subject.kind === 'reaction'
          ? { kind: 'support', id: subject.id }
          : subject;
    if (event.shift) editor.toggle(chosen);
    else editor.select([chosen]);
    this.sheet.keepInSight(event.x);
  }
}
