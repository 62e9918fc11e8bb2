import { fault, type Notice } from './notice';

/** Where it was asked for. */
type Asked = 'effect' | 'path';

/** That a node or a member is asked for that is not there; `known`: those that are. */
export const unknown = (
  what: 'node' | 'member',
  id: string,
  known: readonly string[],
  asked: { in: Asked; as: string },
): Notice =>
  fault({
    code: `unknown-${what}`,
    path: asked.in,
    value: asked.as,
    what: `There is no ${what} “${id}”`,
    expected: `an id of a ${what}`,
    remedy: `Name a ${what} of the model, such as ${known.slice(0, 5).join(', ')}`,
  });
