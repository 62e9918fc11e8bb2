import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { nextLetters, nextNumber } from '@rigid-beam/core/model/edits/next-id';
import type { Member, ModelNode } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { symbolPath, worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { circle } from '@rigid-beam/drawing/structure-items';
import type { SheetController, Snapped } from '../controller';
import { readStep, STEP_NOTATION } from './read-step';
import type { Tool, ToolPointer } from './tool';

type State =
  | { readonly name: 'idle' }
  | { readonly name: 'drawing'; readonly from: { readonly x: number; readonly y: number; readonly node: string } };

/** Places nodes and draws members by clicking, or by typing the way. idle → drawing → drawing …; Escape steps back. */
export class DrawTool implements Tool {
  readonly name = 'draw';
  readonly cursor = 'crosshair';
  private state: State = { name: 'idle' };
  private pointed: Snapped | undefined;
  private screen = { x: 0, y: 0 };

  constructor(private readonly sheet: SheetController) {}

  get hint(): string {
    return this.state.name === 'idle'
      ? 'Click where the first node stands.'
      : `Click the next node, or type ${STEP_NOTATION}. Escape ends the chain.`;
  }

  move(event: ToolPointer): void {
    this.screen = event;
    this.pointed = this.sheet.snap(event.x, event.y);
    if (event.shift && this.state.name === 'drawing') this.pointed = straightened(this.state.from, this.pointed);
  }

  up(event: ToolPointer): void {
    this.move(event);
    if (this.pointed) this.place(this.pointed);
  }

  key(event: KeyboardEvent): boolean {
    if (event.key === 'Escape' && this.state.name === 'drawing') {
      this.enter({ name: 'idle' });
      return true;
    }
    if (this.state.name !== 'drawing' || !/^[\d.(-]$/.test(event.key) || event.ctrlKey || event.metaKey) return false;
    this.sheet.openTyped({
      left: this.screen.x,
      top: this.screen.y,
      hint: STEP_NOTATION,
      first: event.key,
      commit: (text) => this.typed(text),
    });
    event.preventDefault();
    return true;
  }

  overlay(): Item[] {
    const at = this.pointed;
    if (!at) return [];
    const mark = symbolPath(at.x, at.y, at.node ? circle(7) : [-6, 0, 6, 0, 0, 0, 0, -6, 0, 6], {
      stroke: 'selection',
      width: 1.5,
      ...(at.node && { closed: true }),
    });
    if (this.state.name === 'idle') return [mark];
    const { from } = this.state;
    const [dx, dy] = [at.x - from.x, at.y - from.y];
    const length = Math.hypot(dx, dy);
    if (length === 0) return [mark];
    const unit = { ...defaultDisplay, ...this.sheet.editor.state.model.display }.length;
    const angle = (Math.atan2(dy, dx) * 180) / Math.PI;
    return [
      worldPath([from.x, from.y, at.x, at.y], { stroke: 'selection', width: 2.5, dash: [6, 4] }),
      mark,
      {
        kind: 'label',
        text: `${showQuantity(length, unit)} at ${Number(angle.toFixed(1)) + 0}°`,
        x: (from.x + at.x) / 2,
        y: (from.y + at.y) / 2,
        dx: 0,
        dy: 4,
        away: [-dy / length, dx / length],
        ink: 'text',
        role: 'extreme',
        rank: Infinity,
      },
    ];
  }

  private enter(state: State): void {
    this.state = state;
    this.sheet.say(this.hint);
    this.sheet.refresh('overlay');
  }

  private typed(text: string): string | undefined {
    if (this.state.name !== 'drawing') return undefined;
    const { from } = this.state;
    const toward = this.pointed ? Math.atan2(this.pointed.y - from.y, this.pointed.x - from.x) : 0;
    const unit = { ...defaultDisplay, ...this.sheet.editor.state.model.display }.length;
    const step = readStep(text, unit, toward);
    if (!step.ok) return step.reason;
    const [x, y] = [tidy(from.x + step.dx), tidy(from.y + step.dy)];
    const met = this.sheet.editor.state.model.nodes.find((node) => Math.hypot(node.x - x, node.y - y) < 1e-6);
    this.place(met ? { x: met.x, y: met.y, node: met.id } : { x, y });
    return undefined;
  }

  /** The next point of the chain: an existing node is joined, a free point gets a node. One undo step each. */
  private place(at: Snapped): void {
    const { editor } = this.sheet;
    const { model } = editor.state;
    const nodes: ModelNode[] =
      at.node === undefined ? [{ id: nextNumber(model.nodes.map(({ id }) => id)), x: at.x, y: at.y }] : [];
    const node = at.node ?? nodes[0]!.id;
    const from = this.state.name === 'drawing' ? this.state.from.node : undefined;
    if (from === node) return;
    const joined = model.members.some(({ start, end }) => (start === from && end === node) || (start === node && end === from));
    const members: Member[] = [];
    if (from !== undefined && !joined) {
      const like = model.members.at(-1);
      members.push({
        id: nextLetters(model.members.map(({ id }) => id)),
        start: from,
        end: node,
        section: like?.section ?? model.sections[0]?.id ?? '',
        material: like?.material ?? model.materials[0]?.id ?? '',
      });
    }
    const intent: Intent = { type: 'draw', nodes, members };
    if (nodes.length + members.length === 0 || editor.edit(intent))
      this.enter({ name: 'drawing', from: { x: at.x, y: at.y, node } });
  }
}

const tidy = (value: number): number => Number(value.toFixed(6)) + 0;

/** The nearest direction at a multiple of 45°, at the same length across or up. */
function straightened(from: { readonly x: number; readonly y: number }, to: Snapped): Snapped {
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const turn = Math.round(Math.atan2(dy, dx) / (Math.PI / 4)) * (Math.PI / 4);
  const reach = Math.max(Math.abs(dx), Math.abs(dy));
  return { x: tidy(from.x + Math.round(Math.cos(turn)) * reach), y: tidy(from.y + Math.round(Math.sin(turn)) * reach) };
}
