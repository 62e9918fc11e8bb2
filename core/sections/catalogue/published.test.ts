import { expect, test } from '@jest/globals';
import { publishedSections } from '../../test/published-sections';
import { lastUnit, printedScale, type PrintedKey } from '../../test/published-table';
import { shapeProperties } from '../shape-properties';
import { listed, plasticOf } from './listed';
import { shapeCalled } from './search';

test.each(publishedSections)('$family: to half a unit of the last printed digit', ({ names, printed, significant, unit }) => {
  let values = 0;
  for (const [key, texts] of Object.entries(printed) as [PrintedKey, readonly string[]][]) {
    expect(texts.length).toBe(names.length);
    for (const [i, text] of texts.entries()) {
      if (text === '-') continue;
      const one = shapeCalled(names[i]!)!;
      const ours = { ...listed(one), ...plasticOf(one) }[key]! * printedScale(key, unit);
      values++;
      // Tables print J by a formula also where it does not hold, and where ours is that of the mesh.
      const slack = key === 'J' && shapeProperties(one.shape).J === undefined ? 0.02 * Number(text) : 0;
      if (Math.abs(ours - Number(text)) > slack + 0.5 * lastUnit(text, significant) * (1 + 1e-9))
        throw new Error(`${names[i]} ${key}: ${ours} where ${text} is printed`);
    }
  }
  expect(values).toBeGreaterThanOrEqual(40);
});
