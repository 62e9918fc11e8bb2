import * as Comlink from 'comlink';
import type { Recheck } from '@rigid-beam/core/recheck/recheck';
import type { RemediedMechanism } from '@rigid-beam/core/analysis/remedies';
import type { InfluenceAsked, InfluenceFound } from '@rigid-beam/core/influence/asked';
import type { Model } from '@rigid-beam/core/model/model';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { Solution, StructuralResponse } from '@rigid-beam/core/results/results';
import { withOutcomes, withResponses } from './buffers';
import { partsOf } from './model-parts';
import type { PaperAsked, PaperFound, ReportFound, ReportWanted } from './paper/asked';
import { solvingClient as WORDS } from './words';
import type { FileWritten, ReadingAsked, ReadingFound, SolveProgress, Solved, Solver } from './solver.worker';

export type SolveOutcome =
  | { readonly model: Model; readonly solved: Solved }
  | { readonly model: Model; readonly failure: string };

/** Started as soon as the page has its script, so that it is warm when there is a model to solve. */
const hireWorker = (): Worker => new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' });
let spare: Worker | undefined = typeof Worker === 'undefined' ? undefined : hireWorker();

function takeWorker(): Worker {
  const worker = spare ?? hireWorker();
  spare = undefined;
  return worker;
}

/** A solution that has run for so long (milliseconds) is given up when a newer model waits. */
const TOO_LONG = 500;

/** Why what was asked of a worker has no answer: a newer model waited too long, or the page has gone. */
class Dismissed extends Error {}

/**
 * Solves the newest model in a worker: while one is being solved, only the latest of those that follow is kept. A long solution that
 * nobody waits for any more is stopped with its worker, and a new worker takes over.
 */
export class SolvingClient {
  private worker!: Worker;
  private solver!: Comlink.Remote<Solver>;
  private waiting: Model | undefined;
  private text: string | undefined;
  private since = 0;
  private state: 'open' | 'closed' = 'open';
  private impatience: ReturnType<typeof setTimeout> | undefined;
  /** Counts the workers: an answer of one that was stopped is not waited for. */
  private generation = 0;
  /** Rejects when this worker dies, or is dismissed before it has answered. */
  private death!: Promise<never>;
  private giveUp!: (why: Error) => void;
  /** The model that this worker was given last. */
  private known: Model | undefined;
  /** The cases of the last solution that this worker sent. */
  private last: readonly (StructuralResponse | undefined)[] = [];
  /** The outcomes that it sent last: as long as cases and combinations stay, so do they. */
  private outcomes: Solution['outcomes'] = [];

  constructor(
    private readonly report: (outcome: SolveOutcome) => void,
    private readonly tell: (progress: SolveProgress | undefined) => void,
  ) {
    this.hire();
  }

  /** Solves a model; where there is a text of it (JSON), this is sent in its place. */
  solve(model: Model, text?: string): void {
    if (this.state === 'closed') return;
    this.waiting = model;
    this.text = text;
    if (this.since === 0) void this.run();
    else {
      clearTimeout(this.impatience);
      this.impatience = setTimeout(() => this.replace(), Math.max(0, this.since + TOO_LONG - performance.now()));
    }
  }

  /** Gives up what is being solved. */
  stop(): void {
    this.waiting = undefined;
    if (this.since > 0) this.replace();
  }

  /**
   * Seeks remedies for the mechanisms of the model that was solved last; nothing where a newer one is being solved, or comes before they
   * are found.
   */
  remedies(): Promise<readonly RemediedMechanism[] | undefined> {
    return this.between((solver) => solver.remedies()).catch(() => undefined);
  }

  /** One outcome solved once more in another way; nothing where a newer model is being solved, or comes before that is done. */
  recheck(outcome: number): Promise<Recheck | undefined> {
    return this.between((solver) => solver.recheck(outcome) as Promise<Recheck | undefined>).catch(() => undefined);
  }

  /** A file of the model that was solved last; nothing where a newer one is being solved. Why it could not be written is thrown. */
  write(format: string): Promise<FileWritten | undefined> {
    return this.between((solver) => solver.write(format));
  }

  /** The model that was solved last on paper; nothing where a newer one is solved before that is done. Why it could not be drawn is thrown. */
  draw(asked: PaperAsked): Promise<PaperFound | undefined> {
    return this.between((solver) => solver.draw(asked) as Promise<PaperFound | undefined>);
  }

  /** A calculation report of the model that was solved last, as `draw`; `told` hears what is being drawn. */
  calculationReport(wanted: ReportWanted, told: (what: string) => void): Promise<ReportFound | undefined> {
    return this.between((solver) => solver.calculationReport(wanted, Comlink.proxy(told)) as Promise<ReportFound | undefined>);
  }

  /** Reads an envelope of the model that was solved last; nothing where a newer one is solved before that is done. */
  readEnvelope(outcome: number, asked: ReadingAsked, tell: (done: number) => void): Promise<ReadingFound | undefined> {
    return this.read((solver) => solver.readEnvelope(outcome, asked, Comlink.proxy(tell)));
  }

