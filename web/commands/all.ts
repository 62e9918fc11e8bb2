import type { Command } from './command';
import { geometryCommands } from './geometry-commands';
import { loadCommands } from './load-commands';
import { pickingCommands } from './picking-commands';
import { placingCommands } from './placing-commands';
import { scheduleCommands } from './schedule-commands';
import { underlayCommands } from './underlay-commands';
import { viewCommands } from './view-commands';

/** Everything that the command field knows. A new command is added to one of these lists. */
export const commands: readonly Command[] = [
  ...geometryCommands,
  ...loadCommands,
  ...pickingCommands,
  ...placingCommands,
  ...scheduleCommands,
  ...underlayCommands,
  ...viewCommands,
];
