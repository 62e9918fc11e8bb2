import type { DisplayUnits } from '../../quantities/display';
import { showQuantity } from '../../quantities/show';
import type { Path } from '../../results/travelling/path';
import { placeOnMember, placeWords, spanAt } from '../../results/travelling/place';
import type { Standing } from '../../results/travelling/worst';
import type { Structure } from '../../stiffness/structure';
import { influence as WORDS } from '../words';

/** Where a train stands, by the first of its axles that is on the path: “axle 1 in b at 2.4 m, going back”. */
export function standingWords(path: Path, { axles, way, value }: Standing, s: Structure, display: DisplayUnits): string {
  const first = axles.findIndex((one) => one >= 0 && one <= path.length);
  if (value === 0 || first < 0) return WORDS.beside;
  const at = axles[first]!;
  const place = placeWords(s, path, at, (metres) => showQuantity(metres, display.length));
  const { from, to } = spanAt(path, at);
  const where = placeOnMember(path, at) ? 'within' : at <= from || at >= to ? 'at' : 'between';
  return WORDS.stands(first + 1, where, place, way);
}
