import { actingCases, isRange } from '../combinations/outcome';
import { isPlane, LINE_WIDTH, POINT_WIDTH, STIFFNESS_WIDTH } from '../stiffness/structure';
import { diagramOf } from './diagram';
import { extremesIn } from './extremes';
import { ownDeflection } from './own-deflection';
import { valueIn } from './read';
import type { Solution } from './results';

/** How a beam of the textbook is held: at both ends simply or fast, fast at its start or end alone, or fast at one and free at the other. */
export type Held = 'simple' | 'fixed' | 'fixed at the start' | 'fixed at the end' | 'free at the end' | 'free at the start';

/** What lies on a member across its axis y: evenly over all of it, rising from nothing to one end, or one force. N/m and N, along y. */
export type HandLoad =
  | { readonly kind: 'uniform'; readonly w: number }
  | { readonly kind: 'triangular'; readonly w: number; readonly full: 'start' | 'end' }
  | { readonly kind: 'point'; readonly P: number; readonly a: number };

/** A formula of the textbook, its value, and the one that was solved. N·m, and metres of the deflection from the line between the ends. */
export interface HandValue {
  readonly what: 'moment in the span' | 'moment at the start' | 'moment at the end' | 'deflection';
  readonly formula: string;
  readonly byHand: number;
  readonly solved: number;
}

export interface HandCheck {
  readonly held: Held;
  readonly load: HandLoad;
  readonly values: readonly HandValue[];
  /** How much of the moment of such a beam’s fast end there is at the start and the end, 1 for all of it; undefined at a free end. */
  readonly fixity: { readonly start: number | undefined; readonly end: number | undefined };
}

/** A part of the largest load under which another one is none. */
const NOTHING = 1e-6;
/** Fixity from which an end that is not quite one or the other counts as fast. */
const HALF = 0.5;

/**
 * The textbook beam that is nearest to member m in a case or sum of it, with its formulas: one load that the books have, in the plane x–y. Undefined where no
 * formula fits: other loads, loads along z as well, or no bending. Sources: the tables of simple beams in any book of statics; each is held
 * against the solver in the tests.
 */
export function handCheck(solution: Solution, outcome: number, m: number): HandCheck | undefined {
  if (isRange(solution.outcomes[outcome]!)) return undefined;
  const load = loadOn(solution, outcome, m);
  if (!load) return undefined;
  const { structure } = solution;
  const L = structure.lengths[m]!;
  const diagram = diagramOf(solution, outcome, m);
  const [start, end] = [valueIn(diagram, 'Mz', 0), valueIn(diagram, 'Mz', L)];
  const fast = fastMoments(load, L);
  const [freeStart, freeEnd] = [0, 1].map((side) => isFree(solution, m, side as 0 | 1)) as [boolean, boolean];
  const both = { start: freeStart ? undefined : start / fast.start, end: freeEnd ? undefined : end / fast.end };
  const held = heldBy(both, { start, end }, load, L);
  // Of a beam that is fast at one end alone that end carries more.
  const fixity = {
    start: held === 'fixed at the start' ? start / proppedMoment(load, L, 'start') : both.start,
    end: held === 'fixed at the end' ? end / proppedMoment(load, L, 'end') : both.end,
  };
  const EI = structure.stiffnesses[STIFFNESS_WIDTH * m + 2]!;
  const values = formulasOf(held, load, L, EI).map(({ what, formula, value }): HandValue => ({
    what,
    formula,
    byHand: value,
    solved: solvedOf(what, solution, outcome, m),
  }));
  return { held, load, values, fixity };
}

function solvedOf(what: HandValue['what'], solution: Solution, outcome: number, m: number): number {
  const diagram = diagramOf(solution, outcome, m);
  switch (what) {
    case 'moment at the start':
      return valueIn(diagram, 'Mz', 0);
    case 'moment at the end':
      return valueIn(diagram, 'Mz', diagram.length);
    case 'moment in the span': {
      const { max, min } = extremesIn(diagram, 'Mz', outcome);
      // That which the ends do not have: sagging under what acts downwards.
      const [a, b] = [valueIn(diagram, 'Mz', 0), valueIn(diagram, 'Mz', diagram.length)];
      const off = (value: number): number => Math.min(Math.abs(value - a), Math.abs(value - b));
      return off(max.value) >= off(min.value) ? max.value : min.value;
    }
    case 'deflection':
      return ownDeflection(solution, outcome, m)?.size ?? 0;
  }
}

/** Whether nothing holds an end: neither a support nor another member. */
function isFree({ structure, supported }: Solution, m: number, side: 0 | 1): boolean {
  const node = structure.memberNodes[2 * m + side]!;
  return supported[node] !== 1 && structure.memberNodes.reduce((sum, one) => sum + (one === node ? 1 : 0), 0) === 1;
}

