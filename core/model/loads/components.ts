import type { DimensionName } from '../../quantities/dimension';
import type { Field, Fields } from '../fields';
import type { Load, Model } from '../model';
import { loadFields, outOfPlane } from '../schema';

/** Where a number of a load stands: at its own key, or at one of its two ends. */
export type ComponentPath = readonly [key: string] | readonly [end: 'from' | 'to', key: string];

/** A number of a load that can be changed. */
export interface LoadComponent {
  readonly path: ComponentPath;
  readonly dimension: DimensionName;
  readonly value: number | undefined;
}

/** Every number of a load that its model has room for, in the order of the format: what a form shows of it. */
export function loadComponents(load: Load, space: Model['space']): LoadComponent[] {
  const closed = (keys: readonly string[] | undefined): readonly string[] => (space === 'plane' ? (keys ?? []) : []);
  const position: DimensionName = 'measure' in load && load.measure === 'length' ? 'length' : 'number';
  const components = (fields: Fields, entry: object, without: readonly string[], prefix: readonly string[]): LoadComponent[] =>
    Object.entries(fields).flatMap(([key, field]: [string, Field]): LoadComponent[] => {
      if (without.includes(key)) return [];
      const value = (entry as Record<string, unknown>)[key];
      const path = [...prefix, key] as unknown as ComponentPath;
      if (field.kind === 'object' && value === undefined) return [];
      if (field.kind === 'object') return components(field.fields, value as object, closed(outOfPlane.intensity), path);
      if (field.kind !== 'quantity') return [];
      return [{ path, dimension: key === 'at' ? position : field.dimension, value: value as number | undefined }];
    });
  return components(loadFields[load.type] ?? {}, load, closed(outOfPlane[load.type]), []);
}

/** The load with another number at a place; undefined leaves it out. */
export function withComponent(load: Load, [first, second]: ComponentPath, value: number | undefined): Load {
  if (second === undefined) return withKey(load, first, value);
  const end = (load as unknown as Record<string, object>)[first]!;
  return { ...load, [first]: withKey(end, second, value) };
}

function withKey<T extends object>(entry: T, key: string, value: number | undefined): T {
  const others = Object.entries(entry).filter(([other]) => other !== key || value !== undefined);
  return { ...Object.fromEntries(others), ...(value !== undefined && { [key]: value }) } as T;
}
