import { capital } from '@rigid-beam/core/capital';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { inUnit, showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import type { CurvePoint } from '@rigid-beam/core/results/curve-points';
import type { Extremes } from '@rigid-beam/core/results/extreme';
import { nameOf, symbolOf, unitOfQuantity } from '@rigid-beam/core/results/quantities';
import { quietValue } from '@rigid-beam/core/results/noise';
import { memberReader } from '@rigid-beam/core/results/read-quantity';
import type { Solution } from '@rigid-beam/core/results/results';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { drawnSide, inkOf } from '../diagram-items';
import type { PaperInks } from '../paper/asked';
import { colourOf } from '../paper/paint-sheet';
import type { Painter, WidthOf } from '../paper/painter';
import type { SheetQuantity } from '../view';
import { WIDE } from './flow';
import { line, type Picture } from './picture';
import { reportWords as WORDS } from './words';

/** Millimetres of a strip, of what is drawn in it, and of the axis under all of them. */
const STRIP = 24;
const CURVE = 15;
const AXIS = 8;
/** Beside the strips stand their names. */
const LEFT = 32;
const RIGHT = 6;
const LETTERS = 2.6;

interface ChartAsked {
  readonly solution: Solution;
  readonly outcome: number;
  readonly member: number;
  readonly quantities: readonly SheetQuantity[];
  readonly display: DisplayUnits;
  readonly inks: PaperInks;
  readonly widthOf: WidthOf;
}

interface Strip {
  readonly quantity: SheetQuantity;
  readonly points: readonly CurvePoint[];
  readonly extremes: Extremes;
}

/** Quantities along a member over one axis, each to its own scale, with its extremes, those that are not zero all along; nothing where none of them is known. */
export function chartPicture({
  solution,
  outcome,
  member: m,
  quantities,
  display,
  inks,
  widthOf,
}: ChartAsked): Picture | undefined {
  const { structure } = solution;
  const reader = memberReader(solution, outcome, m);
  const strips = quantities.flatMap((quantity): Strip[] => {
    const points = reader.curve(quantity);
    const extremes = reader.extremes(quantity);
    if (!points || !extremes) return [];
    const isNothing = [extremes.max, extremes.min].every(({ value }) => quietValue(solution, outcome, quantity, value) === 0);
    return isNothing ? [] : [{ quantity, points, extremes }];
  });
  if (strips.length === 0) return undefined;
  const length = structure.lengths[m]!;
  const size = { width: WIDE, height: strips.length * STRIP + AXIS };
  const x = (along: number): number => LEFT + (along / length) * (WIDE - LEFT - RIGHT);
  const paint = (painter: Painter): void => {
    strips.forEach((strip, i) => paintStrip(painter, strip, i * STRIP + STRIP / 2));
    const at = strips.length * STRIP + 1;
    line(painter, [[x(0), at], [x(length), at]], { stroke: '#000000', width: 0.2 }); // oxfmt-ignore
    const nodes = [0, 1].map((end) => structure.names.nodes[structure.memberNodes[2 * m + end]!]!);
    [0, 0.25, 0.5, 0.75, 1].forEach((part) => {
      const along = part * length;
      line(painter, [[x(along), at], [x(along), at + 1]], { stroke: '#000000', width: 0.2 }); // oxfmt-ignore
      const place = part === 0.5 ? showQuantity(along, display.length) : showNumber(inUnit(along, display.length));
      const node = part === 0 ? ` (${WORDS.node(nodes[0]!)})` : part === 1 ? ` (${WORDS.node(nodes[1]!)})` : '';
      painter.text({
        text: place + node,
        x: x(along),
        y: at + 3.4,
        size: LETTERS,
        weight: 'regular',
        colour: '#000000',
        at: 'middle',
      });
    });
  };
  const paintStrip = (painter: Painter, { quantity, points, extremes }: Strip, middle: number): void => {
    const { max, min } = extremes;
    const unit = unitOfQuantity(quantity, display);
    const quiet = (value: number): number => quietValue(solution, outcome, quantity, value);
    // As high as its place, with zero where it is.
    const [top, low] = [Math.max(0, quiet(max.value)), Math.min(0, quiet(min.value))];
    const side = drawnSide({ quantity, face: 'tension' });
    const scale = top > low ? CURVE / (top - low) : 0;
    const base = middle + (side > 0 ? scale * (top + low) : -scale * (top + low)) / 2;
    const y = (value: number): number => base - side * scale * quiet(value);
    const colour = colourOf(inkOf(quantity, Math.abs(max.value) >= Math.abs(min.value) ? max.value : min.value), { inks });
    const name = capital(nameOf(structure, quantity, display));
    painter.text({ text: `${symbolOf(isPlane(structure) ? 'plane' : 'space', quantity, display)} (${unit})`, x: 0, y: middle - 1.8, size: 3, weight: 'strong', colour: '#000000', at: 'start' }); // oxfmt-ignore
    const wide = widthOf(name, 'regular') * LETTERS;
    painter.text({ text: name, x: 0, y: middle + 2, size: wide > LEFT - 3 ? (LETTERS * (LEFT - 3)) / wide : LETTERS, weight: 'regular', colour: '#555555', at: 'start' }); // oxfmt-ignore
    const isBand = points.some((point) => Math.abs(y(point.max) - y(point.min)) > 0.01);
    const bounds = isBand ? (['max', 'min'] as const) : (['max'] as const);
    for (const bound of bounds) {
      const curve = points.map((point): [number, number] => [x(point.x), y(point[bound])]);
      painter.path(
        (pen) => {
          pen.moveTo(x(0), base);
          for (const [px, py] of curve) pen.lineTo(px, py);
          pen.lineTo(x(length), base);
          pen.closePath();
        },
        { fill: colour, opacity: 0.12 },
      );
      line(painter, [[x(0), base], ...curve, [x(length), base]], { stroke: colour, width: 0.35 });
    }
    line(painter, [[x(0), base], [x(length), base]], { stroke: '#000000', width: 0.25 }); // oxfmt-ignore
    const told = new Set<string>();
    for (const { x: along, value } of [max, min]) {
      const text = showNumber(inUnit(quiet(value), unit));
      const key = `${text} ${along.toFixed(4)}`;
      if (told.has(key) || (text === '0' && told.size > 0)) continue;
      told.add(key);
      const wide = widthOf(text, 'strong') * LETTERS;
      // Beside the end of the member its value stands off the line that closes the diagram.
      const px = Math.min(Math.max(x(along), x(0) + wide / 2 + 0.8), x(length) - wide / 2 - 0.8);
      // Of a band on one side of the axis the lesser value stands within it.
      const other = value === max.value ? min.value : max.value;
      const isInner = value * other > 0 && Math.abs(value) < Math.abs(other);
      const isBelow = y(value) > base || (y(value) === base && side * value < 0);
      const py = y(value) + (isBelow !== isInner ? 2.2 : -2.2);
      painter.text({ text, x: px, y: py, size: LETTERS, weight: 'strong', colour, at: 'middle' });
    }
  };
  return { size, paint };
}
