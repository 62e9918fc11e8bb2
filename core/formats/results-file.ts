import { isRange, readOutcome } from '../combinations/outcome';
import type { RemediedMechanism } from '../analysis/remedies';
import { diagramOf } from '../results/diagram';
import { governing } from '../results/envelope';
import { enveloped, nodalRange, nodalTrains, type Governed } from '../results/nodal-range';
import { freedoms, nodalForces } from '../model/freedoms';
import { isPlane } from '../stiffness/structure';
import { Entries, jsonParts } from './json-parts';
import type { Extreme } from '../results/extreme';
import type { Range } from '../results/curve-points';
import { memberReader, quantityExtremes } from '../results/read-quantity';
import {
  derivedQuantities,
  isDisplacement,
  isLine,
  lineQuantities,
  quantityTable,
  type LineQuantity,
} from '../results/quantities';
import { isReadByPlace, nodalAt, partsOf, valueIn } from '../results/read';
import { responseOf } from '../results/sums';
import { inflectionPoints, zeroPoints } from '../results/zeros';
import type { Resultant, Results, Solution } from '../results/results';
import type { StandingTrain } from '../results/travelling/trains-at';
import { trainsFor } from '../results/travelling/where';

const FORCE_QUANTITIES = lineQuantities.filter((quantity) => !isDisplacement(quantity));
type Value =
  | number
  | { max: number; min: number; maxFrom: string; minFrom: string; maxTrains?: unknown[]; minTrains?: unknown[] };

export interface ResultsFileOptions {
  /** Evenly spaced points along each member, both ends included. */
  readonly stations: number;
  /** Ids of the cases and combinations to write; all of them when absent. */
  readonly only?: readonly string[];
  /** Which run they are of, where it is not the first order. */
  readonly run?: string;
  /** The mechanisms with the remedies that were sought for them. */
  readonly remedied?: readonly RemediedMechanism[];
}

/** The text of a results file, in parts. SI, signs as in the model format. */
export function* resultsFile(results: Results, options: ResultsFileOptions): Generator<string> {
  yield* jsonParts(contents(results, options));
  yield '\n';
}

function contents(results: Results, options: ResultsFileOptions): Record<string, unknown> {
  const { status, notices, mechanisms, solution } = results;
  const told = options.remedied ?? mechanisms.map((mechanism) => ({ ...mechanism, remedies: [] }));
  const head = {
    format: 'rigid-beam/results',
    version: 1,
    ...(options.run && { run: options.run }),
    status,
    notices,
    ...(told.length > 0 && { mechanisms: told }),
  };
  if (!solution) return head;
  const wanted = options.only && new Set(options.only);
  const entries = function* (): Generator<readonly [string, unknown]> {
    for (const [i, one] of solution.outcomes.entries())
      if (!wanted || wanted.has(one.id))
        yield [one.id, isRange(one) ? envelopeEntry(solution, i, options.stations) : valueEntry(solution, i, options.stations)];
  };
  return { ...head, digitsLost: Number(solution.digitsLost.toFixed(1)), results: new Entries(entries()) };
}

/** JSON has no −0 that anyone would want to read. */
const plain = (value: number): number => value + 0;

const vector = (keys: readonly string[], read: (k: number) => Value): Record<string, Value> =>
  Object.fromEntries(keys.map((key, k) => [key, read(k)]));

/** One reader serves both: a number where there is one value, the range with its governing parts where there are two. */
type Reader = (pick: (part: number) => number | Range) => Value;

function readerOf(solution: Solution, outcome: number): Reader {
  if (!isRange(solution.outcomes[outcome]!)) return (pick) => plain(pick(outcome) as number);
  const parts = partsOf(solution, outcome);
  return (pick) => rangeValue(solution, enveloped(parts, pick));
}

