import * as Comlink from 'comlink';
import type { Shape } from '@rigid-beam/core/model/model';
import type { SectionForces, StressField } from '@rigid-beam/core/sections/mesh/stress';
import type { Measured, Sections } from './section.worker';

let worker: Comlink.Remote<Sections> | undefined;
/** Hired when a mesh is first wanted: it never stands in the way of a solution. */
const hired = (): Comlink.Remote<Sections> =>
  (worker ??= Comlink.wrap<Sections>(new Worker(new URL('./section.worker.ts', import.meta.url), { type: 'module' })));

const measured = new Map<string, Promise<Measured>>();
const MOST = 50;

/** What the mesh of a sound shape tells; found once. */
export function measureSection(shape: Shape): Promise<Measured> {
  const key = JSON.stringify(shape);
  const before = measured.get(key);
  if (before) return before;
  const found = hired().measure(shape);
  if (measured.size >= MOST) measured.delete(measured.keys().next().value!);
  measured.set(key, found);
  return found;
}

/** The stresses that forces cause in a section; nothing where it is in several pieces. */
export const stressesIn = (shape: Shape, forces: SectionForces): Promise<StressField | undefined> =>
  hired().stresses(shape, forces);
