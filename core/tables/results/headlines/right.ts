import { isRange } from '../../../combinations/outcome';
import { forceSenseOf } from '../../../model/behaviour';
import type { Model } from '../../../model/model';
import { once } from '../../../once';
import type { DisplayUnits } from '../../../quantities/display';
import { digitsOfShare, showQuantity } from '../../../quantities/show';
import { mirrorOf } from '../../../model/mirrored';
import { alongAxis, structureAxis } from '../../../quantities/axis-names';
import { energiesOf, mutualWork } from '../../../results/energy';
import { diagramOf } from '../../../results/diagram';
import { reachIn } from '../../../results/extremes';
import { sizesOf } from '../../../results/noise';
import {
  isDisplacement,
  lineQuantities,
  quantityTable,
  quantityWords,
  unitOfQuantity,
  type Quantity,
} from '../../../results/quantities';
import type { Solution } from '../../../results/results';
import { oneSidedIn } from '../../../model/loads/one-sided';
import { jointAt, meanAxialForce, reactionAlong, slackCounts } from '../../../results/slack';
import { responseOf } from '../../../results/sums';
import type { Recheck } from '../../../recheck/recheck';
import { isPlane } from '../../../stiffness/structure';
import { right as WORDS } from './right-words';
import type { Governing } from './headlines';
import { largestMovement } from '../../../results/movement';
import { proportionOf, timesWords } from './movement';

/** One thing that tells whether results can be right, as a sentence with its number. */
export interface Judgement {
  readonly key: string;
  readonly words: string;
  /** Whether it is as it should be, or asks for a look. */
  readonly is: 'well' | 'to be looked at';
}

interface Asked {
  readonly model: Model;
  readonly solution: Solution;
  readonly outcome: number;
  readonly display: DisplayUnits;
  /** What the sheet shows. */
  readonly drawn: Quantity;
}

/** Digits under which a result is doubtful. */
const FEW_DIGITS = 6;
/** A movement that is a larger part of the span or height changes what the loads do. */
const LARGE = 50;
/** A force beside the largest under which a member carries nothing. */
const NOTHING = 1e-6;
/** Members whose forces are looked at one by one. */
const MOST_MEMBERS = 3000;
const NAMED = 6;

/** What can be said of an outcome at once. */
export function judgementsOf(asked: Asked, governing: Governing): readonly Judgement[] {
  // A shape is of no particular size: nothing balances in it.
  if (asked.solution.outcomes[asked.outcome]!.kind === 'shape') return [];
  return [balance, displaced, oneSided, neverActs, digits, movement, otherAxis].flatMap((judge) => judge(asked, governing) ?? []);
}

/** What looks at each member or load of an outcome, and so takes its time; in the order in which it is told, behind the rest. */
export const closerLooks: readonly ((asked: Omit<Asked, 'drawn'>) => Judgement | undefined)[] = [
  energy,
  reciprocity,
  symmetry,
  idle,
];

const judged = (key: string, words: string, is: Judgement['is']): Judgement => ({ key, words, is });
/** With a number that should not be less than another one; what is no number is doubtful. */
const atLeast = (value: number, least: number): Judgement['is'] => (value >= least ? 'well' : 'to be looked at');

function balance({ solution, outcome }: Asked): Judgement | undefined {
  const response = responseOf(solution, outcome);
  if (!response) return undefined;
  const { residual, jointResidual } = response.equilibrium;
  const worst = Math.max(residual, jointResidual);
  return judged('balance', WORDS.balance(digitsOfShare(worst)), atLeast(digitsOfShare(worst), FEW_DIGITS));
}

/** A largest moment that is more than so many times that of the first order tells that the load is near the critical one. */
const MUCH = 1.5;

