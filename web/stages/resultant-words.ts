import { alongAxis, axisKeys, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { WAYS } from '@rigid-beam/core/phrases/phrase';
import type { Model } from '@rigid-beam/core/model/model';
import { dot, type Point } from '@rigid-beam/core/model/point';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showNumber, showQuantity } from '@rigid-beam/core/quantities/show';
import { showForce, showMoment } from '@rigid-beam/core/quantities/show-load';
import type { Resultant } from '@rigid-beam/core/results/resultant';
import { resultsBench as WORDS } from './words';

/** Part of a force times a length under which nothing turns about its line. */
const NONE = 1e-9;

/** What loads amount to together, in a sentence: how much, which way, and on which line. */
export function resultantWords(found: Resultant | undefined, space: Model['space'], display: DisplayUnits): string {
  if (!found) return WORDS.hold;
  const { force, size, foot, couple } = found;
  if (size === 0) return WORDS.coupleAlone(showMoment(couple, display));
  const way = wayOf(force.map((part) => part / size) as unknown as Point, space);
  const through = space === 'plane' ? crossing(force, foot) : foot;
  const places = axisKeys.slice(0, space === 'plane' ? 2 : 3).map((key, k) => {
    const axis = structureAxis(display, key);
    const at = alongAxis(axis, through[k as 0 | 1 | 2]);
    return `${axis.letter} ${showQuantity(Math.abs(at) < 1e-9 ? 0 : at, display.length, 4)}`;
  });
  const reach = Math.max(1, ...foot.map(Math.abs));
  const turns = Math.abs(couple) > NONE * size * reach ? showMoment(couple, display) : undefined;
  return WORDS.together([showForce(size, display), way].filter(Boolean).join(' '), places.join(', '), turns);
}

/** The word for a direction, or in the plane its angle; in space the components stand above. */
function wayOf(direction: Point, space: Model['space']): string {
  const named = Object.entries(WAYS).find(([, way]) => dot(way, direction) > 1 - 1e-9);
  if (named) return named[0];
  return space === 'plane' ? `at ${showNumber((Math.atan2(direction[1], direction[0]) * 180) / Math.PI, 4)}°` : '';
}

/** Where the line of action meets the level of the origin, or of what acts rather across, the upright through it. */
function crossing([fx, fy]: Point, [x, y]: Point): Point {
  return Math.abs(fy) >= Math.abs(fx) ? [x - (y * fx) / fy, 0, 0] : [0, y - (x * fy) / fx, 0];
}
