import type { Envelope, Outcome, Shape, Spectral, Spread, Swing } from '../combinations/outcome';
import { sumText } from '../combinations/sum-text';
import type { Model } from '../model/model';
import type { Notice } from '../model/notice';
import { SPECTRUM_DAMPING, spectrumDirections, type SpectrumSettings } from '../model/spectrum-settings';
import { uniqueNames } from '../model/unique-names';
import { axisKeys, type AxisKey } from '../quantities/axis-names';
import { showNumber } from '../quantities/show';
import type { Solution } from '../results/results';
import { correlationOf, uncorrelated } from '../results/spectral/correlation';
import { accelerationAt, largestUpTo } from '../results/spectral/ground';
import { earthquake as WORDS } from './words';

/** So much of the mass that moves has to take part: EN 1998-1, 4.3.3.3.1 (3). */
const ENOUGH = 0.9;
/** Periods nearer to each other than this part depend on each other: EN 1998-1, 4.3.3.3.2 (2). */
const APART = 0.9;
/** What the other directions add to one that acts whole: EN 1998-1, 4.3.3.5.1 (3). */
const SHARE = 0.3;

interface Mode {
  /** Its place among the outcomes, and among the responses. */
  readonly outcome: number;
  readonly at: number;
  readonly frequency: number;
  readonly swing: Swing;
}

interface Found {
  readonly outcomes: readonly Outcome[];
  /** What an envelope encloses of them: all directions together, beside what acts. */
  readonly whole: readonly number[];
  readonly notices: readonly Notice[];
}

/**
 * What an earthquake brings about by the modes of a solution, as outcomes that stand behind all others: along each direction, along all of them together, and beside what acts
 * otherwise. None, and why, where the spectrum does not tell enough.
 */
export function earthquakeOf(model: Model, solution: Solution): Found {
  const settings = model.analysis?.naturalModes?.spectrum;
  const modes = modesIn(solution);
  if (!settings || modes.length === 0) return { outcomes: [], whole: [], notices: [] };
  const notices: Notice[] = [];
  const say = (message: string): void => void notices.push({ code: 'natural-modes', severity: 'warning', message, subjects: [] });
  const along = spectrumDirections(settings, model.space);
  const driven = along.map((axis) => modes.map((mode) => drivenBy(settings, axis, mode)));
  const untold = modes.findIndex((_, i) => driven.some((amplitudes) => amplitudes[i] === undefined));
  if (untold >= 0) {
    const { outcome, frequency } = modes[untold]!;
    say(WORDS.untold(solution.outcomes[outcome]!.id, showNumber(1 / frequency, 3), settings.table ? 'table' : 'elastic'));
    return { outcomes: [], whole: [], notices };
  }
  along.forEach((axis) => {
    const part = modes.reduce((sum, { swing }) => sum + swing.masses[placeOf(axis)], 0) / solution.masses!.moving[placeOf(axis)];
    if (part < ENOUGH) say(WORDS.tooFew(WORDS.directions[axis], Math.round(100 * part), modes.length));
  });
  if (settings.modes === 'srss') {
    const near = modes.findIndex(({ frequency }, i) => i > 0 && modes[i - 1]!.frequency / frequency > APART);
    if (near > 0) say(WORDS.near(near, near + 1));
  }
  const amplitudes = driven as readonly (readonly number[])[];
  const rests = restsOf(settings, along, modes, solution);
  const outcomes = named(model, solution, { settings, along, modes, amplitudes, rests });
  const last = outcomes.at(-1)!;
  const whole = last.kind === 'envelope' ? last.parts : [solution.outcomes.length + outcomes.length - 1];
  return { outcomes, whole, notices };
}

const placeOf = (axis: AxisKey): 0 | 1 | 2 => axisKeys.indexOf(axis) as 0 | 1 | 2;

const modesIn = ({ outcomes }: Solution): readonly Mode[] =>
  outcomes.flatMap((one, outcome): Mode[] =>
    one.kind === 'shape' && one.swing ? [{ outcome, at: one.at, frequency: (one as Shape).value, swing: one.swing }] : [],
  );

/** How far a mode goes whose largest movement is 1: Γ·S/ω². Undefined where the spectrum does not tell. */
function drivenBy(settings: SpectrumSettings, axis: AxisKey, { frequency, swing }: Mode): number | undefined {
  const acceleration = accelerationAt(settings, axis, 1 / frequency);
  return acceleration === undefined ? undefined : (swing.factors[placeOf(axis)] * acceleration) / (2 * Math.PI * frequency) ** 2;
}

interface Parts {
  readonly settings: SpectrumSettings;
  readonly along: readonly AxisKey[];
  readonly modes: readonly Mode[];
  /** By direction, by mode, how far it goes. */
  readonly amplitudes: readonly (readonly number[])[];
  /** By direction what modes leave out, if anything: where its response stands, and how strongly it is accelerated. */
  readonly rests: readonly (Rest | undefined)[];
}

interface Rest {
  readonly at: number;
  readonly acceleration: number;
}