/** What the second order makes of the first, and how the structure leans in it. */
function displaced({ model, solution, outcome, display }: Asked): Judgement | undefined {
  const leans = solution.displaced?.[outcome];
  if (!leans || !solution.firstOrder || model.members.length > MOST_MEMBERS) return undefined;
  const first = { ...solution, outcomes: solution.firstOrder };
  const moments = [solution, first].map((one) => largestMoment(one, outcome)) as [number, number];
  // Bars alone have none.
  const isBent = Math.max(...moments) > NOTHING * sizesOf(solution, outcome).couple;
  const moved = (one: Solution): number => largestMovement(one, outcome)?.size ?? 0;
  const [now, before] = isBent ? moments : [moved(solution), moved(first)];
  const size = Math.hypot(...leans.sway);
  const imperfect = WORDS.leans(
    size === 0 ? undefined : Math.round(1 / size),
    leans.bow === 0 ? undefined : Math.round(1 / leans.bow),
  );
  const shown = (value: number): string => showQuantity(value, isBent ? display.moment : display.deflection);
  const times = before === 0 ? undefined : now / before;
  return judged(
    'displaced',
    WORDS.displaced(isBent ? 'moment' : 'movement', times, shown(now), shown(before)) + imperfect,
    times !== undefined && times > MUCH ? 'to be looked at' : 'well',
  );
}

/** The largest bending moment of an outcome, about either axis. */
function largestMoment(solution: Solution, outcome: number): number {
  let most = 0;
  for (let m = 0; m < solution.structure.lengths.length; m++) {
    const diagram = diagramOf(solution, outcome, m);
    for (const quantity of ['Mz', 'My'] as const) {
      const { high, low } = reachIn(diagram, quantity);
      most = Math.max(most, high, -low);
    }
  }
  return most;
}

/** What acts one way: which members are slack, which supports lifted off and which joints within their gaps, and how far from nothing what they may not take is beside the largest force. */
function oneSided({ model, solution, outcome }: Asked): Judgement | undefined {
  const letGo = solution.letGo?.[outcome];
  const response = letGo && responseOf(solution, outcome);
  if (!letGo || !response) return undefined;
  const { slack, lifted, open } = letGo;
  const { ends, equilibrium } = response;
  const { names } = solution.structure;
  const hangs = new Set(slack);
  const wrong = model.members.map((member, m) => {
    const force = forceSenseOf(member) * meanAxialForce(ends, m);
    return hangs.has(m) ? Math.abs(force) : Math.max(0, -force);
  });
  const cases = oneSidedIn(model);
  const gone = new Set(letGo.gone);
  for (const [i, one] of cases.entries()) {
    if (one.of === 'joint') {
      const force = one.side * ends[jointAt(one, names.members.indexOf(one.member))]!;
      // All of it is that of one way where the other has let go.
      if (gone.has(i + one.side)) wrong.push(gone.has(i) ? Math.abs(force) : Math.max(0, -force));
      continue;
    }
    if (one.of !== 'support') continue;
    const at = { node: names.nodes.indexOf(one.node), along: one.along };
    const force = one.side * reactionAlong(solution.structure, at, response.reactions);
    const isOff = lifted.some(({ node, along }) => node === at.node && along === at.along);
    wrong.push(isOff ? Math.abs(force) : Math.max(0, -force));
  }
  const agreed = digitsOfShare(wrong.reduce((most, one) => Math.max(most, one), 0) / equilibrium.size);
  const listed = (ids: readonly string[]): string => {
    const first = ids.slice(0, NAMED).map((id) => `“${id}”`);
    return first.join(', ') + (ids.length > first.length ? WORDS.more(ids.length - first.length) : '');
  };
  const has = (kind: (typeof cases)[number]['of']): boolean => cases.some(({ of }) => of === kind);
  const words = WORDS.letGo(
    has('member') ? listed(slack.map((m) => names.members[m]!)) : undefined,
    {
      supports: has('support') ? listed([...new Set(lifted.map(({ node }) => names.nodes[node]!))]) : undefined,
      joints: has('joint') ? listed([...new Set(open.map(({ member }) => names.members[member]!))]) : undefined,
    },
    agreed,
  );
  return judged('one-sided', words, atLeast(agreed, FEW_DIGITS));
}

/** Members that act one way and are slack whatever acts: they could as well not be there, or a case is missing. */
function neverActs({ model, solution }: Asked): Judgement | undefined {
  if (!solution.letGo) return undefined;
  const { of, byMember } = slackCounts(solution.letGo);
  const always = [...byMember].flatMap(([m, count]) => (count === of ? [m] : []));
  if (always.length === 0) return undefined;
  const ids = always.slice(0, NAMED).map((m) => `“${model.members[m]!.id}”`);
  return judged('never-acts', WORDS.alwaysSlack(ids.join(', '), always.length - ids.length), 'to be looked at');
}

