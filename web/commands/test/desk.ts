import { applyIntent } from '@rigid-beam/core/model/edits/apply-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import { inverted } from '@rigid-beam/core/model/selecting';
import { typicals } from '@rigid-beam/core/model/typical/all';
import { initialValues } from '@rigid-beam/core/model/typical/typical';
import type { Subject } from '@rigid-beam/drawing/display-list';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import type { SheetController } from '../../sheet/controller';
import { displayOf } from '@rigid-beam/core/quantities/display';
import { commandsFor } from '../all';
import { subjectsOf } from '../../editor/chosen';
import { behind, lacking, matching } from '../command';

/** As much of a sheet as COMMANDS_ need: an editor over a model of its own, without a page. */
export class Desk {
  selection: readonly Subject[] = [];
  hidden: ReadonlySet<string> = NOTHING_HIDDEN;
  looks: string[] = [];
  said = '';
  private refusal: readonly { message: string }[] = [];

  constructor(public model: Model) {}

  get sheet(): SheetController {
    const own = (): this => this;
    const desk = own();
    const editor = {
      get state() {
        const { model, selection, hidden, refusal } = desk;
        return { model, selection, hidden, refusal, history: { undo: [], redo: [] }, stage: 'geometry' };
      },
      select: (next: readonly Subject[]) => (desk.selection = next),
      edit: (intent: Intent) => {
        const applied = applyIntent(desk.model, intent);
        if (applied.ok) desk.model = applied.model;
        else desk.refusal = applied.faults;
        return applied.ok;
      },
      tried: (intent: Intent) => {
        const applied = applyIntent(desk.model, intent);
        return applied.ok ? applied.model : undefined;
      },
      show: (part: { hidden?: ReadonlySet<string> }) => (desk.hidden = part.hidden ?? desk.hidden),
    };
    return {
      editor,
      refresh: () => undefined,
      view: { showAll: () => undefined, lookAt: (look: string) => desk.looks.push(look) },
      say: (words: string) => (desk.said = words),
    } as unknown as SheetController;
  }

  /** Runs what the command field would run for this text; why it was refused, or undefined. */
  run(text: string): string | undefined {
    const [command] = matching(commandsFor(displayOf(this.model)), text).filter((one) => one.fits?.(this.sheet) ?? true);
    return command ? (lacking(command, this.sheet) ?? command.run(this.sheet, behind(command, text))) : 'nothing of this name';
  }

  selectAll(): void {
    this.selection = subjectsOf(inverted(this.model, { nodes: [], members: [] }));
  }
}

export function portal(): Desk {
  const typical = typicals.find(({ id }) => id === 'portal')!;
  const part = typical.build(initialValues(typical), { section: 'beam', material: 'steel' });
  const desk = new Desk(emptyModel('Shed'));
  desk.sheet.editor.edit({ type: 'insert', part, at: [0, 0, 0] });
  desk.selectAll();
  return desk;
}
export const counts = ({ model }: Desk): [number, number] => [model.nodes.length, model.members.length];
