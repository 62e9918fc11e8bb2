import { withAxes } from '@rigid-beam/core/quantities/axis-names';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import type { Command } from './command';
import { geometryCommands } from './geometry-commands';
import { loadCommands } from './load-commands';
import { pickingCommands } from './picking-commands';
import { placingCommands } from './placing-commands';
import { scheduleCommands } from './schedule-commands';
import { underlayCommands } from './underlay-commands';
import { viewCommands } from './view-commands';

/** Everything that the command field knows. A new command is added to one of these lists. Axes in its words stand as `withAxes` takes them. */
const all: readonly Command[] = [
  ...geometryCommands,
  ...loadCommands,
  ...pickingCommands,
  ...placingCommands,
  ...scheduleCommands,
  ...underlayCommands,
  ...viewCommands,
];

/** A command whose words call axes as the reader does. */
function named(command: Command, display: DisplayUnits): Command {
  const said = (text: string): string => withAxes(text, display);
  const { name, notation, preview, run } = command;
  return {
    ...command,
    name: said(name),
    ...(notation !== undefined && { notation: said(notation) }),
    ...(preview && {
      preview: (sheet, text) => {
        const { isGood, words } = preview(sheet, text);
        return { isGood, words: said(words) };
      },
    }),
    run: (sheet, text) => {
      const refused = run(sheet, text);
      return refused === undefined ? undefined : said(refused);
    },
  };
}

const known = new Map<string, readonly Command[]>();

/** All commands, as they are called where axes have these names. */
export function commandsFor(display: DisplayUnits): readonly Command[] {
  const key = display.up + display.strong;
  if (!known.has(key))
    known.set(
      key,
      all.map((command) => named(command, display)),
    );
  return known.get(key)!;
}
