import { expect, test } from '@jest/globals';
import type { Model } from '../model/model';
import type { Results } from '../results/results';
import { Random } from '../test/random';
import { storeyedFrame } from '../test/storeyed-frame';
import { AnalysisSession } from './session';

/** A frame in the sums of two cases, some of its bars in tension only, with what it weighs under a factor. */
function swaying(seed: number, weight: number): Model {
  const random = new Random(seed);
  const frame = storeyedFrame(random, seed % 2 === 0 ? 'plane' : 'space');
  const [tie] = frame.members.slice(-1);
  const loads = frame.loads.map((one) => (one.type === 'node' ? { ...one, fy: weight * one.fy! } : one));
  const sum = (factor: number): Model['combinations'][number] => ({
    id: `S ${factor}`,
    type: 'sum',
    factors: { [frame.cases[0]!.id]: factor },
  });
  return {
    ...frame,
    loads,
    members:
      seed % 3 === 0 ? frame.members.map((one) => (one === tie ? { ...one, behaviour: 'tensionOnly' } : one)) : frame.members,
    combinations: [0.25, 0.5, -0.5, 1, 0.75].map(sum),
    analysis: { secondOrder: { of: 'everything' } },
  };
}

/** All that a reader of results asks for. */
const told = ({ status, notices, solution, others }: Results): unknown => ({
  status,
  notices,
  others: others && [...others.keys()],
  outcomes: solution?.outcomes,
  letGo: solution?.letGo,
  first: solution?.firstOrder,
  displaced: solution?.displaced?.map((one) => one && { sway: one.sway, bow: one.bow }),
});

test.each([2, 3])('in %d shares, edit by edit, results are those of one session', (of) => {
  const sessions = Array.from({ length: of + 1 }, () => new AnalysisSession());
  const [alone, own, ...others] = sessions as [AnalysisSession, AnalysisSession, ...AnalysisSession[]];
  let [compared, refused] = [0, 0];
  for (let seed = 0; seed < 12; seed++)
    // The last cannot be borne by all.
    for (const weight of [0.4, 0.3, 4]) {
      const model = swaying(seed, weight);
      const whole = alone.update(model).now;
      own.update(model, { share: { at: 0, of } });
      const shares = others.map((other, i) => {
        other.update(model, { share: { at: i + 1, of }, notes: 'unread' });
        return structuredClone(other.ownShare!);
      });
      expect(() => own.join(shares.slice(1))).toThrow('missing');
      const joined = own.join(shares).now;
      expect(told(joined)).toEqual(told(whole));
      if (whole.status === 'invalid') refused++;
      whole.solution?.responses.forEach((response, r) => {
        const same = joined.solution!.responses[r]!;
        const size = Math.max(...response.ends.map(Math.abs), 1);
        response.ends.forEach((force, i) => expect(Math.abs(same.ends[i]! - force)).toBeLessThan(1e-7 * size));
        compared++;
      });
    }
  expect(compared).toBeGreaterThan(60);
  expect(refused).toBeGreaterThan(3);
  for (const session of sessions) session.close();
});

test('what is not solved in second order has no shares, and nothing of a former one stays', () => {
  const session = new AnalysisSession();
  const model = swaying(2, 0.3);
  session.update(model, { share: { at: 0, of: 2 } });
  expect(session.ownShare?.size).toBe(3);
  const { analysis: _, ...plain } = model;
  const lent = session.update(plain, { share: { at: 0, of: 2 } });
  expect(session.ownShare).toBeUndefined();
  expect(session.join([])).toBe(lent);
  session.close();
});
