/** Which pixels of a picture are ink: lines to trace on, row by row from the upper left corner. */
export interface InkMap {
  readonly width: number;
  readonly height: number;
  /** 1 where the pixel is dark. */
  readonly dark: Uint8Array;
}

/**
 * Tells ink from paper by the threshold that separates the two best (Otsu, 1979, IEEE Trans. Systems, Man and Cybernetics 9, p. 62).
 * `rgba`: four bytes a pixel. Light lines on dark paper are ink too: what covers less of the picture is taken for the lines.
 */
export function inkOf(rgba: Uint8ClampedArray | Uint8Array, width: number, height: number): InkMap {
  const count = width * height;
  const grey = new Uint8Array(count);
  const histogram = new Float64Array(256);
  for (let i = 0; i < count; i++) {
    grey[i] = (rgba[4 * i]! * 299 + rgba[4 * i + 1]! * 587 + rgba[4 * i + 2]! * 114) / 1000;
    histogram[grey[i]!]!++;
  }
  const threshold = otsu(histogram, count);
  const dark = new Uint8Array(count);
  let inked = 0;
  for (let i = 0; i < count; i++) inked += dark[i] = grey[i]! <= threshold ? 1 : 0;
  if (inked > count / 2) for (let i = 0; i < count; i++) dark[i] = 1 - dark[i]!;
  return { width, height, dark };
}

function otsu(histogram: Float64Array, count: number): number {
  const all = histogram.reduce((sum, n, level) => sum + n * level, 0);
  let [below, sum, best, threshold] = [0, 0, -1, 0];
  for (let level = 0; level < 255; level++) {
    below += histogram[level]!;
    sum += level * histogram[level]!;
    const above = count - below;
    if (below === 0 || above === 0) continue;
    const between = below * above * (sum / below - (all - sum) / above) ** 2;
    if (between <= best) continue;
    best = between;
    threshold = level;
  }
  return threshold;
}

/** The picture and smaller ones of it, each half as large as the one before; what is inked in any of four pixels is inked in the one for them. */
export function inkLevels(map: InkMap, count = 6): InkMap[] {
  const levels = [map];
  while (levels.length < count) {
    const large = levels.at(-1)!;
    const [width, height] = [Math.ceil(large.width / 2), Math.ceil(large.height / 2)];
    const dark = new Uint8Array(width * height);
    for (let y = 0; y < large.height; y++)
      for (let x = 0; x < large.width; x++) if (large.dark[y * large.width + x] === 1) dark[(y >> 1) * width + (x >> 1)] = 1;
    levels.push({ width, height, dark });
  }
  return levels;
}
