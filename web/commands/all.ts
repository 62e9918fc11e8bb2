import { withAxes } from '@rigid-beam/core/quantities/axis-names';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { analysisCommands } from './analysis-commands';
import type { Command } from './command';
import { geometryCommands } from './geometry-commands';
import { loadCommands } from './load-commands';
import { parameterCommands } from './parameter-commands';
import { pickingCommands } from './picking-commands';
import { placingCommands } from './placing-commands';
import { scheduleCommands } from './schedule-commands';
import { underlayCommands } from './underlay-commands';
import { viewCommands } from './view-commands';

/** Everything that the command field knows. A new command is added to one of these lists. Axes in its words stand as `withAxes` takes them. */
const all: readonly Command[] = [
  ...analysisCommands,
  ...geometryCommands,
  ...loadCommands,
  ...parameterCommands,
  ...pickingCommands,
  ...placingCommands,
  ...scheduleCommands,
  ...underlayCommands,
  ...viewCommands,
];

/** A command whose name and notation call axes as the reader does. What it says when it is run may hold names of the user's own. */
function named(command: Command, display: DisplayUnits): Command {
  const { name, notation } = command;
  return {
    ...command,
    name: withAxes(name, display),
    ...(notation !== undefined && { notation: withAxes(notation, display) }),
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
