import * as Comlink from 'comlink';
import type { Phase } from '@rigid-beam/core/analysis/progress';
import { recheck, type Recheck } from '@rigid-beam/core/recheck/recheck';
import { mechanismsWithRemedies, type RemediedMechanism } from '@rigid-beam/core/analysis/remedies';
import type { Lent } from '@rigid-beam/core/analysis/lent';
import { AnalysisSession } from '@rigid-beam/core/analysis/session';
import { warmUp } from '@rigid-beam/core/analysis/warm-up';
import { firstOptions } from '@rigid-beam/core/formats/format';
import { joined } from '@rigid-beam/core/formats/json-parts';
import { writable, written } from '@rigid-beam/core/formats/registry';
import { influenceOf, type InfluenceAsked, type InfluenceFound } from '@rigid-beam/core/influence/asked';
import type { Model } from '@rigid-beam/core/model/model';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { BoundCurve, ReadExtremes } from '@rigid-beam/core/results/envelope-reading';
import type { Quantity } from '@rigid-beam/core/results/quantities';
import { readCurve } from '@rigid-beam/core/results/read-curve';
import { readGoverningSums } from '@rigid-beam/core/results/governs';
import { readExtremes } from '@rigid-beam/core/results/read-extremes';
import { withShear } from '@rigid-beam/core/results/readings';
import type { StructuralResponse, Results, Solution } from '@rigid-beam/core/results/results';
import { buffersOf, withOutcomes, withResponses } from './buffers';
import { Helpers } from './helpers';
import { assembled, type ModelParts } from './model-parts';
import type { PaperAsked, PaperFound, ReportFound, ReportWanted } from './paper/asked';

export interface Solved {
  readonly results: Results;
  /** Time of the solution itself, without the way between the threads. */
  readonly milliseconds: number;
  /** By case: it is the very one that was sent before, and is left out here. */
  readonly unchanged: readonly boolean[];
  /** The outcomes are those that were sent before, and are left out here. */
  readonly sameOutcomes: boolean;
}

/** A file, and what it cannot say of its model. */
export interface FileWritten {
  readonly content: Blob;
  readonly notes: readonly string[];
}

/** Where programs lie that packages bring beside themselves. */
const PROGRAMS: Readonly<Record<string, string>> = { 'web-ifc.wasm': new URL('web-ifc/web-ifc.wasm', import.meta.url).href };
const programAt = (program: string): string => PROGRAMS[program] ?? program;

/** How far a solution is that takes its time. */
export interface SolveProgress {
  readonly phase: Phase;
  /** 0 to 1. */
  readonly done: number;
}

/** What is asked of an envelope: the extremes of all quantities, and the bounds of one that is drawn. */
export interface ReadingAsked {
  readonly extremes: boolean;
  readonly curve: Quantity | undefined;
  /** The fibres of its members, where shear on them is known, which is not found here. */
  readonly sheared: Solution['fibres'] | undefined;
}

export interface ReadingFound {
  readonly extremes?: ReadonlyMap<Quantity, ReadExtremes>;
  readonly curve?: BoundCurve;
}

/** Milliseconds of reading after which the worker listens. */
const PAUSE = 40;

/** Short solutions tell nothing; long ones at most this often, in milliseconds. */
const QUIET = 300;
const OFTEN = 100;

const session = new AnalysisSession();
let current: Model | undefined;
/** The results of it, unless their cases were given away. */
let last: Lent<Results> | undefined;
/** Counts what is being read: a newer model or another question ends it. */
let reading = 0;
/** The cases that the page has. */
let sent: readonly StructuralResponse[] = [];
/** The outcomes that it has. */
let told: Solution['outcomes'] | undefined;

/** Numbers in the cases of a solution up to which they are kept here and copied to the page. */
const KEPT = 12e6;
const numbersIn = (cases: readonly StructuralResponse[]): number =>
  cases.reduce((sum, { coefficients, ends }) => sum + coefficients.length + ends.length, 0);

