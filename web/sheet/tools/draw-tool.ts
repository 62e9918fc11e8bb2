import { findDefects } from '@rigid-beam/core/model/defects';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { nextLetters, nextNumber } from '@rigid-beam/core/model/edits/next-id';
import type { Member, Model, ModelNode } from '@rigid-beam/core/model/model';
import { COINCIDENT, distance, minus, nodeAt, pointOf, size, type Point } from '@rigid-beam/core/model/point';
import { lengthUnit } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { seenPoint } from '@rigid-beam/drawing/projection';
import { straightened, trued, type Snap } from '@rigid-beam/drawing/snap';
import type { SheetController } from '../controller';
import { PointCursor } from './point-cursor';
import { notationOf } from './read-step';
import { snapItems } from './snap-items';
import type { Tool, ToolPointer } from './tool';
import { drawTool as WORDS } from '../words';

type State = { readonly name: 'idle' } | { readonly name: 'drawing'; readonly from: Point; readonly node: string };

/** What is drawn on free paper or on a picture is level or plumb where it nearly is; Alt leaves it as it is. */
const TRUED: ReadonlySet<Snap['kind']> = new Set(['picture', 'grid']);

/** Above this size the whole model is no longer looked over after each member. */
const LOOKED_OVER = 2000;

/** Places nodes and draws members by clicking, by typing the way, or by arrow keys. idle → drawing → drawing …; Escape steps back. */
export class DrawTool implements Tool {
  readonly name = 'draw';
  readonly cursor = 'crosshair';
  readonly takesPlaces = true;
  private state: State = { name: 'idle' };
  private readonly mark: PointCursor;

  constructor(private readonly sheet: SheetController) {
    this.mark = new PointCursor(sheet, {
      from: () => (this.state.name === 'drawing' ? this.state.from : undefined),
      met: (at) => this.met(at),
      taken: (at) => this.place(at),
    });
  }

  private get space(): Model['space'] {
    return this.sheet.editor.state.model.space;
  }

  get hint(): string {
    return this.state.name === 'idle' ? WORDS.first : WORDS.next(notationOf(this.space));
  }

  move(event: ToolPointer): void {
    this.mark.move(event);
    const from = this.state.name === 'drawing' ? this.state.from : undefined;
    const { pointed } = this.mark;
    const { axis, tilted } = this.sheet.view.workPlane();
    // On a plane that leans nothing is level or plumb but along its own grid.
    if (tilted) return;
    if (from && pointed && !event.shift && !event.alt && TRUED.has(pointed.kind)) {
      const exact = trued(from, pointed.at, axis);
      if (exact) this.mark.pointed = { ...pointed, at: exact.at, words: [pointed.words, exact.words].filter(Boolean).join(', ') };
      return;
    }
    if (!event.shift || !from || !pointed) return;
    const at = straightened(from, pointed.at, axis);
    if (distance(at, pointed.at) >= COINCIDENT) this.mark.pointed = { ...this.met(at), words: '' };
  }

  up(event: ToolPointer): void {
    this.move(event);
    if (this.mark.pointed) this.place(this.mark.pointed);
  }

  key(event: KeyboardEvent): boolean {
    if (event.key === 'Escape' && this.state.name === 'drawing') {
      this.enter({ name: 'idle' });
      return true;
    }
    if (event.key === 'j' && this.sheet.acceptOffer()) return true;
    return this.mark.key(event);
  }

  overlay(): Item[] {
    const at = this.mark.pointed;
    if (!at) return [];
    const marks = snapItems(at, this.sheet);
    if (this.state.name === 'idle') return marks;
    const { from } = this.state;
    const length = distance(from, at.at);
    if (length === 0) return marks;
    const { projection } = this.sheet.view.seen();
    const [[x1, y1], [x2, y2]] = [seenPoint(projection, from), seenPoint(projection, at.at)];
    const seen = Math.hypot(x2 - x1, y2 - y1) || 1;
    return [
      worldPath([x1, y1, x2, y2], { stroke: 'selection', width: 2.5, dash: [6, 4] }),
      ...marks,
      {
        kind: 'label',
        text: this.wayWords(from, at.at),
        x: (x1 + x2) / 2,
        y: (y1 + y2) / 2,
        dx: 0,
        dy: 4,
        away: [-(y2 - y1) / seen, (x2 - x1) / seen],
        ink: 'text',
        role: 'extreme',
        rank: Infinity,
      },
    ];
  }

