import type * as Package from 'web-ifc';
import { decoded } from '../decoded';
import { forgetEngine, stepEngine } from './engine';
import { placesIn, type StepPlace } from './places';
import { Choice, Measure, Reference, type StepEntity, type StepValue } from './values';

/** A STEP file as far as it was understood. */
export interface StepFile {
  readonly schema: string;
  readonly places: readonly StepPlace[];
  /** An entity by its number; why it is none that the schema has, in words. */
  readonly entity: (id: number) => StepEntity | string;
  /** Gives back what holds it. */
  readonly close: () => void;
}

/** Entities of a file. */
export const MOST_ENTITIES = 500_000;

/** Attributes that follow from others: an asterisk stands in their place, which the package passes over. */
const DERIVED: Readonly<Record<string, number>> = { IFCSIUNIT: 1, IFCORIENTEDEDGE: 2, IFCGEOMETRICREPRESENTATIONSUBCONTEXT: 4 };

/** Why a file cannot be read: what is wrong, and where. */
export interface StepFault {
  readonly what: string;
  readonly line?: number;
}

/** Opens a STEP file of a schema that is known. `readyStep` comes before it. */
export function openStep(bytes: Uint8Array): StepFile | StepFault {
  const text = decoded(bytes);
  if (!/^\uFEFF?\s*ISO-10303-21\s*;/u.test(text)) return { what: 'It does not begin as STEP files do, with ISO-10303-21;' };
  const found = placesIn(text);
  if ('what' in found) return found;
  const { places } = found;
  if (!/END-ISO-10303-21\s*;\s*$/u.test(text)) return { what: 'It has no end: END-ISO-10303-21; is missing' };
  if (places.length > MOST_ENTITIES) return { what: `It has ${places.length} entities: at most ${MOST_ENTITIES} are read` };
  const known = new Map<number, StepPlace>();
  for (const place of places) {
    const before = known.get(place.id);
    if (before) return { what: `#${place.id} stands there twice, in line ${before.line} as well`, line: place.line };
    known.set(place.id, place);
  }
  const { api, schema } = stepEngine();
  let model = -1;
  try {
    model = api.OpenModel(bytes);
  } catch {
    forgetEngine();
  }
  const named = model < 0 ? undefined : api.GetModelSchema(model);
  if (typeof named !== 'string') return { what: 'It cannot be read as a file of IFC' };
  const held = new Map<number, StepEntity | string>();
  return {
    schema: named,
    places,
    entity: (id) => {
      let found = held.get(id);
      if (found === undefined) held.set(id, (found = entityOf(api, schema, model, id, known.get(id))));
      return found;
    },
    close: () => api.CloseModel(model),
  };
}

function entityOf(
  api: Package.IfcAPI,
  schema: typeof Package,
  model: number,
  id: number,
  place: StepPlace | undefined,
): StepEntity | string {
  if (!place) return `there is no #${id}`;
  try {
    const line = api.GetLine(model, id) as Record<string, unknown> | undefined;
    if (!line) return `#${id} is not understood`;
    const names = Object.keys(line).filter((key) => key !== 'expressID' && key !== 'type');
    const count = (api.GetRawLineData(model, id) as { readonly arguments: ArrayLike<unknown> }).arguments.length;
    const expected = names.length - (DERIVED[place.type] ?? 0);
    if (count !== expected) return `#${id} has ${count} attributes, where ${place.type} has ${expected}`;
    const attributes = Object.fromEntries(names.map((name) => [name, valueOf(schema, line[name])]));
    return { id, type: place.type, line: place.line, attributes };
  } catch (error) {
    // What stopped within the program may have left it in any state.
    if ((error as Error).name === 'RuntimeError') forgetEngine();
    return `#${id} is not understood`;
  }
}

/** A value as the package has it. */
function valueOf(schema: typeof Package, value: unknown): StepValue {
  if (value === null || value === undefined) return null;
  if (Array.isArray(value)) return value.map((one) => valueOf(schema, one));
  if (typeof value !== 'object') throw new TypeError('a value of no kind');
  const { type, value: held, name } = value as { type?: number; value?: unknown; name?: string };
  switch (type) {
    case schema.REF:
      // What follows from others is there as a reference to nothing.
      return held === 0 ? null : new Reference(Number(held));
    case schema.REAL:
    case schema.INTEGER: {
      const number = Number(held);
      if (!Number.isFinite(number)) throw new TypeError('a number that is none');
      return new Measure(name ?? 'IFCREAL', number);
    }
    case schema.ENUM:
      return typeof held === 'boolean' ? held : new Choice(String(held));
    default:
      return String(held);
  }
}