function rangeValue(solution: Solution, { max, min, maxFrom, minFrom }: Governed): Exclude<Value, number> {
  const name = (part: number): string => solution.outcomes[part]!.id;
  return { max: plain(max), min: plain(min), maxFrom: name(maxFrom), minFrom: name(minFrom) };
}

/** Where trains stand: metres along their runs, from the first axle to the last. */
const standing = (trains: readonly StandingTrain[]): unknown[] =>
  trains.map(({ travel, standing: { way, axles }, value }) => ({ load: travel.load, way, axles, value: plain(value) }));

function nodalValue(solution: Solution, outcome: number, key: 'displacements' | 'reactions', f: number): Value {
  if (!isRange(solution.outcomes[outcome]!)) return plain(nodalAt(solution, outcome, key, f));
  const range = nodalRange(solution, outcome, key, f);
  const [max, min] = [nodalTrains(solution, range.maxFrom, key, f)?.max, nodalTrains(solution, range.minFrom, key, f)?.min];
  return {
    ...rangeValue(solution, range),
    ...(max && { maxTrains: standing(max) }),
    ...(min && { minTrains: standing(min) }),
  };
}

function nodeEntries(solution: Solution, outcome: number): { readonly nodes: Entries; readonly reactions: Entries } {
  const { nodes } = solution.structure.names;
  const values = (keys: readonly string[], key: 'displacements' | 'reactions', i: number): Record<string, Value> =>
    vector(keys, (k) => nodalValue(solution, outcome, key, 6 * i + k));
  return {
    nodes: entriesOf(nodes, (i) => values(freedoms, 'displacements', i)),
    reactions: entriesOf(nodes, (i) => (solution.supported[i] ? values(nodalForces, 'reactions', i) : undefined)),
  };
}

/** By name, in their order, as they are asked for; those without a value are left out. */
const entriesOf = (names: readonly string[], value: (i: number) => unknown): Entries =>
  new Entries(
    (function* (): Generator<readonly [string, unknown]> {
      for (const [i, id] of names.entries()) {
        const found = value(i);
        if (found !== undefined) yield [id, found];
      }
    })(),
  );

function stationEntries(solution: Solution, m: number, count: number, outcome: number): unknown[] {
  const L = solution.structure.lengths[m]!;
  const read = readerOf(solution, outcome);
  const readers = new Map(partsOf(solution, outcome).map((part) => [part, valueReader(solution, part, m)]));
  return Array.from({ length: count }, (_, i) => {
    const x = count === 1 ? 0 : (i / (count - 1)) * L;
    const values = lineQuantities.map((quantity): [string, Value] => [quantity, read((part) => readers.get(part)!(quantity, x))]);
    return { x, ...Object.fromEntries(values) };
  });
}

/** Of one value, or of a range where trains travel. */
function valueReader(solution: Solution, part: number, m: number): (quantity: LineQuantity, x: number) => number | Range {
  if (isReadByPlace(solution, part)) {
    const reader = memberReader(solution, part, m);
    return (quantity, x) => reader.at(quantity, x)!;
  }
  const diagram = diagramOf(solution, part, m);
  return (quantity, x) => valueIn(diagram, quantity, x);
}

function extremeEntries(solution: Solution, outcome: number, m: number): Record<string, unknown> {
  const isEnvelope = isRange(solution.outcomes[outcome]!);
  return Object.fromEntries(
    [...lineQuantities, ...derivedQuantities.filter((one) => quantityTable[one].inPlane || !isPlane(solution.structure))].flatMap(
      (quantity) => {
        const known = quantityExtremes(solution, outcome, m, quantity);
        if (!known) return [];
        const { max, min } = known;
        const entry = ({ x, value, from }: Extreme, side: 1 | -1): unknown => {
          const trains = isLine(quantity) ? trainsFor(solution, from, { m, quantity, x }, side) : [];
          return {
            x,
            value: plain(value),
            ...(isEnvelope && { from: solution.outcomes[from]!.id }),
            ...(trains.length > 0 && { trains: standing(trains) }),
          };
        };
        return [[quantity, { max: entry(max, 1), min: entry(min, -1) }]];
      },
    ),
  );
}

