import { searchCatalogue } from '@rigid-beam/core/sections/catalogue/search';
import { outlineProperties } from '@rigid-beam/core/sections/built/properties';
import type { Corner } from '@rigid-beam/core/shapes/kind';

/** Sections: a keystroke in the search field, and all properties of an outline of 200 corners; medians in milliseconds. */
const median = (times: number[]): number => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!;
function timed(runs: number, action: () => unknown): number {
  for (let i = 0; i < 3; i++) action();
  return median(
    Array.from({ length: runs }, () => {
      const begun = performance.now();
      action();
      return performance.now() - begun;
    }),
  );
}

const texts = ['i', 'ip', 'ipe', 'ipe 3', '310 uc', 'I > 5000 cm4, mass < 40 kg/m'];
const search = Math.max(...texts.map((text) => timed(21, () => searchCatalogue({ text }))));

/** A star of 200 corners: thick in the middle, thin at its points. */
const star: Corner[] = Array.from({ length: 200 }, (_, i) => {
  const [angle, r] = [(2 * Math.PI * i) / 200, 0.1 + 0.02 * Math.cos((10 * Math.PI * i) / 100)];
  return { z: r * Math.cos(angle), y: r * Math.sin(angle) };
});
const { mesh } = outlineProperties([star]);
console.log(
  JSON.stringify({ search, outline: timed(9, () => outlineProperties([star])), triangles: mesh.triangles, digits: mesh.digits }),
);