  /** The running length, and its angle in the plane or its parts in space. */
  private wayWords(from: Point, to: Point): string {
    const unit = this.unit();
    const by = minus(to, from);
    const length = showQuantity(size(by), unit);
    if (this.space === 'space')
      return `${length}: ${by.map((part) => showQuantity(part, unit).replace(` ${unit}`, '')).join(' by ')}`;
    const angle = (Math.atan2(by[1], by[0]) * 180) / Math.PI;
    return WORDS.at(length, Number(angle.toFixed(1)) + 0);
  }

  private unit(): string {
    return lengthUnit(this.sheet.editor.state.model);
  }

  private enter(state: State): void {
    this.state = state;
    this.sheet.say(this.hint);
    this.sheet.refresh('overlay');
  }

  /** A typed or straightened place, and the node or member that it meets. */
  private met(at: Point): Snap {
    const { model } = this.sheet.editor.state;
    const [x, y, z] = at.map((part) => Number(part.toFixed(6)) + 0) as [number, number, number];
    const place: Point = [x, y, z];
    const node = model.nodes.find((one) => distance(pointOf(one), place) < COINCIDENT);
    if (node) return { kind: 'node', at: pointOf(node), node: node.id, on: [], words: WORDS.node(node.id) };
    return { kind: 'grid', at: place, on: [], words: '' };
  }

  /** The next point of the chain: a node is joined, a member that it lies on is split there, a free point gets a node. One undo step each. */
  private place(at: Snap): void {
    const { editor } = this.sheet;
    const { model } = editor.state;
    // An undo may have taken away where the chain stood: then a new one begins.
    const last = this.state.name === 'drawing' ? this.state.node : undefined;
    const from = model.nodes.some(({ id }) => id === last) ? last : undefined;
    const nodes: ModelNode[] = at.node === undefined ? [nodeAt(nextNumber(model.nodes.map(({ id }) => id)), at.at)] : [];
    const node = at.node ?? nodes[0]!.id;
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
    const draw: Intent = { type: 'draw', nodes, members };
    const cuts = at.on.map(({ member, at: t }) => ({ member, at: [t] }));
    const intent: Intent = cuts.length > 0 ? { type: 'batch', intents: [draw, { type: 'split', cuts }] } : draw;
    if (nodes.length + members.length > 0 && !editor.edit(intent)) return;
    this.sheet.offer(undefined);
    this.enter({ name: 'drawing', from: at.at, node });
    this.offerRepair(members[0]?.id, node);
  }

  /** What the new member crosses, lies on or almost meets, with its repair to take up. */
  private offerRepair(member: string | undefined, node: string): void {
    const { model } = this.sheet.editor.state;
    if (model.members.length > LOOKED_OVER) return;
    const found = findDefects(model).filter(
      (defect) =>
        (member !== undefined && defect.members.includes(member)) || (defect.kind !== 'idle' && defect.nodes.includes(node)),
    );
    const crossings = found.filter(({ kind }) => kind === 'crossing' || kind === 'unjoined');
    if (crossings.length > 1 && member !== undefined) {
      const others = [...new Set(crossings.flatMap((one) => one.members))].filter((id) => id !== member);
      const words = WORDS.crosses(member, others.join(', '));
      this.sheet.offer({ words, action: WORDS.makeJoints, intent: { type: 'joints', members: [member] } });
    } else if (found[0]) this.sheet.offer({ words: `${found[0].words}.`, action: found[0].repair, intent: found[0].intent });
  }
}
