import type * as Package from 'web-ifc';

/** What knows the syntax of STEP files and the schemas of IFC, with the order of their attributes. */
export interface Engine {
  readonly schema: typeof Package;
  readonly api: Package.IfcAPI;
}

let engine: Engine | undefined;

/**
 * Makes ready what reads and writes STEP files; it comes when it is asked for first, since it is large. `found` tells the
 * address of its program, where that does not lie beside the package.
 */
export async function readyStep(found?: (program: string) => string): Promise<void> {
  if (engine) return;
  const loaded = (await import('web-ifc')) as typeof Package & { readonly default?: typeof Package };
  const schema = loaded.IfcAPI ? loaded : loaded.default!;
  const api = new schema.IfcAPI();
  await api.Init(found, true);
  api.SetLogLevel(schema.LogLevel.LOG_LEVEL_OFF);
  spellings = new Map(Object.keys(schema.IFC4X3).map((name) => [name.toUpperCase(), name]));
  engine = { schema, api };
}

/** It must have been made ready. */
export function stepEngine(): Engine {
  if (!engine) throw new Error('STEP files are read and written once readyStep has been waited for');
  return engine;
}

/** Types as the standard writes them, by their names in capitals; known from when the package has come first. */
let spellings: ReadonlyMap<string, string> = new Map();

/** A type as the standard writes it; in capitals as it stands in a file where the standard has none of the name. */
export const spelled = (type: string): string => spellings.get(type) ?? type;

/** A file that brought it to a stop leaves nothing of it: it is made ready anew. */
export function forgetEngine(): void {
  engine = undefined;
}
