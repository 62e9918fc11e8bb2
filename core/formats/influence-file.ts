import type { InfluenceFound } from '../influence/asked';
import { areasOf, extremesOfLine, lobesOf, valueOfPiece, zerosOf } from '../results/travelling/line';
import type { Path, Span } from '../results/travelling/path';
import { placeOnMember } from '../results/travelling/place';
import { dimensionOf, writeEffect } from '../influence/read-effect';
import type { Axles } from '../model/train';
import { worstOf, type Standing } from '../results/travelling/worst';
import type { Structure } from '../stiffness/structure';

export interface InfluenceFileOptions {
  /** Evenly spaced points of each piece, both ends included. */
  readonly stations: number;
  readonly train?: Axles;
}

/** The value of a load of 1 N, in SI; what a train brings about is in N, N·m, m or rad itself. */
const UNITS = { force: 'N/N', moment: 'N·m/N', length: 'm/N', turn: 'rad/N' };

/** JSON has no −0 that anyone would want to read. */
const plain = (value: number): number => value + 0;

/** The contents of an influence file: the line as pieces and stations, its extremes, zeros and areas, and where a train is worst. */
export function influenceFile(s: Structure, { effect, path, line }: InfluenceFound, options: InfluenceFileOptions) {
  const { max, min } = extremesOfLine(line);
  const { above, below } = areasOf(line);
  const worst = options.train && worstOf(line, options.train);
  const standing = (one: Standing) => ({
    value: plain(one.value),
    ...(one.value !== 0 && { way: one.way }),
    axles: one.axles.filter((at) => at >= 0 && at <= path.length).map((at) => ({ s: plain(at), ...placeAt(s, path, at) })),
  });
  return {
    format: 'rigid-beam/influence',
    version: 1,
    of: writeEffect(effect, s),
    unit: UNITS[dimensionOf(effect)],
    direction: [...path.direction].map(plain),
    path: path.spans.map((span) => ({ ...nameOfSpan(s, span), from: span.from, to: span.to })),
    pieces: line.pieces.map(({ from, to, coefficients }) => ({ from, to, coefficients: [...coefficients].map(plain) })),
    stations: line.pieces.flatMap((piece) =>
      Array.from({ length: options.stations }, (_, i) => {
        const at = i === options.stations - 1 ? piece.to : piece.from + ((piece.to - piece.from) * i) / (options.stations - 1);
        return { s: at, ...placeAt(s, path, at, (piece.from + piece.to) / 2), value: plain(valueOfPiece(piece, at)) };
      }),
    ),
    max: { s: max.s, ...placeAt(s, path, max.s), value: plain(max.value) },
    min: { s: min.s, ...placeAt(s, path, min.s), value: plain(min.value) },
    zeros: zerosOf(line).map((at) => ({ s: at, ...placeAt(s, path, at) })),
    areas: { above, below: plain(below), stretches: lobesOf(line) },
    ...(worst && { train: { max: standing(worst.max), min: standing(worst.min) } }),
  };
}

function nameOfSpan({ names }: Structure, span: Span): object {
  if (span.kind === 'member') return { member: names.members[span.member]!, way: span.way };
  if (span.kind === 'nodes') return { nodes: span.nodes.map((node) => names.nodes[node]!) };
  return { joint: true };
}

/** On which member a place of the path lies, and how far from its start; nothing where it lies on none. */
function placeAt({ names }: Structure, path: Path, at: number, among = at): object {
  const on = placeOnMember(path, at, among);
  return on ? { member: names.members[on.member]!, x: on.x } : {};
}
