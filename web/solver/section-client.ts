import * as Comlink from 'comlink';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import type { ShearPoints } from '@rigid-beam/core/sections/shear-points';
import type { SectionForces, StressField } from '@rigid-beam/core/sections/mesh/stress';
import type { Measured, Sections } from './section.worker';
import { sectionClient as WORDS } from './words';

interface Hired {
  readonly sections: Comlink.Remote<Sections>;
  /** Rejects when the worker dies. */
  readonly death: Promise<never>;
}

let hired: Hired | undefined;
/** Hired when a mesh is first wanted: it never stands in the way of a solution. One that dies is not asked again. */
function hire(): Hired {
  const worker = new Worker(new URL('./section.worker.ts', import.meta.url), { type: 'module' });
  const death = new Promise<never>((_, reject) =>
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      hired = undefined;
      measured.clear();
      worker.terminate();
      reject(new Error(WORDS.died));
    }),
  );
  death.catch(() => undefined);
  return { sections: Comlink.wrap<Sections>(worker), death };
}

function asked<T>(work: (sections: Comlink.Remote<Sections>) => Promise<T>): Promise<T> {
  const { sections, death } = (hired ??= hire());
  return Promise.race([work(sections), death]);
}

const measured = new Map<string, Promise<Measured>>();
const MOST = 50;

/** What the mesh of a sound shape tells; found once. */
export function measureSection(shape: Shape): Promise<Measured> {
  const key = JSON.stringify(shape);
  const before = measured.get(key);
  if (before) return before;
  const found = asked((sections) => sections.measure(shape));
  if (measured.size >= MOST) measured.delete(measured.keys().next().value!);
  measured.set(key, found);
  return found;
}

/** The stresses that forces cause in a section; nothing where it is in several pieces. */
export const stressesIn = (shape: Shape, forces: SectionForces): Promise<StressField | undefined> =>
  asked((sections) => sections.stresses(shape, forces));

/** Places on the outline of a section with the shear that forces cause there; nothing where it is in several pieces. */
export const shearIn = (shape: Shape): Promise<ShearPoints | undefined> => asked((sections) => sections.shear(shape));
