import type { SectionPart } from '../../shapes/shape';
import { edgesOf, extentOf } from '../path';
import { linesOfParts } from './lines';

/**
 * The parts and their image in a mirror that stands half the gap to the left of them: double angles and channels back to back, or, with a
 * wide gap, laced ones. The middle of the gap comes to lie at z = 0.
 */
export function paired(parts: readonly SectionPart[], gap: number): readonly SectionPart[] {
  const [left] = extentOf(linesOfParts(parts).flatMap(edgesOf)).z;
  const shift = gap / 2 - left;
  const moved = parts.map((part) => ({ ...part, at: [(part.at?.[0] ?? 0) + shift, part.at?.[1] ?? 0] }));
  return [...moved, ...moved.map(mirrorImage)];
}

/** A part as a mirror along z = 0 shows it. */
function mirrorImage({ at, angle, mirrored, ...rest }: SectionPart): SectionPart {
  const [z = 0, y = 0] = at ?? [];
  // A corner at zero is no negative zero.
  const place = [z === 0 ? 0 : -z, y];
  return { ...rest, at: place, ...(angle && { angle: -angle }), ...(!mirrored && { mirrored: true }) };
}
