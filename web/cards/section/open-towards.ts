import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { placesOf } from '@rigid-beam/core/model/places';
import type { Point } from '@rigid-beam/core/model/point';
import { rollTowards } from '@rigid-beam/core/model/roll-towards';
import type { SheetController } from '../../sheet/controller';
import { PickTool } from '../../sheet/tools/pick-tool';
import { orientation as WORDS } from './words';

/** Members rolled so that their sections open towards a place; those through whose axis it lies stay as they are. */
function rolledTowards(model: Model, ids: ReadonlySet<string>, target: Point): Intent & { readonly type: 'batch' } {
  const places = placesOf(model);
  const intents = model.members
    .filter(({ id }) => ids.has(id))
    .flatMap((member) => {
      const roll = rollTowards(member, places, target);
      return roll === undefined ? [] : [{ type: 'put', list: 'members', entry: { ...member, roll }, key: member.id } as const];
    });
  return { type: 'batch', intents, label: WORDS.opened };
}

/** Asks for a place, a node, a point of the drawing or one that is typed, and opens the sections of members towards it. */
export function openTowards(sheet: SheetController, members: readonly string[]): void {
  const { editor } = sheet;
  const ids = new Set(members);
  sheet.take(
    new PickTool(
      sheet,
      [WORDS.towardsHint],
      ([target]) => {
        const intent = rolledTowards(editor.state.model, ids, target!);
        if (intent.intents.length > 0) editor.edit(intent);
        else sheet.say(WORDS.liesOnTheAxis);
      },
      { hovered: ([target]) => editor.preview(rolledTowards(editor.state.model, ids, target!)), left: () => editor.endPreview() },
    ),
  );
}
