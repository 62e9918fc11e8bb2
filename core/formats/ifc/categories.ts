import type { Category } from '../../model/categories';

/** What the standard calls the kinds of cases: type of action, and source. What it has no source for is told by its purpose. */
export const ACTIONS: Readonly<Record<Category, readonly [type: string, source: string]>> = {
  permanent: ['PERMANENT_G', 'DEAD_LOAD_G'],
  imposed: ['VARIABLE_Q', 'LIVE_LOAD_Q'],
  roof: ['VARIABLE_Q', 'LIVE_LOAD_Q'],
  storage: ['VARIABLE_Q', 'LIVE_LOAD_Q'],
  traffic: ['VARIABLE_Q', 'TRANSPORT'],
  snow: ['VARIABLE_Q', 'SNOW_S'],
  wind: ['VARIABLE_Q', 'WIND_W'],
  thermal: ['VARIABLE_Q', 'TEMPERATURE_T'],
  settlement: ['VARIABLE_Q', 'SETTLEMENT_U'],
  construction: ['VARIABLE_Q', 'ERECTION'],
  accidental: ['EXTRAORDINARY_A', 'NOTDEFINED'],
  seismic: ['EXTRAORDINARY_A', 'EARTHQUAKE_E'],
  other: ['NOTDEFINED', 'NOTDEFINED'],
};

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
  if (purpose !== undefined && purpose in ACTIONS) return purpose as Category;
  const found = source === undefined ? undefined : SOURCES[source];
  if (found) return found;
  return type === 'PERMANENT_G' ? 'permanent' : type === 'EXTRAORDINARY_A' ? 'accidental' : 'other';
}

/** What combinations are for. */
export const PURPOSES = { strength: 'ULS', service: 'SLS', other: undefined } as const;
