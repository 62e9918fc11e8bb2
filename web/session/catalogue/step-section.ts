import { chosenOf } from '../chosen';
import type { Editor } from '../editor';
import { stepSection as WORDS } from './words';
import { loadCatalogue } from './use-catalogue';

export type StepWay = 'lighter' | 'heavier';
/** The keys that step. */
export const STEP_KEYS: Readonly<Record<StepWay, string>> = { lighter: ',', heavier: '.' };

/**
 * Gives the selected members the next lighter or heavier shape of their family, those that have the section of the first of them. Why it
 * cannot be done; undefined where it is done, or will be as soon as the catalogue is here.
 */
export function stepSection(editor: Editor, way: StepWay): string | undefined {
  const { model, selection } = editor.state;
  const members = new Set(chosenOf(selection).members);
  const first = model.members.find(({ id }) => members.has(id));
  if (!first) return WORDS.selectFirst;
  const section = model.sections.find(({ id }) => id === first.section);
  if (!section?.catalogue) return WORDS.notOfCatalogue(first.section);
  const designation = section.catalogue;
  void loadCatalogue().then(({ shapeCalled, neighbour, giveShape }) => {
    const one = shapeCalled(designation);
    const next = one && neighbour(one, way);
    if (!next) return;
    const current = editor.state.model;
    const alike = current.members.filter((member) => members.has(member.id) && member.section === section.id).map(({ id }) => id);
    const { id, intents } = giveShape(current, alike, next);
    if (intents.length > 0) editor.edit({ type: 'batch', intents, label: WORDS.given(id, alike.length) });
  });
  return undefined;
}
