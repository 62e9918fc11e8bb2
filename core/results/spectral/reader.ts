import { countingCases } from '../../combinations/counting-cases';
import type { Spectral } from '../../combinations/outcome';
import { addTimes } from '../../linear-algebra/vectors';
import { once } from '../../once';
import { commonCuts } from '../breakpoints';
import { diagramOver, type Diagram } from '../diagram';
import { piecewiseReader, valueAtEnd, type Measure, type PlaceReader } from '../piecewise-range';
import { evaluate } from '../polynomial';
import { degreeOf, isStored, offsetOf } from '../quantities';
import type { Solution } from '../results';
import { around } from './spread';

/** A stored quantity of a measure. */
interface Term {
  readonly factor: number;
  readonly offset: number;
  readonly degree: number;
}

/** Steps of a curve along a member, and on each piece at least: those of modes are short where they bend much. */
const STEPS = { member: 24, piece: 3 } as const;

/**
 * One member in a sum while the ground moves: what modes bring about at a place is put together there, from what stands under each root, so that a stress is that of
 * forces of one and the same mode. `outcome`: its place, by which extremes name it.
 */
export function spectralReader(solution: Solution, outcome: number, of: Spectral, m: number): PlaceReader {
  const { factors, modes, spreads } = of;
  const fixedParts = countingCases(factors).map((c) => ({ part: solution.responses[c]!, factor: factors[c]! }));
  const modeParts = modes.map((at) => ({ part: solution.responses[at]!, factor: 1 }));
  const length = solution.structure.lengths[m]!;
  const cuts = commonCuts(
    [...fixedParts, ...modeParts].map(({ part }) => part.pieces),
    m,
    length,
  );
  const { pieceWidth: width } = modeParts[0]!.part;
  const fixed = diagramOver(solution, fixedParts, m, { ...cuts, width });
  const shapes = modeParts.map((one) => diagramOver(solution, [one], m, { ...cuts, width }));
  // What stands under each root, as a diagram of its own.
  const reaching = spreads.map(({ factor, roots }) => ({ factor, roots: roots.map((root) => weighted(shapes, root)) }));
  const reach = (read: (root: Diagram) => number): number => {
    let sum = 0;
    for (const { factor, roots } of reaching) {
      let squares = 0;
      for (const root of roots) squares += read(root) ** 2;
      sum += factor * Math.sqrt(squares);
    }
    return sum;
  };
  const termsOf = once((measure: Measure) =>
    measure
      .filter(([quantity]) => isStored(width, quantity))
      .map(([quantity, factor]): Term => ({ factor, offset: offsetOf(quantity), degree: degreeOf(quantity) })),
  );
  return piecewiseReader({
    ...{ solution, outcome, m, pieces: fixed },
    rangeOn: (measure, k, x) => {
      const terms = termsOf(measure);
      const s = x - cuts.from[k]!;
      const value = (root: Diagram): number => {
        let sum = 0;
        for (const { factor, offset, degree } of terms)
          sum += factor * evaluate(root.coefficients, width * k + offset, degree, s);
        return sum;
      };
      return around(value(fixed), reach(value));
    },
    atEnd: (measure, side) =>
      around(
        valueAtEnd(fixed, measure, side),
        reach((root) => valueAtEnd(root, measure, side)),
      ),
    steps: (_, __, k) => {
      const steps = Math.max(STEPS.piece, Math.ceil((STEPS.member * (cuts.to[k]! - cuts.from[k]!)) / length));
      return { drawn: steps, sought: steps };
    },
  });
}

/** A weighted sum of diagrams over the same pieces. */
function weighted(all: readonly Diagram[], factors: Float64Array): Diagram {
  const [first] = all as [Diagram];
  const coefficients = new Float64Array(first.coefficients.length);
  const ends = new Float64Array(first.ends.length);
  all.forEach((one, i) => {
    const factor = factors[i]!;
    addTimes(coefficients, one.coefficients, factor);
    addTimes(ends, one.ends, factor);
  });
  return { ...first, coefficients, ends };
}
