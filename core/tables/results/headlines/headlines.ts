import type { Model } from '../../../model/model';
import type { DisplayUnits } from '../../../quantities/display';
import { showNumber, showQuantity } from '../../../quantities/show';
import { extremesOverMembers, type OverMembers } from '../../../results/extremes-over-members';
import { quietValue } from '../../../results/noise';
import { isLine, quantityWords, unitOfQuantity, type LineQuantity, type Quantity } from '../../../results/quantities';
import { isReadByPlace, partsOf, valueAt } from '../../../results/read';
import { quantityExtremes } from '../../../results/read-quantity';
import type { Solution } from '../../../results/results';
import { trainsFor } from '../../../results/travelling/where';
import { isPlane } from '../../../stiffness/structure';
import { standingWords } from '../../influence/standing';
import { headlines as WORDS } from '../../words';
import { proportionOf, timesWords } from './movement';
import { largestMovement, type Movement } from '../../../results/movement';
import type { PlaceOnMember } from '../../../results/place-on-member';
import { placeOnMemberWords } from './place';
import { sideWords, wayWords } from './side';

/** One of the few things that are asked first, and where it is. */
export interface Headline {
  readonly key: 'moment' | 'axial' | 'shear' | 'movement' | 'stress';
  readonly quantity: Quantity;
  readonly title: string;
  /** The value, and in plain words where and how. */
  readonly value: string;
  readonly words: string;
  readonly at: PlaceOnMember;
  /** The outcome that it comes from. */
  readonly from: number;
}

/** Finds the extremes of a quantity over all members; undefined where it is not known, or not yet. */
export type Governing = (quantity: Quantity) => OverMembers | undefined;

interface Asked {
  readonly model: Model;
  readonly solution: Solution;
  readonly outcome: number;
  readonly display: DisplayUnits;
  /** The members that are read, by index; all where it is not said. */
  readonly members?: readonly number[];
}

/** Members times parts of an envelope whose movements are looked at one by one: more would keep the page waiting. */
const MOST_PLACED = 6000;

/** The largest moment, the largest axial or shear force, the largest movement, and the stress that comes nearest to its yield; those that there are. */
export function headlinesOf(asked: Asked, governing: Governing): readonly Headline[] {
  return [moment, force, movement, stress].flatMap((line) => line(asked, governing) ?? []);
}

/** The same of one member or a few, with its axial and its shear force each for itself, and none of it called the largest. */
export function memberLines(asked: Asked & { readonly members: readonly number[] }): readonly Headline[] {
  const { solution, outcome, members } = asked;
  const governing: Governing = (quantity) => extremesOverMembers(solution, outcome, quantity, members);
  return [moment, axial, shear, movement, stress].flatMap((line) => {
    const found = line(asked, governing);
    return found ? [{ ...found, title: WORDS.ofMember[found.key] }] : [];
  });
}

interface Largest extends PlaceOnMember {
  readonly quantity: LineQuantity;
  readonly value: number;
  readonly from: number;
}

/** The largest of some quantities, whatever its sign; of equal ones the first. */
function largest({ solution, outcome }: Asked, quantities: readonly LineQuantity[], governing: Governing): Largest | undefined {
  let found: Largest | undefined;
  for (const quantity of quantities) {
    const over = governing(quantity);
    if (!over) continue;
    for (const { value, member, x, from } of [over.max, over.min]) {
      const quiet = quietValue(solution, outcome, quantity, value);
      if (Math.abs(quiet) > Math.abs(found?.value ?? 0) * (1 + 1e-9)) found = { quantity, value: quiet, member, x, from };
    }
  }
  return found;
}