const helpers = new Helpers(navigator.hardwareConcurrency);
/** Until this has come what was solved last is not whole: what others have solved of it is on its way. */
let settled: Promise<unknown> = Promise.resolve();

const solver = {
  solve(parts: ModelParts, tell: (progress: SolveProgress) => void): Promise<Solved> {
    const solved = solvedWhole(parts, tell);
    settled = solved.catch(() => undefined);
    return solved;
  },

  /**
   * Reads an envelope of the model that was solved last: what of it is asked for. It pauses again and again, so that a newer model is heard;
   * nothing comes back where one came before the end.
   */
  async readEnvelope(outcome: number, asked: ReadingAsked, tell: (done: number) => void): Promise<ReadingFound | undefined> {
    await settled;
    const own = ++reading;
    if (!current) return undefined;
    const { solution: solved } = (last ??= session.update(current)).now;
    if (!solved) return undefined;
    const solution = asked.sheared ? withShear(solved, asked.sheared) : solved;
    const steps = function* <T>(work: Generator<number, T>, share: readonly [number, number]): Generator<number, T> {
      let step = work.next();
      for (; !step.done; step = work.next()) yield share[0] + (share[1] - share[0]) * step.value;
      return step.value;
    };
    const both = asked.extremes && asked.curve !== undefined;
    const found: { -readonly [key in keyof ReadingFound]: ReadingFound[key] } = {};
    const whole = (function* (): Generator<number> {
      if (asked.extremes) found.extremes = yield* steps(readExtremes(solution, outcome), [0, both ? 0.85 : 1]);
      if (asked.curve) found.curve = yield* steps(readCurve(solution, outcome, asked.curve), [both ? 0.85 : 0, 1]);
    })();
    if (!(await inSteps(whole, own, tell))) return undefined;
    return Comlink.transfer(found, buffersOf([...(found.extremes?.values() ?? []), found.curve]));
  },

  /** How many results each sum of the model that was solved last governs, by id; nothing where something else was asked for before the end. */
  async governing(): Promise<ReadonlyMap<string, number> | undefined> {
    await settled;
    const own = ++reading;
    if (!current) return undefined;
    const { solution } = (last ??= session.update(current)).now;
    if (!solution) return undefined;
    const model = current;
    let found: ReadonlyMap<string, number> | undefined;
    const whole = (function* (): Generator<number> {
      found = yield* readGoverningSums(model, solution);
    })();
    return (await inSteps(whole, own)) ? found : undefined;
  },

  /** An influence line of the model that was solved last, or why there is none. */
  async influence(asked: InfluenceAsked): Promise<InfluenceFound | readonly Notice[] | undefined> {
    await settled;
    return current && session.system && influenceOf(current, session.system, asked);
  },

  /** A file that takes an analysis, of the model that was solved last: in parts, since no text may be as long as some files are. */
  async write(format: string): Promise<FileWritten | undefined> {
    const found = writable.find(({ id }) => id === format);
    await Promise.all([settled, found?.ready?.(programAt)]);
    const model = current;
    if (!model || !found) return undefined;
    const content = new Blob([...joined(written(found, model, firstOptions(found.writer)))] as BlobPart[]);
    return { content, notes: found.writer.leftOut?.(model) ?? [] };
  },

  /** The model that was solved last on paper. What draws it comes when it is asked for first. */
  async draw(asked: PaperAsked): Promise<PaperFound | undefined> {
    await settled;
    const solved = solvedNow(asked.sheared);
    return solved && (await import('./paper/on-paper')).onPaper(solved.model, solved.solution, asked);
  },

  /** A calculation report of the model that was solved last. */
  async calculationReport(wanted: ReportWanted, told: (what: string) => void): Promise<ReportFound | undefined> {
    await settled;
    const solved = solvedNow(wanted.sheared);
    return solved && (await import('./paper/reported')).reported(solved.model, solved.solution, wanted, told);
  },

  /** One outcome of the model that was solved last, solved once more in another way. */
  async recheck(outcome: number): Promise<Recheck | undefined> {
    await settled;
    if (!current) return undefined;
    const { solution, mechanisms } = (last ??= session.update(current)).now;
    return solution && recheck(current, solution, outcome, mechanisms.length > 0 ? 'held' : 'none');
  },

  /** What would stop the mechanisms of the model that was solved last. */
  async remedies(): Promise<RemediedMechanism[]> {
    await settled;
    return current ? mechanismsWithRemedies(current) : [];
  },
};

