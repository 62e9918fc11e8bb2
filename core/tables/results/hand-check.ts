import type { DisplayUnits } from '../../quantities/display';
import { inUnit, showNumber, showQuantity } from '../../quantities/show';
import type { HandCheck, HandLoad, HandValue } from '../../results/hand-check';
import type { Table } from '../column';
import { handCheck as WORDS } from '../words';

/** A difference in percent of what was worked out, as one says it. */
export function differenceWords(byHand: number, solved: number): string {
  if (byHand === 0) return solved === 0 ? WORDS.same : WORDS.nothing;
  const percent = (100 * (Math.abs(solved) - Math.abs(byHand))) / Math.abs(byHand);
  if (Math.sign(byHand) !== Math.sign(solved) && Math.abs(solved) > 1e-6 * Math.abs(byHand)) return WORDS.otherWay;
  if (Math.abs(percent) < 0.05) return WORDS.same;
  return percent > 0 ? WORDS.more(showNumber(percent, 3)) : WORDS.less(showNumber(-percent, 3));
}

/** The formulas of the textbook beside what was solved. */
export function handTable({ values }: HandCheck, display: DisplayUnits): Table<HandValue> {
  const unit = ({ what }: HandValue): string => (what === 'deflection' ? display.deflection : display.moment);
  return {
    title: WORDS.title,
    columns: [
      { key: 'what', title: '', value: ({ what }) => WORDS.what[what] },
      { key: 'formula', title: WORDS.formula, value: ({ formula }) => formula },
      { key: 'hand', title: WORDS.byHand, value: (row) => `${showNumber(inUnit(row.byHand, unit(row)))} ${unit(row)}` },
      { key: 'solved', title: WORDS.solved, value: (row) => `${showNumber(inUnit(row.solved, unit(row)))} ${unit(row)}` },
      { key: 'difference', title: WORDS.difference, value: ({ byHand, solved }) => differenceWords(byHand, solved) },
    ],
    rows: values,
  };
}

/** From here on an end is not fixed, but turned by what is beside it. */
const MORE = 1.05;

const loadWords = (load: HandLoad, display: DisplayUnits): string => {
  const intensity = (w: number): string => showQuantity(Math.abs(w), `${display.force}/${display.length}`);
  switch (load.kind) {
    case 'uniform':
      return WORDS.uniform(intensity(load.w));
    case 'triangular':
      return WORDS.triangular(intensity(load.w), WORDS.side[load.full]);
    case 'point':
      return WORDS.point(showQuantity(Math.abs(load.P), display.force), showQuantity(load.a, display.length));
  }
};

/** Which beam it is held against, and why it differs from that. */
export function handWords({ held, load, fixity }: HandCheck, display: DisplayUnits): string {
  const beam = WORDS.beam(WORDS.held[held], loadWords(load, display));
  const { start, end } = fixity;
  if (start === undefined || end === undefined) return beam;
  const share = (part: number): string =>
    part > MORE ? WORDS.overFixed(showNumber(part, 3)) : WORDS.fixed(Math.round(100 * part));
  return `${beam} ${share(start) === share(end) ? WORDS.bothEnds(share(start)) : WORDS.ends(share(start), share(end))}`;
}
