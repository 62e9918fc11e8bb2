import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { readNamedPhrase } from '@rigid-beam/core/phrases/named-phrase';
import { actsOn, type PhraseTarget } from '@rigid-beam/core/phrases/phrase-loads';
import { readTargets } from '@rigid-beam/core/phrases/phrase-target';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { putPhrase } from '@rigid-beam/core/phrases/put-phrase';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { chosenOf } from '../editor/chosen';
import type { SheetController } from '../sheet/controller';
import { make, type Command } from './command';
import { loadCommands as WORDS } from './words';

/** What is selected, as far as a load can act on it; nodes and members together where it acts on both. */
function selected(phrase: LoadPhrase, { nodes, members }: ReturnType<typeof chosenOf>): readonly PhraseTarget[] | string {
  const on = actsOn(phrase);
  if (on === 'panel') return nodes.length > 2 ? [{ panel: nodes }] : WORDS.selectCorners;
  const onMembers = on === 'node' ? [] : members.map((member) => ({ member }));
  const targets = [...onMembers, ...(on === 'member' ? [] : nodes.map((node) => ({ node })))];
  return targets.length > 0 ? targets : WORDS.selectWhatGetsIt(on);
}

interface Put {
  readonly intent: Intent;
  readonly words: string;
}

function understand(sheet: SheetController, text: string): Put | string {
  const { model, selection, acting } = sheet.editor.state;
  const [, said, place] = /^(.+?)\s+on\s+((?:members?|nodes?|run|panel)\s.+)$/i.exec(text) ?? [undefined, text];
  const loadCase = model.cases.find(({ id }) => id === acting) ?? (acting === undefined ? model.cases[0] : undefined);
  if (!loadCase) return WORDS.noCaseActs;
  const display = { ...defaultDisplay, ...model.display };
  const read = readNamedPhrase(said!, model, 'line');
  if (!read.ok) return WORDS.isNoLoad(said!, read.reason);
  const targets = place === undefined ? selected(read.phrase, chosenOf(selection)) : readTargets(place, model);
  if (typeof targets === 'string') return place === undefined ? targets : WORDS.isNoLoad(place, targets);
  const intents = putPhrase(read.phrase, targets, model, loadCase.id);
  if (typeof intents === 'string') return WORDS.isNoLoad(said!, intents);
  const words = WORDS.put(phraseWords(read.phrase, display), targets.length, loadCase.id);
  return { intent: { type: 'batch', intents, label: words }, words };
}

/** Loads as they are said: `apply 8 kN/m down on members a, b`. */
export const loadCommands: readonly Command[] = [
  {
    name: 'Apply',
    changes: true,
    notation: WORDS.notation,
    preview: (sheet, text) => {
      const read = understand(sheet, text);
      return typeof read === 'string' ? { isGood: false, words: read } : { isGood: true, words: read.words };
    },
    run: (sheet, text) => {
      const read = understand(sheet, text);
      return typeof read === 'string' ? read : make(sheet, read.intent, read.words);
    },
  },
];
