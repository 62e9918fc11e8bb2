import type { Load, Model } from '@rigid-beam/core/model/model';
import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { loadTotal } from '@rigid-beam/core/model/loads/load-total';
import {
  actsOn,
  loadsOfPhrase,
  panelsMeant,
  type MadeLoads,
  type PhrasedLoad,
  type PhraseTarget,
} from '@rigid-beam/core/phrases/phrase-loads';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { putPhrase } from '@rigid-beam/core/phrases/put-phrase';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { defaultDisplay, displayOf } from '@rigid-beam/core/quantities/display';
import { symbolPath, worldPath, type Item } from '@rigid-beam/drawing/display-list';
import { drawnMembers, drawnNodes } from '@rigid-beam/drawing/geometry';
import { loadItems, loadScaleOf } from '@rigid-beam/drawing/load-items';
import { circle } from '@rigid-beam/drawing/structure-items';
import { inverted } from '@rigid-beam/core/model/selecting';
import { selectChosen } from '../../editor/chosen';
import { viewOf } from '../view-of';
import type { SheetController } from '../controller';
import { BoxDrag } from './box-drag';
import { selectInBox } from './box-tool';
import { findTarget, type Target } from './find-target';
import type { Tool, ToolPointer } from './tool';
import { loadTool as WORDS } from '../words';

export const LOAD_TOOL = 'load';

/** What is put, and how Tab turns it. */
export interface LoadInHand {
  readonly phrase: LoadPhrase;
  readonly caseId: string;
  readonly turn: (step: 1 | -1) => void;
  /** Puts it on what is selected; false where it acts on nothing of it. */
  readonly putOnSelection: () => boolean;
}

/** A force pointed at takes the nearest of so many equal parts of its member, so that the middle is the middle. */
const PARTS = 20;

/**
 * Puts a load that was said on what is pointed at, click by click until Escape; before the click its arrows stand there already. A box
 * selects, and Enter puts it on what is selected.
 */
export class LoadTool implements Tool {
  readonly name = LOAD_TOOL;
  readonly cursor = 'crosshair';
  private pointed: Target | undefined;
  readonly keepsBench = true as const;
  private readonly box: BoxDrag;
  /** What has just been put stands there itself: it is not shown a second time. */
  private isPut = false;

  constructor(
    private readonly sheet: SheetController,
    /** Asked whenever something is pointed at: another load may have been said. */
    private readonly inHand: () => LoadInHand,
  ) {
    this.box = new BoxDrag(sheet);
  }

  /** Another load is said: the tool goes on with it. */
  said(): void {
    this.isPut = false;
    this.sheet.say(this.hint);
    this.sheet.refresh('overlay');
  }

  get hint(): string {
    const { phrase, caseId } = this.inHand();
    const display = { ...defaultDisplay, ...this.sheet.editor.state.model.display };
    const on = { node: 'node', member: 'member', either: WORDS.nodeOrMember, panel: WORDS.panel }[actsOn(phrase)];
    const made = this.pointed && this.made(this.pointed);
    if (made && !made.ok) return WORDS.notThere(made.reason);
    const turns = phrase.kind === 'temperature' || phrase.kind === 'fit' ? '' : WORDS.tabTurnsIt;
    return WORDS.hint(phraseWords(phrase, display), caseId, on, turns) + (made?.ok ? this.together(made.loads) : '');
  }

  /** What the supports will have to carry of what is pointed at. */
  private together(loads: readonly PhrasedLoad[]): string {
    const { model } = this.sheet.editor.state;
    const { force } = { ...defaultDisplay, ...model.display };
    const sum = [0, 0, 0];
    for (const load of loads) loadTotal({ id: '', ...load } as unknown as Load, model)?.forEach((part, k) => (sum[k]! += part));
    const size = Math.hypot(...sum);
    return size > 0 ? WORDS.together(showQuantity(size, force, 4)) : '';
  }

  down(event: ToolPointer): void {
    this.box.down(event);
  }

  move(event: ToolPointer): void {
    // Who points has the keys at hand as well; who does not, keeps them where they are.
    if (event.type === 'mouse') this.sheet.takeKeyboard();
    if (this.box.move(event)) {
      this.pointed = undefined;
      return;
    }
    const before = this.pointed;
    const { phrase } = this.inHand();
    this.pointed = findTarget(this.sheet, event, actsOn(phrase), panelsMeant(phrase));
    if (before?.id === this.pointed?.id && !this.moved(before)) return;
    this.isPut = false;
    this.sheet.say(this.hint);
  }

  /** Whether what is pointed at is another place of the same member. */
  private moved(before: Target | undefined): boolean {
    const { pointed } = this;
    if (before?.kind !== 'member' || pointed?.kind !== 'member' || !['force', 'couple'].includes(this.inHand().phrase.kind))
      return false;
    return Math.round(before.at * PARTS) !== Math.round(pointed.at * PARTS);
  }