/** Solves a model, with helpers where that is worth its while. */
async function solvedWhole(parts: ModelParts, tell: (progress: SolveProgress) => void): Promise<Solved> {
  const model = assembled(parts, current);
  const shared = helpers.begin(model);
  // A large model compiles what it needs by itself, and would wait for it.
  if (model.members.length > COMPILES_ITSELF) isWarm = true;
  else warm();
  current = model;
  reading++;
  const begun = performance.now();
  let toldAt = begun + QUIET - OFTEN;
  const progress = (phase: Phase, done: number): void => {
    const now = performance.now();
    if (now - toldAt < OFTEN) return;
    toldAt = now;
    tell({ phase, done });
  };
  const own = session.update(model, { progress, share: shared?.own });
  const others = shared && (await shared.others);
  const lent = others ? session.join(others) : session.ownShare && shared ? session.update(model, { progress }) : own;
  // What other runs found is not shown: the first order of what was solved in second stands in the solution itself.
  const { others: _, ...results } = lent.now;
  const milliseconds = performance.now() - begun;
  const cases = results.solution?.responses ?? [];
  const sameOutcomes = results.solution !== undefined && results.solution.outcomes === told;
  told = results.solution?.outcomes;
  const given = sameOutcomes ? withOutcomes(results, []) : results;
  if (numbersIn(cases) > KEPT) {
    // Too much to have twice: it goes over whole, and the next solution starts its cases anew.
    session.handOver();
    sent = [];
    last = undefined;
    return Comlink.transfer({ results: given, milliseconds, unchanged: cases.map(() => false), sameOutcomes }, buffersOf(cases));
  }
  const unchanged = cases.map((one, c) => one === sent[c]);
  sent = cases;
  last = lent;
  const news = cases.map((one, c) => (unchanged[c] ? undefined : one));
  return { results: withResponses(given, news), milliseconds, unchanged, sameOutcomes };
}

/** The model that was solved last with its solution, which has the shear on its sections where that is known. */
function solvedNow(sheared: Solution['fibres'] | undefined): { model: Model; solution: Solution | undefined } | undefined {
  if (!current) return undefined;
  const { solution } = (last ??= session.update(current)).now;
  return { model: current, solution: solution && sheared ? withShear(solution, sheared) : solution };
}

/** Does a reading step by step, listening in between; whether it came to its end before something else was to be read. */
async function inSteps(whole: Generator<number>, own: number, tell?: (done: number) => void): Promise<boolean> {
  let [paused, told] = [performance.now(), 0];
  for (const done of whole) {
    const now = performance.now();
    if (now - paused < PAUSE) continue;
    if (tell && now - told > OFTEN) {
      tell(done);
      told = now;
    }
    await new Promise((resolve) => setTimeout(resolve));
    if (own !== reading) return false;
    paused = performance.now();
  }
  return true;
}

export type Solver = typeof solver;

/** Members from which a first solution runs through everything often enough to have it compiled. */
const COMPILES_ITSELF = 1500;
let isWarm = false;

/** What an analysis runs through is compiled while the page still sends the model, not when it waits for the answer. */
function warm(): void {
  if (isWarm) return;
  isWarm = true;
  try {
    warmUp();
  } catch {
    // What is wrong is said when something is to be solved.
  }
}
Comlink.expose(solver);
// A model that is there already comes first.
setTimeout(warm);
