import { areFreedomsShown } from '../../editor/editor-state';
import type { Intent, NodeMove } from '@rigid-beam/core/model/edits/intent';
import { minus, plus, pointOf, type Point } from '@rigid-beam/core/model/point';
import { symbolPath, type Item, type LabelRole, type Subject } from '@rigid-beam/drawing/display-list';
import { drawnNodes } from '@rigid-beam/drawing/geometry';
import type { WorkPlane } from '@rigid-beam/drawing/projection';
import { movedThrough } from '@rigid-beam/drawing/tilted-plane';
import { circle } from '@rigid-beam/drawing/structure-items';
import type { SheetController } from '../controller';
import { openInPlace } from '../in-place';
import { removalOf, removalWords } from '../removal';
import { BOX_HINT, boxItems, selectInBox } from './box-tool';
import { snapItems } from './snap-items';
import { dragIntent, handleAt, loadHandleItems, type HeldLoad } from './load-drag';
import type { Tool, ToolPointer } from './tool';
import { selectTool as WORDS } from '../words';

type State =
  | { readonly name: 'idle' }
  | {
      readonly name: 'pressing';
      readonly from: ToolPointer;
      readonly subject: Subject | undefined;
      readonly onLabel: LabelRole | undefined;
    }
  | { readonly name: 'moving'; readonly from: Point; readonly plane: WorkPlane; readonly nodes: ReadonlySet<string> }
  | { readonly name: 'drawing'; readonly held: HeldLoad }
  | { readonly name: 'boxing'; readonly from: ToolPointer; readonly to: ToolPointer }
  | { readonly name: 'panning' | 'turning'; readonly last: ToolPointer };

const SLACK = 4;
const REMOVE = WORDS.removeAllOfIt;
/** More than this is removed without a list of what goes along. */
const MANY = 200;

/** Whether a click opens a field: on a value or a name, and on what stands for one. A click beside a text selects the thing. */
const opensInPlace = ({ kind }: Subject, text: LabelRole | undefined): boolean =>
  kind === 'dimension' ||
  kind === 'gridLine' ||
  kind === 'release' ||
  (text !== undefined && (kind === 'load' || kind === 'support' || kind === 'node' || kind === 'member'));

/** Selects by click and by box, drags nodes and members, pans and turns, and opens the field of a value that is clicked. */
export class SelectTool implements Tool {
  readonly name = 'select';
  private state: State = { name: 'idle' };
  private hovered: Subject | undefined;
  private pointer: readonly [number, number] | undefined;
  private onText: LabelRole | undefined;
  private onHandle = false;
  private pending: Intent | undefined;
  private mark: Item[] = [];

  constructor(private readonly sheet: SheetController) {}

  get hint(): string {
    if (this.state.name === 'boxing') return BOX_HINT;
    return WORDS.hint;
  }

  get cursor(): string {
    if (this.state.name === 'panning' || this.state.name === 'turning') return 'grabbing';
    if (this.state.name === 'moving' || this.state.name === 'drawing') return 'move';
    if (this.onHandle) return 'grab';
    if (this.state.name === 'boxing') return 'crosshair';
    if (this.hovered && opensInPlace(this.hovered, this.onText)) return 'text';
    return this.hovered ? 'pointer' : 'default';
  }

  down(event: ToolPointer): void {
    this.sheet.openMenu(undefined);
    const held = handleAt(this.sheet, event);
    if (held) {
      this.state = { name: 'drawing', held };
      return;
    }
    const hit = this.sheet.drawing.hit(event.x, event.y, event.type);
    this.state = { name: 'pressing', from: event, subject: hit?.subject, onLabel: hit?.label?.label.role };
  }

