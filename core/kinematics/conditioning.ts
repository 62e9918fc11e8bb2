import type { Factor } from '../linear-algebra/factor';
import { freedoms as freedomNames, type Freedom } from '../model/model';
import type { Notice } from '../model/notice';
import type { Numbering } from '../stiffness/numbering';
import { BOWS_V, BOWS_W, FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/** Digits of a number in double precision. */
const DIGITS = 15.95;
/** Fewer digits than this left, and the results say so. */
const ENOUGH = 6;

/** The index of a node, and its freedom (0…5). */
export interface Place {
  readonly node: number;
  readonly freedom: number;
}

/** How many digits the elimination cancelled, and where a stiffness shrank most (-1 in a structure without unknowns). */
export interface Conditioning extends Place {
  readonly digitsLost: number;
}

/**
 * The decay of the pivots: a pivot that is 10⁻ᵏ of the diagonal entry it started from has lost k digits to cancellation
 * (Irons and Ahmad, Techniques of Finite Elements, 1980, ch. 2).
 */
export function conditioningOf(factor: Factor, numbering: Numbering): Conditioning {
  return { digitsLost: Math.max(0, -Math.log10(factor.smallestRatio)), ...placeOf(numbering, factor.smallestAt) };
}

/** Where an unknown is; -1 and -1 of no unknown. */
export function placeOf({ freedoms }: Numbering, unknown: number): Place {
  if (unknown < 0) return { node: -1, freedom: -1 };
  return { node: Math.floor(freedoms[unknown]! / FREEDOMS), freedom: freedoms[unknown]! % FREEDOMS };
}

export const placeNamed = (s: Structure, { node, freedom }: { node: string; freedom: Freedom }): Place => ({
  node: s.names.nodes.indexOf(node),
  freedom: freedomNames.indexOf(freedom),
});

/** A warning where fewer than 6 digits remain, with the stiffnesses that differ most. */
export function conditioningNotice(
  s: Structure,
  members: readonly (readonly number[])[],
  found: Conditioning,
): Notice | undefined {
  const left = DIGITS - found.digitsLost;
  if (left >= ENOUGH || found.node < 0) return undefined;
  const trouble = troubleAt(s, members, found);
  return {
    code: 'few-digits',
    severity: 'warning',
    message: `About ${Math.max(0, Math.floor(left))} of 16 digits of the results can be trusted: ${Math.round(found.digitsLost)} were lost ${trouble.message}`,
    subjects: trouble.subjects,
  };
}

/** An error where a part that something holds cannot be told from a free one any more. */
export function noDigitsNotice(s: Structure, members: readonly (readonly number[])[], place: Place): Notice {
  const trouble = troubleAt(s, members, place);
  return {
    code: 'no-digits-left',
    severity: 'error',
    message: `The numbers would not be right: what holds a part of the structure is lost in rounding, ${trouble.message}`,
    subjects: trouble.subjects,
  };
}

/** Where digits were lost, which stiffnesses are to blame, and what to do. */
export function troubleAt(
  s: Structure,
  members: readonly (readonly number[])[],
  { node, freedom }: Place,
): { message: string; subjects: string[] } {
  const name = s.names.nodes[node]!;
  const ratio = suspiciousRatio(s, members, node);
  return {
    message: `in ${freedomNames[freedom]} of node ${name}. ${ratio.message}`,
    subjects: [`node ${name}`, ...ratio.subjects],
  };
}

/** A way in which something holds a node. */
interface Hold {
  /** N/m */
  readonly value: number;
  readonly name: string;
  readonly subject: string;
}

/** Stiffnesses that differ by fewer powers of ten are no trouble. */
const SUSPICIOUS = 5;

/** The stiffest and the softest way in which members and springs hold the nodes: around a place, else anywhere. */
function suspiciousRatio(
  s: Structure,
  members: readonly (readonly number[])[],
  node: number,
): { message: string; subjects: string[] } {
  const near = new Set(members[node]);
  for (const m of members[node]!)
    for (let e = 0; e < 2; e++) for (const other of members[s.memberNodes[2 * m + e]!]!) near.add(other);
  const around = extremesOf(s, near);
  const isNear = around !== undefined && powersBetween(around) >= SUSPICIOUS;
  const found = isNear ? around : extremesOf(s, s.names.members.keys());
  if (!found || powersBetween(found) < SUSPICIOUS)
    return {
      message:
        'No stiffnesses differ that much: look for a part that is nearly a mechanism, or for a long chain of short members, and divide it less.',
      subjects: [],
    };
  const [stiffest, softest] = found;
  return {
    message: `${isNear ? 'Nearby' : 'In the whole structure'}, ${stiffest.name} is 10^${Math.round(powersBetween(found))} times ${softest.name}. Make very stiff parts rigid by an offset or less stiff, and soft ones free.`,
    subjects: [...new Set([stiffest.subject, softest.subject])],
  };
}

/** By how many powers of ten they differ; their ratio may be more than a number can hold. */
const powersBetween = ([stiffest, softest]: readonly [Hold, Hold]): number =>
  Math.log10(stiffest.value) - Math.log10(softest.value);

/** The stiffest and the softest hold of some members and of the springs at their nodes. */
function extremesOf(s: Structure, some: Iterable<number>): readonly [Hold, Hold] | undefined {
  let [stiffest, softest]: (Hold | undefined)[] = [];
  const add = (value: number, name: string, subject: string): void => {
    if (!(value > 0 && value < Infinity)) return;
    if (!stiffest || value > stiffest.value) stiffest = { value, name, subject };
    if (!softest || value < softest.value) softest = { value, name, subject };
  };
  const nodes = new Set<number>();
  for (const m of some) {
    addHolds(s, m, add);
    nodes.add(s.memberNodes[2 * m]!).add(s.memberNodes[2 * m + 1]!);
  }
  for (const i of nodes)
    for (const k of s.active) {
      const subject = `node ${s.names.nodes[i]}`;
      add(s.restraints[FREEDOMS * i + k]!, `the support spring at ${subject}`, subject);
    }
  return stiffest && softest ? [stiffest, softest] : undefined;
}

/** How a member and its end springs hold its nodes. */
function addHolds(s: Structure, m: number, add: (value: number, name: string, subject: string) => void): void {
  const L = s.lengths[m]!;
  const k = s.stiffnesses.subarray(STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * (m + 1));
  const subject = `member ${s.names.members[m]}`;
  add(k[0]! / L, `EA/L of ${subject}`, subject);
  if (s.bows[m]! & BOWS_V) add((12 * k[2]!) / L ** 3, `12EIz/L³ of ${subject}`, subject);
  if (s.bows[m]! & BOWS_W) add((12 * k[3]!) / L ** 3, `12EIy/L³ of ${subject}`, subject);
  add(k[1]! / L / L ** 2, `GJ/L³ of ${subject}`, subject);
  for (let r = 0; r < 12; r++) {
    const spring = s.releases[12 * m + r]!;
    add(r % FREEDOMS < 3 ? spring : spring / L ** 2, `an end spring of ${subject}`, subject);
  }
}
