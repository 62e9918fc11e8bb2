import { once } from '../../once';
import type { OutlineCorner, SectionPart } from '../../shapes/shape';
import { MOST_PIECES } from '../mesh/mesh';
import type { Corner } from '../../shapes/kind';
import { edgesOf, pointsOf, reachAt } from '../path';
import { dimensionsFault, kindOf, sizeFault } from '../../shapes/dimensions';
import { boundaryPieces } from './properties';
import { cornerOf, linesOfPart } from './lines';
import { sense, trouble } from './soundness';

/** Corners of all lines of a section together. */
const MOST_POINTS = 2000;

/** What makes parts no section: where (`parts[0].outline[2]`), what, and what to do about it. */
export interface Trouble {
  readonly code: string;
  readonly path: string;
  readonly value: unknown;
  readonly what: string;
  readonly expected: string;
  readonly remedy: string;
}

/** Everything that is wrong with the parts of a built section, each by itself first, then together; empty where they are sound. */
export const troublesOf = once((parts: readonly SectionPart[]): readonly Trouble[] => {
  const single = parts.flatMap((part, i) => troublesOfPart(part, `parts[${i}]`));
  return single.length > 0 ? single : troublesTogether(parts);
});

function troublesTogether(parts: readonly SectionPart[]): readonly Trouble[] {
  if (parts.length === 0)
    return [
      {
        ...{ code: 'missing', path: 'parts', value: undefined, what: 'There is nothing that the section is made of' },
        ...{ expected: 'at least one part', remedy: 'Add a plate, a shape or an outline' },
      },
    ];
  const lines = parts.map(linesOfPart);
  const count = lines.flat(2).length;
  if (count > MOST_POINTS)
    return [
      {
        ...{ code: 'too-large', path: 'parts', value: `${count} corners`, what: 'The section has too many corners' },
        ...{ expected: `at most ${MOST_POINTS} together`, remedy: 'Leave out corners that change nothing' },
      },
    ];
  const what = trouble(lines.map((loops) => loops.map((line) => pointsOf(edgesOf(line)))));
  const pieces = what === undefined ? boundaryPieces(lines.flat()) : 0;
  if (pieces > MOST_PIECES)
    return [
      {
        ...{
          code: 'too-thin',
          path: 'parts',
          value: `${Math.round(pieces)} pieces`,
          what: 'The section is too thin for its length',
        },
        ...{
          expected: `at most ${MOST_PIECES} pieces of its edge as short as it is thin`,
          remedy: 'Make it thicker, or give its properties',
        },
      },
    ];
  if (what === undefined) return [];
  return [
    {
      ...{ code: 'bad-outline', path: 'parts', value: undefined, what: `This is no section: ${what}` },
      ...{ expected: 'lines that do not cross, and parts that touch at most', remedy: 'Correct the corners, or move the parts' },
    },
  ];
}

function troublesOfPart({ shape, catalogue, outline, holes }: SectionPart, path: string): Trouble[] {
  const kinds = [shape ? 'shape' : catalogue && 'catalogue', outline && 'outline'].filter((key) => key !== undefined);
  if (kinds.length !== 1)
    return [
      {
        ...{ code: 'missing', path, value: kinds.join(', ') || undefined },
        what: kinds.length === 0 ? 'This part has no shape' : 'This part has more than one shape',
        ...{ expected: 'one of catalogue, shape and outline', remedy: 'Give exactly one of them' },
      },
    ];
  if (shape) {
    const fault = kindOf(shape) ? dimensionsFault(shape) : 'it has no outline of its own';
    if (fault === undefined) return [];
    return [
      {
        ...{ code: 'bad-shape', path: `${path}.shape`, value: shape, what: `This shape cannot be built: ${fault}` },
        ...{ expected: 'dimensions that fit together', remedy: 'Correct the dimensions' },
      },
    ];
  }
  if (!outline)
    return [
      {
        ...{ code: 'only-named', path: `${path}.catalogue`, value: catalogue, what: 'This part is only called by a designation' },
        ...{ expected: 'the shape that it stands for', remedy: 'Choose it from the catalogue again' },
      },
    ];
  return [
    ...troublesOfLine(outline, `${path}.outline`),
    ...(holes ?? []).flatMap((hole, i) => troublesOfLine(hole, `${path}.holes[${i}]`)),
  ];
}

/** What is wrong with a line of corners by itself. */
function troublesOfLine(line: readonly OutlineCorner[], path: string): Trouble[] {
  const corners = line.map(cornerOf);
  const count = corners.length;
  const bad = (what: string, remedy: string, corner?: number): Trouble[] => [
    {
      ...{ code: 'bad-outline', path: corner === undefined ? path : `${path}[${corner}]`, what, remedy },
      value: corner === undefined ? undefined : line[corner],
      expected: 'corners that lie apart and go round an area, with radii that fit between them',
    },
  ];
  if (count < 3) return bad('A closed line has at least three corners', 'Add a corner');
  const range = (of: (corner: Corner) => number): number => Math.max(...corners.map(of)) - Math.min(...corners.map(of));
  const extent = Math.max(
    range(({ z }) => z),
    range(({ y }) => y),
  );
  const size = sizeFault('this line', extent);
  if (size !== undefined) return bad(`${size.charAt(0).toUpperCase()}${size.slice(1)}`, 'Check the unit of the corners');
  const length = (i: number): number =>
    Math.hypot(corners[(i + 1) % count]!.z - corners[i]!.z, corners[(i + 1) % count]!.y - corners[i]!.y);
  for (let i = 0; i < count; i++)
    if (!(length(i) > 1e-7 * extent)) return bad('This corner lies on the next', 'Remove one of the two', i);
  const [first] = corners;
  if (!(Math.abs(sense(corners.flatMap(({ z, y }) => [z - first!.z, y - first!.y]))) > 1e-9 * extent * extent))
    return bad('This line encloses nothing', 'Check the corners');
  for (let i = 0; i < count; i++) {
    const taken = reachAt(corners, i) + reachAt(corners, (i + 1) % count);
    if (taken > length(i) * (1 + 1e-9)) return bad('The radius does not fit beside the next corner', 'Enter a smaller one', i);
  }
  return [];
}
