import { chosenOf } from '../chosen';
import type { Editor } from '../editor';
import { GIVEN, stepSection as WORDS } from './words';
import { loadCatalogue, theCatalogue, type Catalogue } from './use-catalogue';

export type StepWay = 'lighter' | 'heavier';
/** The keys that step. */
export const STEP_KEYS: Readonly<Record<StepWay, string>> = { lighter: ',', heavier: '.' };

/**
 * Gives the selected members the next lighter or heavier shape of their family, those that have the section of the first of them. Why it
 * cannot be done; undefined where it is done, or will be as soon as the catalogue is here.
 */
export function stepSection(editor: Editor, way: StepWay): string | undefined {
  const catalogue = theCatalogue();
  if (catalogue) return step(editor, way, catalogue);
  void loadCatalogue().then((found) => step(editor, way, found));
  return undefined;
}

function step(editor: Editor, way: StepWay, { shapeCalled, neighbour, giveShape }: Catalogue): string | undefined {
  const { model, selection } = editor.state;
  const members = new Set(chosenOf(selection).members);
  const first = model.members.find(({ id }) => members.has(id));
  if (!first) return WORDS.selectFirst;
  const designation = model.sections.find(({ id }) => id === first.section)?.catalogue;
  const one = designation === undefined ? undefined : shapeCalled(designation);
  if (!one) return WORDS.notOfCatalogue(first.section);
  const next = neighbour(one, way);
  if (!next) return WORDS.last(one.designation, way);
  const alike = model.members.filter((member) => members.has(member.id) && member.section === first.section).map(({ id }) => id);
  const { id, intents } = giveShape(model, alike, next);
  if (intents.length > 0) editor.edit({ type: 'batch', intents, label: GIVEN(id, alike.length) });
  return undefined;
}
