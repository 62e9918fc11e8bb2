import { expect, test } from '@jest/globals';
import { lastUnit, publishedSections } from '../../test/published-sections';
import { listed, plasticOf } from './listed';
import { shapeCalled } from './search';

const POWERS = { A: 2, Iz: 4, Iy: 4, Wplz: 3 } as const;

test.each(publishedSections)('$family: to half a unit of the last printed digit', ({ names, printed }) => {
  let values = 0;
  for (const [key, texts] of Object.entries(printed) as [keyof typeof POWERS, readonly string[]][]) {
    expect(texts.length).toBe(names.length);
    for (const [i, text] of texts.entries()) {
      const one = shapeCalled(names[i]!)!;
      const ours = { ...listed(one), ...plasticOf(one) }[key]! * 100 ** POWERS[key];
      values++;
      if (Math.abs(ours - Number(text)) > 0.5 * lastUnit(text) * (1 + 1e-9))
        throw new Error(`${names[i]} ${key}: ${ours} where ${text} is printed`);
    }
  }
  expect(values).toBeGreaterThanOrEqual(40);
});