  away(): void {
    if (!this.pointed) return;
    this.pointed = undefined;
    this.sheet.say(this.hint);
  }

  up(event: ToolPointer): void {
    const press = this.box.up(event);
    if (press === 'nothing') return;
    if (press !== 'click') return selectInBox(this.sheet, press.from, press.to);
    this.move(event);
    if (this.pointed) this.put(this.pointed);
  }

  cancel(): void {
    this.box.cancel();
  }

  all(): void {
    const { editor } = this.sheet;
    selectChosen(editor, inverted(editor.state.model, { nodes: [], members: [] }));
  }

  key(event: KeyboardEvent): boolean {
    if (event.key === 'Enter') return this.inHand().putOnSelection();
    if (event.key !== 'Tab') return false;
    this.inHand().turn(event.shiftKey ? -1 : 1);
    return true;
  }

  overlay(): Item[] {
    if (this.box.isDrawn) return this.box.overlay();
    const { pointed } = this;
    if (!pointed || this.isPut) return [];
    const { model } = this.sheet.editor.state;
    const made = this.made(pointed);
    return [...this.mark(pointed, model), ...(made?.ok ? this.shown(made.loads as unknown as Load[], pointed, model) : [])].map(
      (item): Item => (item.kind === 'label' ? { ...item, rank: 100 } : item),
    );
  }

  /** What the load becomes on a target. */
  private made(target: Target): MadeLoads | undefined {
    return loadsOfPhrase(this.inHand().phrase, placeIn(target), this.sheet.editor.state.model, this.inHand().caseId);
  }

  private put(target: Target): void {
    const { editor } = this.sheet;
    const { phrase, caseId } = this.inHand();
    const intents = putPhrase(phrase, [placeIn(target)], editor.state.model, caseId);
    // What acts on nothing there says so while it is pointed at.
    if (typeof intents === 'string') return this.made(target)?.ok ? editor.refuse(WORDS.refused(intents)) : undefined;
    if (intents.length === 0) return;
    const label = WORDS.putOn(phraseWords(phrase, displayOf(editor.state.model), 4, 'expressions'), target.kind, target.id);
    editor.edit(intents.length === 1 ? intents[0]! : { type: 'batch', intents, label }, label);
    this.isPut = true;
  }

  private mark(target: Target, model: Model): Item[] {
    const seen = this.sheet.view.seen();
    const { kind, id } = target;
    if (target.kind === 'panel') {
      const places = drawnNodes(model, seen);
      const corners = target.corners.flatMap((corner) => places.get(corner) ?? []);
      return [worldPath(corners.flatMap(({ x, y }) => [x, y]), { closed: true, fill: 'selection', opacity: 0.18 })]; // oxfmt-ignore
    }
    if (kind === 'node') {
      const node = drawnNodes(model, seen).get(id);
      return node ? [symbolPath(node.x, node.y, circle(9), { closed: true, stroke: 'selection', width: 2 })] : [];
    }
    const member = drawnMembers(model, seen).find((one) => one.id === id);
    return member
      ? [worldPath([member.x1, member.y1, member.x2, member.y2], { stroke: 'selection', width: 8, opacity: 0.4 })]
      : [];
  }

  /** The true arrows on the true member, before anything is put. */
  private shown(loads: readonly Load[], { kind, id }: Target, model: Model): readonly Item[] {
    // A panel is carried by members that it has to find.
    const members = kind === 'panel' ? model.members : kind === 'member' ? model.members.filter((one) => one.id === id) : [];
    const ends = new Set(kind === 'node' ? [id] : members.flatMap(({ start, end }) => [start, end]));
    const part: Model = {
      ...model,
      members,
      nodes: model.nodes.filter((node) => ends.has(node.id)),
      loads: loads.map((load, i) => ({ ...load, id: WORDS.inHand(i) })),
    };
    const { state } = this.sheet.editor;
    const view = viewOf(state, this.sheet.view.seen(), undefined, this.sheet.view.camera.scale, 'still');
    return loadItems(part, new Map([[this.inHand().caseId, 1]]), {
      ...view,
      loads: 'said',
      selection: [],
      loadScale: largerOf(loadScaleOf(model), loadScaleOf(part)),
    });
  }
}

const placeIn = (target: Target): PhraseTarget =>
  target.kind === 'panel'
    ? { panel: target.corners }
    : target.kind === 'node'
      ? { node: target.id }
      : { member: target.id, at: Math.round(target.at * PARTS) / PARTS };

type Scale = ReturnType<typeof loadScaleOf>;
const largerOf = (a: Scale, b: Scale): Scale => ({
  intensity: Math.max(a.intensity, b.intensity),
  force: Math.max(a.force, b.force),
});
