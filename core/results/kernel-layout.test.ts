import { describe, expect, test } from '@jest/globals';
import { DESCRIPTOR } from '../linear-algebra/kernels';
import { ROW_WIDTH } from '../stiffness/recovery-row';
import { BOWS_V, BOWS_W } from '../stiffness/structure';
import { IMPOSED_WIDTH, PIECE_LOAD_WIDTH } from './piece-loads';
import { degreeOf, lineQuantities, offsetOf, quantityTable } from './quantities';
import { DIRECT } from './recovery-kernels';

/** Sources of the kernels, which no other compiler knows the types of. */
const constantsOf = (source: string): Promise<Record<string, number>> => import(source);

/** The places of the quantities that are stored, one after the other without gaps. */
const extent = (quantities: readonly (typeof lineQuantities)[number][]): number => {
  const inOrder = [...quantities].sort((a, b) => offsetOf(a) - offsetOf(b));
  return inOrder.reduce((end, quantity) => {
    expect(offsetOf(quantity)).toBe(end);
    return end + degreeOf(quantity) + 1;
  }, 0);
};

describe('what the kernels know of the memory is how it is laid out', () => {
  test('rows, flags, loads and diagrams of members', async () => {
    const known = await constantsOf('./wasm/table');
    const plane = extent(lineQuantities.filter((quantity) => quantityTable[quantity].inPlane));
    expect(known).toEqual({
      ...{ TABLE: 8 * ROW_WIDTH, BOWS_V, BOWS_W, DIRECT, IMPOSED: 8 * IMPOSED_WIDTH, PIECE_LOADS: 8 * PIECE_LOAD_WIDTH },
      ...{ PLANE_PIECE: 8 * plane, SPACE_PIECE: 8 * extent(lineQuantities) },
    });
  });

  test('supernodes', async () => expect((await constantsOf('../linear-algebra/wasm/supernode'))['DESCRIPTOR']).toBe(DESCRIPTOR));
});
