import type { SheetController } from '../sheet/controller';

/** Something that can be done, by its name: from the command field, from the sheet's menu, or from a bench. */
export interface Command {
  readonly name: string;
  /** What may be typed behind the name, in our own notation; without it nothing. */
  readonly notation?: string;
  /** Only offered where it can be done. */
  readonly fits?: (sheet: SheetController) => boolean;
  /** Shown in the sheet's menu for a selection. */
  readonly inMenu?: true;
  /** Returns why it cannot be done as typed, or undefined when it was. */
  readonly run: (sheet: SheetController, text: string) => string | undefined;
}

/** The commands whose name begins with, or has a word that begins with, what was typed; the best first. */
export function matching(commands: readonly Command[], text: string): Command[] {
  const typed = text.trim().toLowerCase();
  if (typed === '') return [...commands];
  const rank = ({ name }: Command): number => {
    const lower = name.toLowerCase();
    // A whole name with what follows it: `move 3 by 0`.
    if (typed.startsWith(lower)) return -lower.length;
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