/** All that lies on a member in an outcome, where it is one load of the books. */
function loadOn({ structure, outcomes }: Solution, outcome: number, m: number): HandLoad | undefined {
  const factors = new Map(actingCases(outcomes[outcome]!));
  const L = structure.lengths[m]!;
  // Of every load its intensity at both ends, along y; and forces by their place.
  let [first, last, size, other] = [0, 0, 0, 0];
  const { lineLoads, pointLoads } = structure;
  for (let i = lineLoads.first[m]!; i < lineLoads.first[m + 1]!; i++) {
    const factor = factors.get(lineLoads.cases[i]!) ?? 0;
    const [a, b, , , qa, qb, za, zb] = lineLoads.values.subarray(LINE_WIDTH * i, LINE_WIDTH * (i + 1)) as unknown as number[];
    if (factor === 0) continue;
    if (a! > NOTHING * L || b! < L * (1 - NOTHING)) {
      if (qa !== 0 || qb !== 0) return undefined;
      continue;
    }
    first += factor * qa!;
    last += factor * qb!;
    size = Math.max(size, Math.abs(factor * qa!), Math.abs(factor * qb!));
    other = Math.max(other, Math.abs(factor * za!), Math.abs(factor * zb!));
  }
  const points = new Map<number, number>();
  for (let i = pointLoads.first[m]!; i < pointLoads.first[m + 1]!; i++) {
    const factor = factors.get(pointLoads.cases[i]!) ?? 0;
    const [x, , fy, fz, mx, my, mz] = pointLoads.values.subarray(POINT_WIDTH * i, POINT_WIDTH * (i + 1)) as unknown as number[];
    if (factor === 0) continue;
    if (mx !== 0 || my !== 0 || mz !== 0) return undefined;
    other = Math.max(other, Math.abs(factor * fz!) / L);
    if (fy !== 0) points.set(x!, (points.get(x!) ?? 0) + factor * fy!);
  }
  const forces = [...points].filter(([x, force]) => force !== 0 && x > NOTHING * L && x < L * (1 - NOTHING));
  const largest = Math.max(Math.abs(first), Math.abs(last), ...forces.map(([, force]) => Math.abs(force) / L));
  // What lies along z bends the other way, which the formulas leave out; loads that cancel each other leave nothing to check.
  if (!(largest > NOTHING * size) || (!isPlane(structure) && other > NOTHING * largest)) return undefined;
  const isLoaded = Math.max(Math.abs(first), Math.abs(last)) > NOTHING * largest;
  if (forces.length === 1 && !isLoaded) return { kind: 'point', P: forces[0]![1], a: forces[0]![0] };
  if (forces.length > 0 || !isLoaded) return undefined;
  if (Math.abs(first - last) <= NOTHING * largest) return { kind: 'uniform', w: first };
  if (Math.abs(first) <= NOTHING * largest) return { kind: 'triangular', w: last, full: 'end' };
  return Math.abs(last) <= NOTHING * largest ? { kind: 'triangular', w: first, full: 'start' } : undefined;
}

/** Moments at the ends of a beam that is fast at both. A load along +y makes them positive: it pulls the −y face there. */
function fastMoments(load: HandLoad, L: number): { readonly start: number; readonly end: number } {
  switch (load.kind) {
    case 'uniform':
      return { start: (load.w * L * L) / 12, end: (load.w * L * L) / 12 };
    case 'triangular': {
      const [near, far] = [(load.w * L * L) / 20, (load.w * L * L) / 30];
      return load.full === 'start' ? { start: near, end: far } : { start: far, end: near };
    }
    case 'point': {
      const [a, b] = [load.a, L - load.a];
      return { start: (load.P * a * b * b) / (L * L), end: (load.P * a * a * b) / (L * L) };
    }
  }
}

/** Fast at one end alone the moment there: that of both ends, and half of what the other one lets go. */
const proppedMoment = (load: HandLoad, L: number, at: 'start' | 'end'): number => {
  const { start, end } = fastMoments(load, L);
  return at === 'start' ? start + end / 2 : end + start / 2;
};

function heldBy(
  { start, end }: HandCheck['fixity'],
  moments: { readonly start: number; readonly end: number },
  load: HandLoad,
  L: number,
): Held {
  if (end === undefined) return 'free at the end';
  if (start === undefined) return 'free at the start';
  if (start < HALF && end < HALF) return 'simple';
  if (start >= HALF && end >= HALF) return 'fixed';
  // One end holds more than both would: it is beside that of a propped one that it counts.
  if (start >= HALF) return moments.start / proppedMoment(load, L, 'start') >= HALF ? 'fixed at the start' : 'simple';
  return moments.end / proppedMoment(load, L, 'end') >= HALF ? 'fixed at the end' : 'simple';
}

interface Formula {
  readonly what: HandValue['what'];
  readonly formula: string;
  readonly value: number;
}

function formulasOf(held: Held, load: HandLoad, L: number, EI: number): Formula[] {
  switch (load.kind) {
    case 'uniform':
      return uniform(held, load.w, L, EI);
    case 'triangular':
      return triangular(held, load, L);
    case 'point':
      return point(held, load, L, EI);
  }
}