/** Whether theorems of the first order do not hold in it. */
const isOfItsOwn = (solution: Solution, outcome: number): boolean =>
  solution.outcomes[outcome]!.kind === 'shape' || solution.displaced?.[outcome] !== undefined;

/** Clapeyron: what loads do is what members and springs store. */
function energy({ model, solution, outcome }: Omit<Asked, 'drawn'>): Judgement | undefined {
  // Clapeyron's theorem is one of the first order.
  if (isOfItsOwn(solution, outcome) || model.members.length > MOST_MEMBERS) return undefined;
  const found = energiesOf(solution, outcome);
  if (!found) return undefined;
  const { work, stored } = found;
  const size = Math.max(Math.abs(work), Math.abs(stored));
  if (size === 0) return undefined;
  const agreed = digitsOfShare(Math.abs(work - stored) / size);
  return judged('energy', WORDS.energy(agreed), atLeast(agreed, FEW_DIGITS));
}

/** Betti: what the loads of one case do on the movements of another is what those do on the movements of the first. */
function reciprocity({ model, solution, outcome }: Omit<Asked, 'drawn'>): Judgement | undefined {
  const { outcomes } = solution;
  const isCase = (at: number): boolean => {
    const one = outcomes[at]!;
    return one.kind === 'solved' && one.factors === undefined;
  };
  if (!isCase(outcome) || model.members.length > MOST_MEMBERS) return undefined;
  for (let other = 0; other < outcomes.length; other++) {
    if (other === outcome || !isCase(other)) continue;
    const found = mutualWork(solution, outcome, other);
    if (!found) continue;
    const size = Math.max(...found.map(Math.abs));
    // Cases that do nothing on each other tell nothing.
    if (!(size > NOTHING * own(solution, outcome, other))) continue;
    const agreed = digitsOfShare(Math.abs(found[0] - found[1]) / size);
    return judged(
      'reciprocity',
      WORDS.reciprocity(outcomes[outcome]!.id, outcomes[other]!.id, agreed),
      atLeast(agreed, FEW_DIGITS),
    );
  }
  return undefined;
}

/** What two cases do on their own movements. */
const own = (solution: Solution, one: number, other: number): number =>
  Math.sqrt(Math.abs((energiesOf(solution, one)?.work ?? 0) * (energiesOf(solution, other)?.work ?? 0)));

/** Digits to which movements on both sides of a symmetric model agree where they are symmetric. */
const ALIKE = 1e-6;

/** Each outcome asks for the same. */
const found = once((model: Model) => mirrorOf(model));

/** A symmetric shape moves symmetrically, unless something is not the same on both sides. */
function symmetry({ model, solution, outcome, display }: Omit<Asked, 'drawn'>): Judgement | undefined {
  if (solution.outcomes[outcome]!.kind === 'shape' || Math.hypot(...(solution.displaced?.[outcome]?.sway ?? [0])) > 0)
    return undefined;
  const response = responseOf(solution, outcome);
  const mirror = response && found(model);
  if (!response || !mirror) return undefined;
  const { displacements } = response;
  const across = mirror.axis === 'x' ? 0 : 2;
  // Where one side is held for both, the whole is shifted along the axis.
  const shift = mirror.nodes.reduce((sum, _, node) => sum + displacements[6 * node + across]!, 0) / mirror.nodes.length;
  const moved = (node: number, k: number): number => displacements[6 * node + k]! - (k === across ? shift : 0);
  let [size, apart] = [0, 0];
  mirror.nodes.forEach((image, node) => {
    for (let k = 0; k < 3; k++) {
      const [here, there] = [moved(node, k), (k === across ? -1 : 1) * moved(image, k)];
      size = Math.max(size, Math.abs(here));
      apart = Math.max(apart, Math.abs(here - there));
    }
  });
  if (size === 0) return undefined;
  const place = `${structureAxis(display, mirror.axis).letter} = ${showQuantity(alongAxis(structureAxis(display, mirror.axis), mirror.at), display.length)}`;
  if (apart <= ALIKE * size) return judged('symmetry', WORDS.symmetric(place), 'well');
  if (mirror.unlike !== 'nothing') return judged('symmetry', WORDS.unlike[mirror.unlike](place), 'to be looked at');
  return judged('symmetry', WORDS.oneSided(place), 'well');
}

