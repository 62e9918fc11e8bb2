import { categories, type Category } from '../../model/categories';

/** Sources of others that are of a kind of ours. */
const SOURCES: Readonly<Record<string, Category>> = {
  DEAD_LOAD_G: 'permanent',
  COMPLETION_G1: 'permanent',
  LIVE_LOAD_Q: 'imposed',
  SNOW_S: 'snow',
  WIND_W: 'wind',
  TEMPERATURE_T: 'thermal',
  SETTLEMENT_U: 'settlement',
  EARTHQUAKE_E: 'seismic',
  ERECTION: 'construction',
  TRANSPORT: 'traffic',
};

/** The kind of a case by what a file says of it. */
export function categoryFrom(type: string | undefined, source: string | undefined, purpose: string | undefined): Category {
  const named = categories.find((one) => one === purpose);
  if (named) return named;
  const found = source === undefined ? undefined : SOURCES[source];
  if (found) return found;
  return type === 'PERMANENT_G' ? 'permanent' : type === 'EXTRAORDINARY_A' ? 'accidental' : 'other';
}

/** What combinations are for. */
export const PURPOSES = { strength: 'ULS', service: 'SLS', other: undefined } as const;
