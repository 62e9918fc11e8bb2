import { describe, expect, test } from '@jest/globals';
import { ball, sketch } from '@rigid-beam/core/test/build';
import { VERTEX } from './display-list';
import { panelAt } from './panel-at';
import { lookFrom, LOOKS, seenPoint } from './projection';
import { sheetItems } from './sheet-items';
import { labels, paths, view } from './test/demo';

type Place = readonly [string, number, number, number];
/** Two floors of one bay, 6 m by 4 m, 3 m above each other. */
const places: readonly Place[] = [0, 3, 6].flatMap((y): Place[] =>
  [[0, 0], [6, 0], [6, 4], [0, 4]].map(([x, z], i): Place => [`${y}${'abcd'[i]}`, x!, y, z!]),
); // oxfmt-ignore
const members = [3, 6].flatMap((y) =>
  [0, 1, 2, 3].flatMap((i) => {
    const [here, next] = ['abcd'[i]!, 'abcd'[(i + 1) % 4]!];
    return [
      [`b${y}${here}`, `${y}${here}`, `${y}${next}`],
      [`c${y}${here}`, `${y - 3}${here}`, `${y}${here}`],
    ] as const;
  }),
);
const load = { id: '1', case: 'Q', type: 'area', nodes: ['6a', '6b', '6c', '6d'], pressure: 2000 };
const tower = sketch({ nodes: places, members, supports: ['0a', '0b', '0c', '0d'].map(ball), loads: [load as never] });
const lookedAt = (look: keyof typeof LOOKS) => lookFrom(LOOKS[look].round, LOOKS[look].height);
/** The panel found where a point of space is seen. */
const found = (look: keyof typeof LOOKS, at: readonly [number, number, number]): string | undefined => {
  const projection = lookedAt(look);
  return panelAt(tower, projection, ...seenPoint(projection, at))
    ?.corners.toSorted()
    .join(' ');
};

describe('the panel that is pointed at', () => {
  test('from above the upper floor hides the lower one', () => expect(found('plan', [3, 3, 2])).toBe('6a 6b 6c 6d'));

  test('from the front there are walls, and floors seen edge-on are none', () => {
    const panel = found('front', [3, 4.5, 2])!;
    expect(panel.split(' ').map((id) => id.slice(0, 1)).sort()).toEqual(['3', '3', '6', '6']); // oxfmt-ignore
  });

  test('beside the structure there is none', () => expect(found('plan', [9, 6, 2])).toBeUndefined());

  test('from the corner the front wall is found where it hides the floor behind it', () => {
    const seen = found('corner', [5.9, 4.5, 3.9])!;
    expect(seen).not.toBe('3a 3b 3c 3d');
    expect(found('corner', [3, 6, 2])).toBe('6a 6b 6c 6d');
  });
});

describe('a pressure on the drawing', () => {
  const items = sheetItems(tower, undefined, { ...view, projection: lookedAt('corner') });

  test('its value is written once, in the middle of its panel', () => {
    const said = labels(items).filter(({ subject }) => subject?.kind === 'load');
    expect(said.map(({ text }) => text)).toEqual(['2 kN/m²']);
    const [x, y] = seenPoint(lookedAt('corner'), [3, 6, 2]);
    expect([said[0]!.x, said[0]!.y]).toEqual([expect.closeTo(x, 9), expect.closeTo(y, 9)]);
  });

  test('its panel is tinted, and all four members carry arrows of the one load', () => {
    const own = paths(items).filter(({ subject }) => subject?.kind === 'load' && subject.id === '1');
    expect(own.filter(({ opacity, vertices }) => opacity === 0.07 && vertices.length === 4 * VERTEX)).toHaveLength(1);
    expect(own.length).toBeGreaterThan(8);
  });

  test.each([
    [{ pressure: -500 }, '0.5 kN/m² up'],
    [{ spread: 'oneWay' }, '2 kN/m² one way'],
    [{ direction: 'plan' }, '2 kN/m² on plan'],
    [{ direction: 'normal' }, '2 kN/m² across'],
  ])('%j is written as %j', (more, words) => {
    const model = { ...tower, loads: [{ ...load, ...more } as never] };
    const said = labels(sheetItems(model, undefined, { ...view, projection: lookedAt('corner') }));
    expect(said.filter(({ subject }) => subject?.kind === 'load').map(({ text }) => text)).toEqual([words]);
  });
});
