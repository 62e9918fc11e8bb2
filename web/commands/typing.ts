import { behind, lacking, onEnter, type Command, type Understood } from './command';
import { completed } from './grammar';
import type { SheetController } from '../sheet/controller';

interface KeyPressed extends Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey' | 'altKey' | 'isTrusted'> {
  /** In a text, where a stroke divides. */
  readonly isInText: boolean;
  readonly hasDialog: boolean;
}

/** Whether a key leads to the command field: a stroke anywhere, from a text with Control. What a list makes of the keys of its field is nobody's key stroke. */
export const leadsToCommands = ({ key, isInText, hasDialog, ...pressed }: KeyPressed): boolean =>
  key === '/' && pressed.isTrusted && !hasDialog && !pressed.metaKey && !pressed.altKey && (!isInText || pressed.ctrlKey);

/** What is said of a text while it is typed: what its command would do with it, and the text with its last word made whole. */
export interface SaidBack {
  readonly said?: Understood | undefined;
  readonly completion?: ReturnType<typeof completed>;
}

/** What is typed behind a name is said back before Enter. */
export function saidBack(command: Command | undefined, sheet: SheetController | undefined, text: string): SaidBack {
  if (!command || !text.trim().toLowerCase().startsWith(command.name.toLowerCase())) return {};
  const typed = behind(command, text);
  if (typed === '') return {};
  return {
    said: sheet && command.preview?.(sheet, typed),
    completion: command.keywords ? completed(command.keywords, text) : undefined,
  };
}

/** What comes of a command: it was done, another text stands there, or why it cannot be done. */
export type Came =
  | { readonly of: 'done' }
  | { readonly of: 'text'; readonly text: string }
  | { readonly of: 'refusal'; readonly words: string };

/** A command that is chosen: where it takes arguments and there are none, its name is filled in, and what follows is typed behind it. */
export function carriedOut(command: Command, sheet: SheetController, text: string): Came {
  const rest = behind(command, text);
  if (command.notation && rest === '' && text.trim().toLowerCase() !== command.name.toLowerCase()) return named(command);
  const words = lacking(command, sheet) ?? command.run(sheet, rest);
  return words === undefined ? { of: 'done' } : { of: 'refusal', words };
}

/** What Enter does with a text whose first command is this one; undefined where it does nothing. */
export function entered(command: Command | undefined, sheet: SheetController, text: string): Came | undefined {
  const what = command ? onEnter(command, text) : 'nothing';
  if (!command || what === 'nothing') return undefined;
  return what === 'run' ? carriedOut(command, sheet, text) : named(command);
}

const named = ({ name }: Command): Came => ({ of: 'text', text: `${name} ` });

/** What a key does in the field before its list hears of it: Enter without a choice from the list follows the rules of typed commands. */
export function keyInField({ key, isChosen, hasCompletion }: FieldKey): 'complete' | 'leave' | 'enter' | undefined {
  if (key === 'Tab' && hasCompletion) return 'complete';
  if (key === 'Escape') return 'leave';
  return key === 'Enter' && !isChosen ? 'enter' : undefined;
}

interface FieldKey {
  readonly key: string;
  /** One of the list is chosen. */
  readonly isChosen: boolean;
  readonly hasCompletion: boolean;
}