function moment(asked: Asked, governing: Governing): Headline | undefined {
  const { solution, display } = asked;
  const { structure } = solution;
  const found = largest(asked, isPlane(structure) ? ['Mz'] : ['Mz', 'My'], governing);
  if (!found) return undefined;
  const { quantity, value, member } = found;
  // A positive moment pulls the face on the negative side of the axis across which it bends.
  const across = quantity === 'Mz' ? 3 : 6;
  const pulled = [0, 1, 2].map((k) => -Math.sign(value) * structure.axes[9 * member + across + k]!) as [number, number, number];
  return told(asked, found, {
    key: 'moment',
    title: WORDS.moment,
    value: showQuantity(Math.abs(value), unitOfQuantity(quantity, display)),
    how: WORDS.tension(sideWords(structure, pulled, display)),
  });
}

const axial = (asked: Asked, governing: Governing): Headline | undefined => force(asked, governing, ['N']);
const shear = (asked: Asked, governing: Governing): Headline | undefined =>
  force(asked, governing, isPlane(asked.solution.structure) ? ['Vy'] : ['Vy', 'Vz']);

function force(
  asked: Asked,
  governing: Governing,
  quantities: readonly LineQuantity[] = isPlane(asked.solution.structure) ? ['N', 'Vy'] : ['N', 'Vy', 'Vz'],
): Headline | undefined {
  const { display } = asked;
  const found = largest(asked, quantities, governing);
  if (!found) return undefined;
  const { quantity, value } = found;
  return told(asked, found, {
    key: quantity === 'N' ? 'axial' : 'shear',
    title: quantity === 'N' ? WORDS.axial : WORDS.shear,
    value: showQuantity(Math.abs(value), unitOfQuantity(quantity, display)),
    how: quantity === 'N' ? (value > 0 ? WORDS.pulled : WORDS.pressed) : '',
  });
}

interface Said {
  readonly key: Headline['key'];
  readonly title: string;
  readonly value: string;
  /** What is said before the place, and behind it. */
  readonly lead?: string;
  readonly how: string;
}

/** With its place, the combination that it comes from, and where its trains stand. */
function told(
  { solution, outcome, display, members }: Asked,
  found: Largest | (PlaceOnMember & { quantity: Quantity; value: number; from: number }),
  { lead, how, ...said }: Said,
): Headline {
  const { quantity, value, member, x, from } = found;
  const { structure, outcomes } = solution;
  const trains = isLine(quantity) ? trainsFor(solution, from, { m: member, quantity, x }, value > 0 ? 1 : -1) : [];
  const words = [
    [lead, placeOnMemberWords(structure, { member, x }, display, members?.length === 1 ? 'unnamed' : 'named')]
      .filter(Boolean)
      .join(', '),
    how,
    from === outcome ? '' : [WORDS.by(outcomes[from]!.id), atTheSameTime(solution, found, display)].filter(Boolean).join(' '),
    ...trains.map(({ travel, standing }) => standingWords(travel.path, standing, structure, display)),
  ];
  return { ...said, quantity, words: words.filter(Boolean).join(', '), at: { member, x }, from };
}

/** Beside a moment of an envelope the axial force that there is with it, beside an axial force the moment: in that combination, at that place. */
function atTheSameTime(
  solution: Solution,
  { quantity, member, x, from }: PlaceOnMember & { readonly quantity: Quantity; readonly from: number },
  display: DisplayUnits,
): string {
  if (isReadByPlace(solution, from)) return '';
  const read = (other: LineQuantity): number => quietValue(solution, from, other, valueAt(solution, from, member, other, x));
  const shown = (other: LineQuantity, value: number): string => showQuantity(Math.abs(value), unitOfQuantity(other, display));
  if (quantity === 'Mz' || quantity === 'My') {
    const N = read('N');
    return N === 0 ? '' : WORDS.withForce(shown('N', N), N > 0 ? WORDS.pulled : WORDS.pressed);
  }
  if (quantity !== 'N') return '';
  const plane = isPlane(solution.structure);
  const moments = (plane ? (['Mz'] as const) : (['Mz', 'My'] as const)).flatMap((other) => {
    const M = read(other);
    const name = plane ? WORDS.aMoment : quantityWords('space', other, display).symbol;
    return M === 0 ? [] : [`${name} ${shown(other, M)}`];
  });
  return moments.length === 0 ? '' : WORDS.withMoment(moments.join(', '));
}

/** The parts in which the structure has one place each; none where there are too many of them. */
function placedParts({ solution, outcome, members }: Asked): readonly number[] {
  const parts = partsOf(solution, outcome);
  const isShort = parts.length * (members ?? solution.structure.names.members).length <= MOST_PLACED;
  return isShort && !isReadByPlace(solution, outcome) ? parts : [];
}

function movement(asked: Asked, governing: Governing): Headline | undefined {
  const { model, solution, display } = asked;
  const { structure } = solution;
  let most: (Movement & { readonly from: number }) | undefined;
  for (const part of placedParts(asked)) {
    const found = largestMovement(solution, part, asked.members);
    if (found && found.size > (most?.size ?? 0) * (1 + 1e-9)) most = { ...found, from: part };
  }
  if (!most) {
    const found = largest(asked, isPlane(structure) ? ['v'] : ['v', 'w'], governing);
    if (!found) return undefined;
    const value = showQuantity(Math.abs(found.value), display.deflection, 3);
    return told(asked, found, { key: 'movement', title: WORDS.movement, value, how: WORDS.acrossMember });
  }
  const { at, size, way, from } = most;
  const part = proportionOf(model, solution, from, most);
  return told(
    asked,
    { ...at, quantity: largestOf(way, structure.axes, at.member), value: size, from },
    {
      key: 'movement',
      title: WORDS.movement,
      value: showQuantity(size, display.deflection, 3),
      lead: wayWords(structure, way, display),
      how: part ? WORDS.proportion[part.of](timesWords(part.times)) : '',
    },
  );
}

/** Which of the member's own deflections shows a movement best. */
function largestOf(way: readonly number[], axes: Float64Array, member: number): 'u' | 'v' | 'w' {
  const along = (axis: number): number =>
    Math.abs(way.reduce((sum, part, k) => sum + part * axes[9 * member + 3 * axis + k]!, 0));
  return along(1) >= along(2) ? 'v' : 'w';
}

function stress(asked: Asked, governing: Governing): Headline | undefined {
  const { model, solution, outcome, display } = asked;
  const over = governing('sigma');
  if (!over) return undefined;
  const yields = new Map(model.materials.map(({ id, fy }) => [id, fy]));
  let found: { member: number; x: number; value: number; from: number; share: number | undefined } | undefined;
  // Where all yield alike, the greatest stress decides, which is known.
  const isAlike = new Set(model.members.map(({ material }) => yields.get(material))).size === 1;
  const { members = isAlike ? [over.max.member, over.min.member] : model.members.map((_, m) => m) } = asked;
  members.forEach((member) => {
    const { material } = model.members[member]!;
    const own = quantityExtremes(solution, outcome, member, 'sigma');
    if (!own) return;
    const fy = yields.get(material);
    for (const { value, x, from } of [own.max, own.min]) {
      const share = fy && Math.abs(value) / fy;
      const isMore =
        found === undefined ||
        (share ?? 0) > (found.share ?? 0) * (1 + 1e-9) ||
        (!share && !found.share && Math.abs(value) > Math.abs(found.value));
      if (isMore) found = { member, x, value, from, share };
    }
  });
  if (!found || Math.abs(found.value) === 0) return undefined;
  const { share, value } = found;
  const shown = showQuantity(Math.abs(value), unitOfQuantity('sigma', display), 3);
  return told(
    asked,
    { ...found, quantity: 'sigma' },
    {
      key: 'stress',
      title: WORDS.stress,
      value: shown,
      how: [
        value > 0 ? WORDS.pulled : WORDS.pressed,
        share === undefined ? WORDS.noYield : WORDS.ofYield(showNumber(100 * share, 3)),
      ].join(', '),
    },
  );
}