/** What modes leave out is accelerated as quicker ones are at most. */
const restsOf = (
  settings: SpectrumSettings,
  along: readonly AxisKey[],
  modes: readonly Mode[],
  { masses }: Solution,
): Parts['rests'] =>
  along.map((axis) => {
    const rest = masses!.leftOut?.find((one) => one.axis === placeOf(axis));
    return rest && { at: rest.at, acceleration: largestUpTo(settings, axis, 1 / modes.at(-1)!.frequency)! };
  });

/** How far modes reach together whose squares add up over some directions: Σ ρᵢⱼ·(Σ aᵢ·aⱼ)·rᵢ·rⱼ as the sum of squares of what is not correlated. */
function spreadOf({ settings, modes, amplitudes: all, rests }: Parts, directions: readonly number[]): Spread {
  const amplitudes = directions.map((d) => all[d]!);
  const { modes: sum = 'cqc', damping = SPECTRUM_DAMPING } = settings;
  const product = (i: number, j: number): number => amplitudes.reduce((total, one) => total + one[i]! * one[j]!, 0);
  const sizes = modes.map((_, i) => Math.sqrt(product(i, i)));
  // What is not driven takes no part.
  const driven = sizes.flatMap((size, i) => (size > 0 ? [i] : []));
  const correlation = (i: number, j: number): number =>
    sum === 'srss'
      ? 0
      : (correlationOf(modes[i]!.frequency, modes[j]!.frequency, damping) * product(i, j)) / (sizes[i]! * sizes[j]!);
  const roots = uncorrelated(driven.map((i) => driven.map((j) => (i === j ? 1 : correlation(i, j)))));
  // Behind the modes what they leave out, by direction; it depends on none of them.
  const left = rests.flatMap((rest, d) => (rest ? [{ d, ...rest }] : []));
  const places = modes.length + left.length;
  const ofModes = roots.map((root) => {
    const whole = new Float64Array(places);
    driven.forEach((i, n) => (whole[i] = root[n]! * sizes[i]!));
    return whole;
  });
  const ofRests = left.flatMap(({ d, acceleration }, n) => {
    if (!directions.includes(d)) return [];
    const whole = new Float64Array(places);
    whole[modes.length + n] = acceleration;
    return [whole];
  });
  return { factor: 1, roots: [...ofModes, ...ofRests] };
}

function named(model: Model, solution: Solution, parts: Parts): Outcome[] {
  const { settings, along, modes, rests } = parts;
  const { beside = {}, sum = 'squares' } = settings;
  const spreads = along.map((_, d) => spreadOf(parts, [d]));
  const at = [...modes, ...rests.filter((one) => one !== undefined)].map((one) => one.at);
  const begin = solution.outcomes.length;
  const nameOf = uniqueNames(solution.outcomes.map(({ id }) => id));
  const found: Outcome[] = [];
  const nothing = new Float64Array(solution.responses.length);
  const factors = Object.keys(beside).length > 0 ? factorsOf(model, solution, beside) : undefined;
  const beginWith = (name: string): string => (factors ? WORDS.beside(name, sumText(beside)) : name);
  const add = (name: string, title: string, terms: readonly Spread[], fixed: Float64Array = nothing): number =>
    begin + found.push({ kind: 'spectral', id: nameOf(name), title, factors: fixed, modes: at, spreads: terms } satisfies Spectral) - 1; // oxfmt-ignore
  const envelope = (name: string, title: string, all: readonly number[]): void =>
    void found.push({ kind: 'envelope', id: nameOf(name), title, parts: all } satisfies Envelope);
  const words = along.map((axis) => WORDS.directions[axis]);
  words.forEach((direction, d) => add(WORDS.along(direction), '', [spreads[d]!]));
  const shared = (d: number): readonly Spread[] => spreads.map((one, i) => ({ ...one, factor: i === d ? 1 : SHARE }));
  const sharedName = (d: number): string => WORDS.along(words.map((one, i) => (i === d ? one : WORDS.share(one))).join(' + '));
  const rule = along.length === 1 ? '' : WORDS.sums[sum];
  const all = (fixed: Float64Array | undefined, called: (name: string) => string): void => {
    if (along.length === 1) {
      if (fixed) add(called(WORDS.along(words[0]!)), '', spreads, fixed);
    } else if (sum === 'squares') add(called(WORDS.whole), rule, [spreadOf(parts, [...along.keys()])], fixed);
    else envelope(called(WORDS.whole), rule, along.map((_, d) => add(called(sharedName(d)), '', shared(d), fixed))); // oxfmt-ignore
  };
  all(undefined, (name) => name);
  if (factors) all(factors, beginWith);
  return found;
}

/** Factors on the first order of the cases, by place among the responses. */
function factorsOf(model: Model, solution: Solution, beside: Readonly<Record<string, number>>): Float64Array {
  const factors = new Float64Array(solution.responses.length);
  model.cases.forEach(({ id }, c) => {
    const one = (solution.firstOrder ?? solution.outcomes)[c]!;
    if (one.kind === 'solved') factors[one.at] = beside[id] ?? 0;
  });
  return factors;
}