/** By quantity and side: the stretches of a member, metres from its start, on which one case or sum governs. */
function governingEntries(solution: Solution, parts: readonly number[], m: number): Record<string, unknown> {
  const stretches = (quantity: LineQuantity, side: 1 | -1): unknown[] => {
    const found: { from: number; to: number; by: string }[] = [];
    for (const { from, to, outcome } of governing(solution, parts, m, quantity, side)) {
      const by = solution.outcomes[outcome]!.id;
      const last = found.at(-1);
      if (last?.by === by) last.to = to;
      else found.push({ from, to, by });
    }
    return found;
  };
  return Object.fromEntries(
    lineQuantities.map((quantity) => [quantity, { max: stretches(quantity, 1), min: stretches(quantity, -1) }]),
  );
}

const resultant = (parts: Resultant): Record<string, number> =>
  Object.fromEntries(nodalForces.map((key, k) => [key, plain(parts[k]!)]));

function valueEntry(solution: Solution, outcome: number, stations: number): Record<string, unknown> {
  const response = responseOf(solution, outcome)!;
  const members = entriesOf(solution.structure.names.members, (m) => {
    const diagram = diagramOf(solution, outcome, m);
    const end = (first: number): Record<string, Value> => vector(nodalForces, (k) => plain(response.ends[12 * m + first + k]!));
    return {
      length: solution.structure.lengths[m],
      ends: { start: end(0), end: end(6) },
      stations: stationEntries(solution, m, stations, outcome),
      extremes: extremeEntries(solution, outcome, m),
      zeros: Object.fromEntries(FORCE_QUANTITIES.map((quantity) => [quantity, zeroPoints(diagram, quantity)])),
      inflections: { v: inflectionPoints(diagram, 'v'), w: inflectionPoints(diagram, 'w') },
    };
  });
  const { applied, reactions, residual, solutionResidual, jointResidual } = response.equilibrium;
  const none = (): Record<string, unknown> => ({});
  return {
    ...readOutcome(solution.outcomes[outcome]!, {
      solved: none,
      superposed: none,
      travelling: none,
      spectral: none,
      envelope: none,
      shape: ({ measure, value, swing }) =>
        measure === 'factor'
          ? { criticalFactor: value }
          : {
              frequency: value,
              period: 1 / value,
              ...(swing && { generalisedMass: swing.generalised, factors: swing.factors, masses: swing.masses }),
            },
    }),
    ...slackIn(solution, outcome),
    ...nodeEntries(solution, outcome),
    members,
    equilibrium: { applied: resultant(applied), reactions: resultant(reactions), residual, solutionResidual, jointResidual },
  };
}

/** The members that act one way and are slack, the supports that push one way and are lifted off, and the joints that are within their gaps. */
function slackIn({ letGo, structure }: Solution, outcome: number): Record<string, unknown> {
  const found = letGo?.[outcome];
  if (!found) return {};
  const { members, nodes } = structure.names;
  return {
    slack: found.slack.map((m) => members[m]!),
    lifted: found.lifted.map(({ node, along }) => ({ node: nodes[node]!, along })),
    ...(found.open.length > 0 && { open: found.open.map((one) => ({ ...one, member: members[one.member]! })) }),
  };
}

function envelopeEntry(solution: Solution, outcome: number, stations: number): Record<string, unknown> {
  const parts = partsOf(solution, outcome);
  const isByStretches = !isReadByPlace(solution, outcome);
  const members = entriesOf(solution.structure.names.members, (m) => ({
    stations: stationEntries(solution, m, stations, outcome),
    extremes: extremeEntries(solution, outcome, m),
    ...(isByStretches && { governing: governingEntries(solution, parts, m) }),
  }));
  return { envelope: true, ...nodeEntries(solution, outcome), members };
}