  move(event: ToolPointer): void {
    const { state } = this;
    switch (state.name) {
      case 'idle':
        this.hover(event);
        return;
      case 'pressing':
        if (Math.hypot(event.x - state.from.x, event.y - state.from.y) >= SLACK) this.begin(state, event);
        return;
      case 'panning':
      case 'turning':
        if (state.name === 'panning') this.sheet.view.pan(event.x - state.last.x, event.y - state.last.y);
        else this.sheet.view.turn(event.x - state.last.x, event.y - state.last.y);
        this.state = { name: state.name, last: event };
        return;
      case 'boxing':
        this.state = { ...state, to: event };
        return;
      case 'drawing':
        this.pending = dragIntent(this.sheet, state.held, event);
        if (this.pending) this.sheet.editor.preview(this.pending);
        return;
      case 'moving':
        this.drag(state, event);
    }
  }

  private hover(event: ToolPointer): void {
    const hit = this.sheet.drawing.hit(event.x, event.y, event.type);
    this.hovered = hit?.subject;
    this.light();
    this.pointer = [event.x, event.y];
    this.onText = hit?.label?.label.role;
    this.onHandle = handleAt(this.sheet, event) !== undefined;
  }

  up(event: ToolPointer): void {
    const { state } = this;
    this.state = { name: 'idle' };
    this.mark = [];
    if (state.name === 'moving' || state.name === 'drawing') {
      const intent = this.pending;
      this.pending = undefined;
      if (!intent || !this.sheet.editor.edit(intent)) this.sheet.editor.endPreview();
    }
    if (state.name === 'boxing') {
      this.sheet.say(this.hint);
      selectInBox(this.sheet, state.from, event);
    }
    if (state.name === 'pressing') this.click(state, event);
  }

  cancel(): void {
    this.sheet.editor.endPreview();
    this.pending = undefined;
    this.mark = [];
    this.state = { name: 'idle' };
    this.sheet.say(this.hint);
  }

  /** The other choices: for what lies under the pointer, which becomes the selection unless it is part of it. */
  menu(event: ToolPointer): void {
    const { editor } = this.sheet;
    const subject = this.sheet.drawing.hit(event.x, event.y, event.type)?.subject;
    const isSelected =
      subject &&
      editor.state.selection.some((one) => 'id' in one && 'id' in subject && one.kind === subject.kind && one.id === subject.id);
    if (
      subject &&
      (subject.kind === 'node' || subject.kind === 'member' || subject.kind === 'support' || subject.kind === 'load') &&
      !isSelected
    )
      editor.select([subject]);
    this.cancel();
    this.sheet.openMenu({ x: event.x, y: event.y });
  }

  key(event: KeyboardEvent): boolean {
    const { editor } = this.sheet;
    if (event.key === 'Escape') {
      if (this.state.name === 'moving' || this.state.name === 'drawing' || this.state.name === 'boxing') this.cancel();
      else if (this.sheet.store.getState().menu) this.sheet.openMenu(undefined);
      else if (this.sheet.store.getState().offer) this.sheet.offer(undefined);
      else editor.select([]);
      return true;
    }
    if (event.key === 'j' && this.sheet.acceptOffer()) return true;
    if (event.key === 'Delete' || event.key === 'Backspace') {
      const had = editor.state.selection.length > 0;
      this.remove();
      return had;
    }
    return false;
  }

  /** What goes along is said first; the second press, or J, removes it. */
  private remove(): void {
    const { editor } = this.sheet;
    const { model, selection } = editor.state;
    const intent = removalOf(model, selection);
    if (!intent) return;
    const also = selection.length <= MANY ? removalWords(model, selection) : '';
    const offered = this.sheet.store.getState().offer?.action === REMOVE;
    this.sheet.offer(undefined);
    if (also === '' || offered) editor.edit(intent);
    else this.sheet.offer({ words: WORDS.removingThisTakesAlong(also), action: REMOVE, intent });
  }

  /** While workings are read, the matrices of the member under the pointer are lit in them. */
  private light(): void {
    const { editor } = this.sheet;
    const { hovered } = this;
    const member = areFreedomsShown(editor.state) && hovered?.kind === 'member' ? hovered.id : undefined;
    if (member !== editor.state.litMember) editor.show({ litMember: member });
  }

