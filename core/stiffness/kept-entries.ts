import { FREEDOMS, isPlane, MEMBER_FREEDOMS, PLANE_FREEDOMS, SPACE_FREEDOMS, type Structure } from './structure';

const N = MEMBER_FREEDOMS;

/**
 * What is kept of a member's symmetric 12 × 12 matrix: its lower triangle, and of it only the freedoms that take part, row by row.
 * In the plane that is a seventh of the whole.
 */
export interface KeptEntries {
  /** How many. */
  readonly width: number;
  /** Where each lies in the whole matrix. */
  readonly origins: Uint8Array;
  /** 144: the place of each entry of the whole matrix among those kept; -1 for freedoms that take no part. */
  readonly places: Int8Array;
}

function keptOf(active: readonly number[]): KeptEntries {
  const rows = [...active, ...active.map((k) => k + FREEDOMS)];
  const places = new Int8Array(N * N).fill(-1);
  const origins: number[] = [];
  rows.forEach((i, a) => {
    for (const j of rows.slice(0, a + 1)) {
      places[N * i + j] = places[N * j + i] = origins.length;
      origins.push(N * i + j);
    }
  });
  return { width: origins.length, origins: Uint8Array.from(origins), places };
}

const inPlane = keptOf(PLANE_FREEDOMS);
const inSpace = keptOf(SPACE_FREEDOMS);

export const keptEntries = (s: Pick<Structure, 'active'>): KeptEntries => (isPlane(s) ? inPlane : inSpace);
