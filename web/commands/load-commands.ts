import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { readLoadPhrase, type LoadPhrase } from '@rigid-beam/core/model/loads/phrase';
import { actsOn, type PhraseTarget } from '@rigid-beam/core/model/loads/phrase-loads';
import { phraseWords } from '@rigid-beam/core/model/loads/phrase-words';
import { putPhrase } from '@rigid-beam/core/model/loads/put-phrase';
import type { Model } from '@rigid-beam/core/model/model';
import { defaultDisplay } from '@rigid-beam/core/quantities/display';
import { chosenOf } from '../session/chosen';
import type { SheetController } from '../sheet/controller';
import { make, type Command } from './command';
import { loadCommands as WORDS } from './words';

/** What is named behind `on`: members, nodes, or the corners of a panel. */
function named(kind: string, names: readonly string[], model: Model): readonly PhraseTarget[] | string {
  const isPanel = kind.startsWith('panel');
  const list = kind.startsWith('member') ? model.members : model.nodes;
  const missing = names.find((name) => !list.some(({ id }) => id === name));
  if (missing !== undefined) return WORDS.thereIsNo(kind.startsWith('member') ? 'member' : 'node', missing);
  if (isPanel) return [{ panel: names }];
  return names.map((id) => (kind.startsWith('member') ? { member: id } : { node: id }));
}

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
  const [, said, kind, list] = /^(.+?)\s+on\s+(members?|nodes?|panel)\s+(.+)$/i.exec(text) ?? [undefined, text];
  const loadCase = model.cases.find(({ id }) => id === acting) ?? (acting === undefined ? model.cases[0] : undefined);
  if (!loadCase) return WORDS.noCaseActs;
  const display = { ...defaultDisplay, ...model.display };
  const read = readLoadPhrase(said!, { display, space: model.space, bare: 'line' });
  if (!read.ok) return WORDS.isNoLoad(said!, read.reason);
  const targets =
    kind === undefined
      ? selected(read.phrase, chosenOf(selection))
      : named(kind.toLowerCase(), list!.split(',').map((name) => name.trim()), model); // prettier-ignore
  if (typeof targets === 'string') return targets;
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
