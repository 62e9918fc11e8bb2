import { describeIntent } from '@rigid-beam/core/model/edits/describe-intent';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Chosen } from '@rigid-beam/core/model/selecting';
import type { SheetController } from '../sheet/controller';
import { chosenOf } from '../editor/chosen';
import type { EditorState } from '../editor/editor-state';
import { notationOf, readArguments, understood, type Arguments, type Values } from './grammar';
import { command as WORDS } from './words';

/** What has to be selected for a command to make sense. */
export type Need = 'anything' | 'nodes or members' | 'members' | 'two members' | 'two nodes';

/** Something that can be done, by its name: from the command field, from the sheet's menu, or from a bench. */
export interface Command {
  readonly name: string;
  /** What may be typed behind the name, in our own notation; without it nothing. */
  readonly notation?: string;
  readonly needs?: Need;
  /** Only offered where it can be done. */
  readonly fits?: (sheet: SheetController) => boolean;
  /** Shown in the sheet's menu for a selection. */
  readonly inMenu?: true;
  /** It changes the model: it is not run by the beginning of its name. */
  readonly changes?: true;
  /** What would be done with this text, said back, or why it cannot be: shown before Enter. */
  readonly preview?: (sheet: SheetController, text: string) => Understood;
  /** The words that may still follow in its arguments. */
  readonly keywords?: Arguments;
  /** Returns why it cannot be done as typed, or undefined when it was. */
  readonly run: (sheet: SheetController, text: string) => string | undefined;
}

export interface Understood {
  readonly isGood: boolean;
  readonly words: string;
}

/** Why a selection does not do for a command; undefined where it does. */
export function lacking({ needs }: Command, sheet: SheetController): string | undefined {
  const { selection } = sheet.editor.state;
  const { nodes, members } = chosenOf(selection);
  switch (needs) {
    case undefined:
      return undefined;
    case 'anything':
      return selection.length > 0 ? undefined : WORDS.selectSomething;
    case 'nodes or members':
      return nodes.length + members.length > 0 ? undefined : WORDS.selectNodesOrMembers;
    case 'members':
      return members.length > 0 ? undefined : WORDS.selectMembersFirst;
    case 'two members':
      return members.length > 1 ? undefined : WORDS.selectTwoMembersOrMore;
    case 'two nodes':
      return nodes.length > 1 ? undefined : WORDS.selectTwoNodesOrMore;
  }
}

/** An edit that is described once, by its arguments: how it is written, read, said back, shown as a form and made follows from them. */
export interface Edit<A extends Arguments> {
  readonly name: string;
  readonly arguments: A;
  readonly needs?: Need;
  readonly fits?: (sheet: SheetController) => boolean;
  readonly inMenu?: true;
  /** The edit, or why there is none. */
  readonly edit: (values: Values<A>, state: EditorState, chosen: Chosen) => Intent | string;
  /** What is written on the button that makes it. */
  readonly done?: string;
  /** Its name in the list of changes, where it has another than that of its intent. */
  readonly label?: string;
  readonly then?: (sheet: SheetController) => void;
}

export function editCommand<A extends Arguments>(edit: Edit<A>): Command {
  const { name, needs, fits, inMenu } = edit;
  const intentOf = (sheet: SheetController, text: string): { intent: Intent; words: string } | string => {
    const { model, selection } = sheet.editor.state;
    const values = readArguments(edit.arguments, text, model);
    if (typeof values === 'string') return values;
    const intent = edit.edit(values, sheet.editor.state, chosenOf(selection));
    if (typeof intent === 'string') return intent;
    const said = understood(edit.arguments, values, model);
    return { intent, words: [edit.label ?? describeIntent(intent), said].filter(Boolean).join(': ') };
  };
  const hasArguments = Object.keys(edit.arguments).length > 0;
  const command: Command = {
    name,
    ...(hasArguments && { notation: notationOf(edit.arguments), keywords: edit.arguments }),
    ...(needs && { needs }),
    ...(fits && { fits }),
    ...(inMenu && { inMenu }),
    changes: true,
    preview: (sheet, text) => {
      const read = lacking(command, sheet) ?? intentOf(sheet, text);
      return typeof read === 'string' ? { isGood: false, words: read } : { isGood: true, words: read.words };
    },
    run: (sheet, text) => {
      const read = lacking(command, sheet) ?? intentOf(sheet, text);
      if (typeof read === 'string') return read;
      const refused = make(sheet, read.intent, edit.label);
      if (refused === undefined) edit.then?.(sheet);
      return refused;
    },
  };
  return command;
}

/** Makes an edit; why it was refused, in words. */
export function make(sheet: SheetController, intent: Intent, label?: string): string | undefined {
  if (sheet.editor.edit(intent, label)) return undefined;
  return sheet.editor.state.refusal[0]?.message ?? WORDS.refused;
}

/** The commands whose name begins with, or has a word that begins with, what was typed; the best first. */
export function matching(commands: readonly Command[], text: string): Command[] {
  const typed = text.trim().toLowerCase();
  if (typed === '') return [...commands];
  const rank = ({ name }: Command): number => {
    const lower = name.toLowerCase();
    // A whole name with what follows it: `move 3 by 0`.
    if (typed === lower || typed.startsWith(`${lower} `)) return -lower.length;
    if (lower.startsWith(typed)) return 1;
    const words = typed.split(/\s+/);
    return words.every((word) => lower.split(/\s+/).some((part) => part.startsWith(word))) ? 2 : Infinity;
  };
  return commands
    .map((command) => ({ command, rank: rank(command) }))
    .filter((one) => one.rank < Infinity)
    .sort((a, b) => a.rank - b.rank)
    .map(({ command }) => command);
}

/** What was typed behind the name of a command. */
export const behind = ({ name }: Command, text: string): string =>
  text.trim().toLowerCase().startsWith(name.toLowerCase()) ? text.trim().slice(name.length).trim() : '';

/** So many letters are no name yet. */
const STRAY = 2;

/**
 * What Enter does with the command that stands first: runs it, fills its name in, or nothing. A command that changes the model is run by
 * its name, or by whole words of it, never by the beginning of a word.
 */
export function onEnter({ name, changes }: Command, text: string): 'run' | 'fill in' | 'nothing' {
  const typed = text.trim().toLowerCase();
  if (typed.length <= STRAY) return 'nothing';
  const words = name.toLowerCase().split(/\s+/);
  const isNamed = typed.startsWith(name.toLowerCase());
  const isWorded = typed.split(/\s+/).every((word) => words.includes(word));
  return !changes || isNamed || isWorded ? 'run' : 'fill in';
}