function digits({ solution: { digitsLost } }: Asked): Judgement {
  const left = Math.floor(16 - digitsLost);
  return judged('digits', WORDS.digits(left), atLeast(left, FEW_DIGITS));
}

function movement({ model, solution, outcome }: Asked): Judgement | undefined {
  // In second order large movements are counted.
  if (isRange(solution.outcomes[outcome]!) || isOfItsOwn(solution, outcome)) return undefined;
  const most = largestMovement(solution, outcome);
  const part = most && proportionOf(model, solution, outcome, most);
  if (!part) return undefined;
  return part.times >= LARGE
    ? judged('movement', WORDS.small(WORDS.of[part.of], timesWords(part.times)), 'well')
    : judged('movement', WORDS.large(WORDS.of[part.of], timesWords(part.times)), 'to be looked at');
}

/** In space the moments or shears about the other axis may be those that matter. */
function otherAxis({ solution, drawn, display }: Asked, governing: Governing): Judgement | undefined {
  const pairs: Readonly<Partial<Record<Quantity, Quantity>>> = { Mz: 'My', My: 'Mz', Vy: 'Vz', Vz: 'Vy' };
  const other = pairs[drawn];
  if (isPlane(solution.structure) || !other) return undefined;
  const sizeOf = (quantity: Quantity): number => {
    const over = governing(quantity);
    return over ? Math.max(Math.abs(over.max.value), Math.abs(over.min.value)) : 0;
  };
  const [here, there] = [sizeOf(drawn), sizeOf(other)];
  if (!(there > here * (1 + 1e-9))) return undefined;
  const shown = (quantity: Quantity, value: number): string => showQuantity(value, unitOfQuantity(quantity, display));
  const name = quantityWords('space', other, display).name;
  return judged('other axis', WORDS.otherAxis(name, shown(other, there), shown(drawn, here)), 'to be looked at');
}

/** Members in which there is nothing, which is often a mistake. */
function idle({ model, solution, outcome }: Omit<Asked, 'drawn'>): Judgement | undefined {
  const { kind } = solution.outcomes[outcome]!;
  if (kind === 'shape' || isRange(solution.outcomes[outcome]!) || model.members.length > MOST_MEMBERS) return undefined;
  const sizes = sizesOf(solution, outcome);
  if (sizes.force === 0) return undefined;
  const forces = lineQuantities.filter((quantity) => !isDisplacement(quantity));
  // What is slack is told as such.
  const slack = new Set(solution.letGo?.[outcome]?.slack);
  const names = model.members.flatMap(({ id }, m) => {
    if (slack.has(m)) return [];
    const diagram = diagramOf(solution, outcome, m);
    const carries = forces.some((quantity) => {
      const { high, low } = reachIn(diagram, quantity);
      const size = quantityTable[quantity].dimension === 'force' ? sizes.force : sizes.couple;
      return Math.max(high, -low) > NOTHING * size;
    });
    return carries ? [] : [id];
  });
  if (names.length === 0) return judged('idle', slack.size > 0 ? WORDS.othersCarry : WORDS.allCarry, 'well');
  const some = names.slice(0, NAMED).join(', ');
  return judged('idle', WORDS.idle(names.length, names.length > NAMED ? `${some} …` : some), 'to be looked at');
}

/** What another way to the same answer found. */
export function recheckWords(found: Recheck, display: DisplayUnits): Judgement {
  switch (found.status) {
    case 'compared': {
      const { difference, where, values } = found;
      const place =
        'node' in where
          ? WORDS.atNode(where.node)
          : WORDS.inMember(quantityWords('space', where.quantity, display).symbol, where.member);
      const agreed = digitsOfShare(difference);
      return judged('recheck', WORDS.rechecked(values, agreed, place), atLeast(agreed, FEW_DIGITS));
    }
    case 'large':
      return judged('recheck', WORDS.tooLarge(found.unknowns), 'well');
    default:
      return judged('recheck', WORDS.notCompared[found.status], 'well');
  }
}