  /** How many results each sum of the model that was solved last governs; nothing where something else comes before that is found. */
  governing(): Promise<ReadonlyMap<string, number> | undefined> {
    return this.read((solver) => solver.governing());
  }

  /** An influence line of the model that was solved last, or why there is none; nothing where a newer one is solved before it is found. */
  influence(asked: InfluenceAsked): Promise<InfluenceFound | readonly Notice[] | undefined> {
    return this.read((solver) => solver.influence(asked) as Promise<InfluenceFound | readonly Notice[] | undefined>);
  }

  /** What is found beside solving; nothing where the worker dies, was dismissed already, or another takes its place before that. */
  private async read<T>(work: (solver: Comlink.Remote<Solver>) => Promise<T>): Promise<T | undefined> {
    const { generation } = this;
    try {
      // A worker that was dismissed refuses at once.
      const found = await this.untilItDies(work(this.solver));
      return generation === this.generation ? found : undefined;
    } catch {
      return undefined;
    }
  }

  /** Lets the worker do something else while no model waits to be solved. */
  private async between<T>(work: (solver: Comlink.Remote<Solver>) => Promise<T>): Promise<T | undefined> {
    if (this.since > 0) return undefined;
    const { generation } = this;
    this.since = performance.now();
    try {
      const done = await this.untilItDies(work(this.solver));
      return generation === this.generation && !this.waiting ? done : undefined;
    } catch (error) {
      if (error instanceof Dismissed) return undefined;
      throw error;
    } finally {
      // Whatever came of it, models are solved again.
      if (generation === this.generation) {
        this.since = 0;
        clearTimeout(this.impatience);
        if (this.waiting) void this.run();
      }
    }
  }

  /** What a worker was asked for; thrown when it dies on the way, since then no answer comes. */
  private untilItDies<T>(asked: Promise<T>): Promise<T> {
    return Promise.race([asked, this.death]);
  }

  close(): void {
    clearTimeout(this.impatience);
    this.state = 'closed';
    this.dismiss();
  }

  private hire(): void {
    const worker = takeWorker();
    this.worker = worker;
    this.death = new Promise<never>((_, reject) => {
      this.giveUp = reject;
      const die = (event: Event): void => {
        event.preventDefault();
        reject(new Error(WORDS.died((event as ErrorEvent).message || event.type)));
        if (this.worker === worker) this.startAgain();
      };
      worker.addEventListener('error', die);
      worker.addEventListener('messageerror', die);
    });
    // Nobody may be asking it for anything when it dies.
    this.death.catch(() => undefined);
    this.solver = Comlink.wrap<Solver>(this.worker);
    this.generation++;
    this.last = [];
    this.known = undefined;
    this.since = 0;
  }

  /** After a worker has died: the next one waits for the next model, since the last one may be what ended it. */
  private startAgain(): void {
    const { known, since } = this;
    this.dismiss();
    this.hire();
    this.tell(undefined);
    if (this.waiting) void this.run();
    else if (known && since > 0) this.report({ model: known, failure: WORDS.startedAgain });
  }

  private dismiss(): void {
    // Whoever waits for an answer of it would wait for ever.
    this.giveUp(new Dismissed());
    this.solver[Comlink.releaseProxy]();
    this.worker.terminate();
  }

  private replace(): void {
    this.dismiss();
    this.hire();
    this.tell(undefined);
    void this.run();
  }

  /** Puts the cases and outcomes that have not changed, and were not sent again, back in their places. */
  private completed(solved: Solved): Solved {
    const { solution } = solved.results;
    const cases = (solution?.responses ?? []).map((one, c) => (solved.unchanged[c] ? this.last[c] : one));
    this.last = cases;
    if (solution && !solved.sameOutcomes) this.outcomes = solution.outcomes;
    return { ...solved, results: withOutcomes(withResponses(solved.results, cases), this.outcomes) };
  }

  private async run(): Promise<void> {
    const { generation } = this;
    while (this.waiting && generation === this.generation) {
      const model = this.waiting;
      this.waiting = undefined;
      const begun = performance.now();
      this.since = begun;
      const tell = Comlink.proxy((progress: SolveProgress) => {
        // What was told on the way may arrive after the solution itself.
        if (generation === this.generation && this.since === begun) this.tell(progress);
      });
      const parts = this.text && !this.known ? { text: this.text } : partsOf(model, this.known);
      this.text = undefined;
      const asked = this.solver.solve(parts, tell);
      this.known = model;
      const outcome = await asked.then(
        (solved): SolveOutcome => ({ model, solved: this.completed(solved) }),
        (error: Error): SolveOutcome => ({ model, failure: error.message }),
      );
      if (generation !== this.generation) return;
      this.since = 0;
      clearTimeout(this.impatience);
      this.tell(undefined);
      this.report(outcome);
    }
  }
}