/** Moments are signed as the solver signs them: a load along −y sags, which is positive. */
function uniform(held: Held, w: number, L: number, EI: number): Formula[] {
  const sag = -w * L * L;
  const drop = (Math.abs(w) * L ** 4) / EI;
  switch (held) {
    case 'simple':
      return [
        { what: 'moment in the span', formula: 'wL²/8', value: sag / 8 },
        { what: 'deflection', formula: '5wL⁴/(384 EI)', value: (5 / 384) * drop },
      ];
    case 'fixed':
      return [
        { what: 'moment at the start', formula: 'wL²/12', value: -sag / 12 },
        { what: 'moment in the span', formula: 'wL²/24', value: sag / 24 },
        { what: 'moment at the end', formula: 'wL²/12', value: -sag / 12 },
        { what: 'deflection', formula: 'wL⁴/(384 EI)', value: drop / 384 },
      ];
    case 'fixed at the start':
    case 'fixed at the end':
      return [
        { what: held === 'fixed at the start' ? 'moment at the start' : 'moment at the end', formula: 'wL²/8', value: -sag / 8 },
        { what: 'moment in the span', formula: '9wL²/128', value: (9 * sag) / 128 },
        { what: 'deflection', formula: 'wL⁴/(185 EI)', value: ((39 + 55 * Math.sqrt(33)) / 65536) * drop },
      ];
    case 'free at the end':
    case 'free at the start':
      return [
        { what: held === 'free at the end' ? 'moment at the start' : 'moment at the end', formula: 'wL²/2', value: -sag / 2 },
      ];
  }
}

function triangular(held: Held, { w, full }: Extract<HandLoad, { kind: 'triangular' }>, L: number): Formula[] {
  const sag = -w * L * L;
  const [near, far] = full === 'start' ? (['start', 'end'] as const) : (['end', 'start'] as const);
  const at = (side: 'start' | 'end'): HandValue['what'] => (side === 'start' ? 'moment at the start' : 'moment at the end');
  switch (held) {
    case 'simple':
      return [{ what: 'moment in the span', formula: 'wL²/(9√3)', value: sag / (9 * Math.sqrt(3)) }];
    case 'fixed':
      return [
        { what: at(near), formula: 'wL²/20', value: -sag / 20 },
        { what: at(far), formula: 'wL²/30', value: -sag / 30 },
      ];
    case 'fixed at the start':
    case 'fixed at the end': {
      const fast = held === 'fixed at the start' ? 'start' : 'end';
      return [
        fast === full
          ? { what: at(fast), formula: 'wL²/15', value: -sag / 15 }
          : { what: at(fast), formula: '7wL²/120', value: (-7 * sag) / 120 },
      ];
    }
    case 'free at the end':
    case 'free at the start': {
      const root = held === 'free at the end' ? 'start' : 'end';
      return [
        root === full
          ? { what: at(root), formula: 'wL²/6', value: -sag / 6 }
          : { what: at(root), formula: 'wL²/3', value: -sag / 3 },
      ];
    }
  }
}

function point(held: Held, { P, a }: Extract<HandLoad, { kind: 'point' }>, L: number, EI: number): Formula[] {
  const b = L - a;
  const isCentral = Math.abs(a - b) <= 1e-6 * L;
  const size = Math.abs(P);
  switch (held) {
    case 'simple':
      return [
        { what: 'moment in the span', formula: isCentral ? 'PL/4' : 'Pab/L', value: (-P * a * b) / L },
        ...(isCentral ? [{ what: 'deflection' as const, formula: 'PL³/(48 EI)', value: (size * L ** 3) / (48 * EI) }] : []),
      ];
    case 'fixed':
      return [
        { what: 'moment at the start', formula: isCentral ? 'PL/8' : 'Pab²/L²', value: (P * a * b * b) / L ** 2 },
        { what: 'moment in the span', formula: isCentral ? 'PL/8' : '2Pa²b²/L³', value: (-2 * P * a * a * b * b) / L ** 3 },
        { what: 'moment at the end', formula: isCentral ? 'PL/8' : 'Pa²b/L²', value: (P * a * a * b) / L ** 2 },
        ...(isCentral ? [{ what: 'deflection' as const, formula: 'PL³/(192 EI)', value: (size * L ** 3) / (192 * EI) }] : []),
      ];
    case 'fixed at the start':
      return [
        {
          what: 'moment at the start',
          formula: isCentral ? '3PL/16' : 'Pab(L + b)/(2L²)',
          value: (P * a * b * (L + b)) / (2 * L * L),
        },
        ...(isCentral ? [{ what: 'moment in the span' as const, formula: '5PL/32', value: (-5 * P * L) / 32 }] : []),
      ];
    case 'fixed at the end':
      return [
        {
          what: 'moment at the end',
          formula: isCentral ? '3PL/16' : 'Pab(L + a)/(2L²)',
          value: (P * a * b * (L + a)) / (2 * L * L),
        },
        ...(isCentral ? [{ what: 'moment in the span' as const, formula: '5PL/32', value: (-5 * P * L) / 32 }] : []),
      ];
    case 'free at the end':
      return [{ what: 'moment at the start', formula: isCentral ? 'PL/2' : 'Pa', value: P * a }];
    case 'free at the start':
      return [{ what: 'moment at the end', formula: isCentral ? 'PL/2' : 'Pb', value: P * b }];
  }
}
