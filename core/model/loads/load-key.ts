import type { Load } from '../model';

/** A key that two loads share exactly when they are the same but for their names. */
export const loadKey = (load: Load): string =>
  JSON.stringify(
    Object.entries(load)
      .filter(([key, value]) => key !== 'id' && value !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );
