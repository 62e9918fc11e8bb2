import { solve } from '../analysis/session';
import { checkModel } from '../model/check';
import type {
  ActionGroup,
  Combination,
  Group,
  Load,
  LoadCase,
  Material,
  Member,
  Model,
  ModelNode,
  Parameter,
  Section,
  Support,
} from '../model/model';
import { isFault, type Notice } from '../model/notice';
import { resultsWithShear } from '../results/with-shear';
import { Solved } from './solved';

/** An entry as it may be written: each number in SI, as a text with its unit (`"12 m"`), or as an expression of parameters (`"span/2"`). */
export type Written<T> = T extends number
  ? number | string
  : T extends readonly (infer One)[]
    ? readonly Written<One>[]
    : T extends object
      ? { readonly [Key in keyof T]: Written<T[Key]> }
      : T;

/** Each of several kinds of an entry without its id, which is given on reading. */
type WithoutId<T> = T extends unknown ? Omit<T, 'id'> & { readonly id?: string } : never;

/** What keeps a model from being read or solved: its message has every fault, with its place and what to do. */
export class ModelFault extends Error {
  constructor(readonly notices: readonly Notice[]) {
    super(notices.map(({ message }) => message).join('\n'));
    this.name = 'ModelFault';
  }
}

export type Beginning = Written<Pick<Model, 'title' | 'space'> & Partial<Pick<Model, 'gravity' | 'analysis' | 'display'>>>;

/** Builds a model entry by entry; each call takes what the model file has in that list, and gives the builder back. */
export class ModelBuilder {
  private readonly lists: Record<string, object[]> = {};
  constructor(private readonly beginning: Beginning) {}

  parameter = (entry: Written<Parameter>): this => this.put('parameters', entry);
  material = (entry: Written<Material>): this => this.put('materials', entry);
  section = (entry: Written<Section>): this => this.put('sections', entry);
  node = (entry: Written<ModelNode>): this => this.put('nodes', entry);
  member = (entry: Written<Member>): this => this.put('members', entry);
  support = (entry: Written<Support>): this => this.put('supports', entry);
  case = (entry: Written<LoadCase>): this => this.put('cases', entry);
  load = (entry: Written<WithoutId<Load>>): this => this.put('loads', entry);
  combination = (entry: Written<Combination>): this => this.put('combinations', entry);
  action = (entry: Written<ActionGroup>): this => this.put('actions', entry);
  group = (entry: Written<Group>): this => this.put('groups', entry);

  private put(list: string, entry: object): this {
    (this.lists[list] ??= []).push(entry);
    return this;
  }

  /** The model, checked as a file is; throws a `ModelFault` with everything that is wrong. */
  model(): Model {
    const { model, notices } = checkModel({ format: 'rigid-beam/model', version: 1, ...this.beginning, ...this.lists });
    if (!model) throw new ModelFault(notices.filter(isFault));
    return model;
  }

  /** The model solved; throws a `ModelFault` where it cannot be, for example since it can move. */
  solve = (): Solved => solved(this.model());
}

/** Begins a model. */
export const build = (beginning: Beginning): ModelBuilder => new ModelBuilder(beginning);

/** Solves a model in every case and combination, and in every run that it asks for. */
export function solved(model: Model): Solved {
  const results = resultsWithShear(solve(model), model);
  if (!results.solution) throw new ModelFault(results.notices.filter(isFault));
  return new Solved(model, results.solution, results.notices);
}
