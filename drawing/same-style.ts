import type { Path } from './display-list';

/**
 * Whether two paths that follow each other can be painted as one. Areas that let something through would show where they overlap; they are
 * painted one by one, but for the dots of nodes.
 */
export const sameStyle = (a: Path, b: Path): boolean =>
  a.stroke === b.stroke &&
  a.fill === b.fill &&
  a.width === b.width &&
  a.opacity === b.opacity &&
  !(a.fill && a.opacity !== undefined && !(isDot(a) && isDot(b))) &&
  !(a.fill && a.stroke) &&
  (a.dash === b.dash || (a.dash?.join() ?? '') === (b.dash?.join() ?? ''));

const isDot = ({ subject, stroke }: Path): boolean => subject?.kind === 'node' && stroke === undefined;
