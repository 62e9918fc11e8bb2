import { expect, test } from '@jest/globals';
import type { Share, SolvedShare } from '@rigid-beam/core/analysis/run';
import { AnalysisSession } from '@rigid-beam/core/analysis/session';
import type { Model } from '@rigid-beam/core/model/model';
import { spaceBuilding } from '../../bench/structures';
import { Helpers, type Helper } from './helpers';
import { assembled, type ModelParts } from './model-parts';

/** What a worker does, in this thread. */
class Nearby implements Helper {
  known?: Model;
  readonly given: ('whole' | readonly string[])[] = [];
  private readonly session = new AnalysisSession();
  private current: Model | undefined;

  constructor(readonly fate: { isDead: boolean }) {}

  end = (): void => this.session.close();

  solve(parts: ModelParts, share: Share): Promise<SolvedShare | undefined> {
    if (this.fate.isDead) return Promise.reject(new Error('dead'));
    this.given.push('changed' in parts ? Object.keys(parts.changed) : 'whole');
    this.current = assembled(structuredClone(parts), this.current);
    this.session.update(this.current, { share });
    return Promise.resolve(structuredClone(this.session.ownShare));
  }
}

const building = spaceBuilding(2, 2, 3, 2);
const [self, wind] = building.cases.map(({ id }) => id) as [string, string];
const leaning = (sums: number): Model => ({
  ...building,
  combinations: Array.from({ length: sums }, (_, i) => ({
    id: `S${i}`,
    type: 'sum',
    factors: { [self]: 0.1, [wind]: i / 300 },
  })),
  analysis: { secondOrder: { of: 'combinations' } },
});
const many = leaning(40);

test('each further processor takes a share of what is worth it, and is sent what has changed', async () => {
  const [hired, fate]: [Nearby[], { isDead: boolean }] = [[], { isDead: false }];
  const helpers = new Helpers(3, () => (hired.push(new Nearby(fate)), hired.at(-1)!));
  const session = new AnalysisSession();
  const whole = new AnalysisSession();
  for (const one of [many, { ...many, loads: many.loads.slice(1) }]) {
    const shared = helpers.begin(one)!;
    expect(shared.own).toEqual({ at: 0, of: 3 });
    session.update(one, { share: shared.own });
    const results = session.join((await shared.others)!).now;
    expect(results.solution!.outcomes).toEqual(whole.update(one).now.solution!.outcomes);
  }
  expect(hired.map(({ given }) => given)).toEqual([
    ['whole', ['loads']],
    ['whole', ['loads']],
  ]);
  // Who has died is replaced, and its replacement knows nothing.
  fate.isDead = true;
  expect(await helpers.begin(many)!.others).toBeUndefined();
  fate.isDead = false;
  expect(await helpers.begin(many)!.others).toHaveLength(2);
  expect(hired).toHaveLength(4);
  expect(hired[3]!.given).toEqual(['whole']);
});

test('what is superposed, small, or alone on its processor is not shared', () => {
  const none = (processors: number, one: Model): void => {
    const helpers = new Helpers(processors, () => {
      throw new Error('hired');
    });
    expect(helpers.begin(one)).toBeUndefined();
  };
  none(8, spaceBuilding(5, 5, 11, 2));
  none(8, leaning(2));
  none(1, many);
});