  overlay(): Item[] {
    const { state, hovered } = this;
    if (state.name === 'moving') return this.mark;
    if (state.name === 'boxing') return boxItems(this.sheet, state.from, state.to);
    if (state.name === 'drawing') return loadHandleItems(this.sheet);
    if (state.name !== 'idle') return [];
    const handles = loadHandleItems(this.sheet);
    if (handles.length > 0) return handles;
    const member = hovered?.kind === 'member' ? hovered.id : hovered?.kind === 'extreme' ? hovered.member : undefined;
    if (member !== undefined) return this.sheet.drawing.pointedAt(member, this.pointer);
    if (hovered?.kind !== 'node') return [];
    const node = drawnNodes(this.sheet.editor.state.drawn.model, this.sheet.view.seen()).get(hovered.id);
    return node ? [symbolPath(node.x, node.y, circle(7), { closed: true, stroke: 'selection', width: 1.5 })] : [];
  }

  private begin(state: Extract<State, { name: 'pressing' }>, event: ToolPointer): void {
    const { editor } = this.sheet;
    const { model, selection } = editor.state;
    const { subject } = state;
    const selected = (kind: 'node' | 'member'): string[] => selection.flatMap((one) => (one.kind === kind ? [one.id] : []));
    const grabbedNode = subject?.kind === 'node' || subject?.kind === 'support' ? subject.id : undefined;
    // A member is moved only where it was selected before: a slip of the hand must not tear it away.
    const grabbedMember = subject?.kind === 'member' && selected('member').includes(subject.id) ? subject.id : undefined;
    const member = model.members.find(({ id }) => id === grabbedMember);
    const anchor = grabbedNode ?? member?.start;
    const node = model.nodes.find(({ id }) => id === anchor);
    if (!node || (grabbedNode === undefined && !member)) {
      const name = event.type === 'touch' ? 'panning' : 'boxing';
      this.state = name === 'boxing' ? { name, from: state.from, to: event } : { name: 'panning', last: state.from };
      this.sheet.say(this.hint);
      this.move(event);
      return;
    }
    const whole = selected('member').flatMap((id) => {
      const one = model.members.find((other) => other.id === id);
      return one ? [one.start, one.end] : [];
    });
    const all = [...selected('node'), ...whole];
    const nodes = new Set(grabbedNode !== undefined && !all.includes(grabbedNode) ? [grabbedNode] : all);
    const from = pointOf(node);
    this.state = { name: 'moving', from, plane: movedThrough(this.sheet.view.workPlane(), from), nodes };
    this.drag(this.state, event);
  }

  /** The grabbed node goes to the snapped point; the others keep their place beside it. */
  private drag(state: Extract<State, { name: 'moving' }>, event: ToolPointer): void {
    const { model } = this.sheet.editor.state;
    const to = this.sheet.snap(event.x, event.y, { without: state.nodes, plane: state.plane, from: state.from });
    if (!to) return;
    this.mark = snapItems(to, this.sheet);
    const by = minus(to.at, state.from);
    const moves = model.nodes
      .filter(({ id }) => state.nodes.has(id))
      .map((node): NodeMove => {
        const [x, y, z] = plus(pointOf(node), by);
        return { id: node.id, x, y, ...((z !== 0 || node.z !== undefined) && { z }) };
      });
    this.pending = by.every((part) => part === 0) ? undefined : { type: 'moveNodes', moves };
    // Let go on another node, a single node becomes part of it.
    if (this.pending && to.node !== undefined && state.nodes.size === 1) {
      const [dropped] = state.nodes;
      this.pending = {
        type: 'batch',
        intents: [this.pending, { type: 'merge', pairs: [[to.node, dropped!]] }],
        label: WORDS.mergeNode(dropped),
      };
    }
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
    if (opensInPlace(subject, state.onLabel)) {
      openInPlace(this.sheet, subject, state.onLabel === 'name' ? 'name' : 'value');
      return;
    }
    const chosen: Subject =
      subject.kind === 'extreme'
        ? { kind: 'member', id: subject.member }
        : subject.kind === 'release'
          ? { kind: 'member', id: subject.id }
          : subject.kind === 'reaction'
            ? { kind: 'support', id: subject.id }
            : subject;
    if (event.shift) editor.toggle(chosen);
    else editor.select([chosen]);
  }
}
