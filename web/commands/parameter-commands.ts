import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import { unfitName } from '@rigid-beam/core/model/parameters/names';
import { settingTyped } from '@rigid-beam/core/model/parameters/set-parameters';
import type { Command } from './command';
import { parameterCommand as WORDS } from './words';

/** What `span = 14 m` means for a model: a value of a parameter, or a new one; why it means nothing. */
export function letting(model: Model, text: string): Intent | string {
  const [, name, value] = /^\s*([^=]+?)\s*=\s*(.+?)\s*$/u.exec(text) ?? [];
  if (name === undefined || value === undefined) return WORDS.write;
  const label = WORDS.label(name, value);
  if (model.parameters?.some(({ id }) => id === name)) {
    const change = settingTyped(model, name, value);
    return change.ok ? { type: 'batch', intents: change.intents, label } : change.reason;
  }
  // What is new is read as a file is.
  return unfitName(name) ?? { type: 'batch', intents: [{ type: 'put', list: 'parameters', entry: { id: name, value } }], label };
}

/** Parameters by their names: `let span = 14 m`. */
export const parameterCommands: readonly Command[] = [
  {
    name: 'Let',
    changes: true,
    notation: WORDS.notation,
    run: ({ editor }, text) => {
      const intent = letting(editor.state.model, text);
      if (typeof intent === 'string') return intent;
      return editor.edit(intent) ? undefined : editor.state.refusal[0]?.message;
    },
  },
  {
    name: 'Open the parameters',
    run: ({ editor }) => {
      editor.show({ drawer: 'parameters' });
      return undefined;
    },
  },
];
