import type { Factor } from '../linear-algebra/factor';
import { freedoms as freedomNames } from '../model/model';
import type { Notice } from '../model/notice';
import type { Numbering } from '../stiffness/numbering';
import { FREEDOMS, STIFFNESS_WIDTH, type Structure } from '../stiffness/structure';

/** Digits of a number in double precision. */
const DIGITS = 15.95;
/** Fewer digits than this left, and the results say so. */
const ENOUGH = 6;

/** How many digits the elimination cancelled, and where it cancelled most. */
export interface Conditioning {
  readonly digitsLost: number;
  /** Index of the node and freedom (0…5) whose stiffness shrank most, -1 in a structure without unknowns. */
  readonly node: number;
  readonly freedom: number;
}

/**
 * The decay of the pivots: a pivot that is 10⁻ᵏ of the diagonal entry it started from has lost k digits to cancellation
 * (Irons and Ahmad, Techniques of Finite Elements, 1980, ch. 2).
 */
export function conditioningOf(factor: Factor, numbering: Numbering): Conditioning {
  const f = factor.smallestAt < 0 ? -1 : numbering.freedoms[factor.smallestAt]!;
  return {
    digitsLost: Math.max(0, -Math.log10(factor.smallestRatio)),
    node: f < 0 ? -1 : Math.floor(f / FREEDOMS),
    freedom: f < 0 ? -1 : f % FREEDOMS,
  };
}

/** A warning where fewer than 6 digits remain, with the stiffnesses that differ most near the place. */
export function conditioningNotice(
  s: Structure,
  members: readonly (readonly number[])[],
  found: Conditioning,
): Notice | undefined {
  const left = DIGITS - found.digitsLost;
  if (left >= ENOUGH || found.node < 0) return undefined;
  const node = s.names.nodes[found.node]!;
  const ratio = suspiciousRatio(s, members, found.node);
  const where = `in ${freedomNames[found.freedom]} of node ${node}`;
  return {
    code: 'few-digits',
    severity: 'warning',
    message: `About ${Math.max(0, Math.floor(left))} of 16 digits of the results can be trusted: ${Math.round(found.digitsLost)} were lost ${where}. ${ratio.message} Make very stiff parts rigid by an offset or less stiff, and soft ones free.`,
    subjects: [`node ${node}`, ...ratio.subjects],
  };
}

/** The stiffest and the softest way in which members and springs hold the nodes around a place. */
function suspiciousRatio(
  s: Structure,
  members: readonly (readonly number[])[],
  node: number,
): { message: string; subjects: string[] } {
  const near = new Set(members[node]);
  for (const m of members[node]!)
    for (let e = 0; e < 2; e++) for (const other of members[s.memberNodes[2 * m + e]!]!) near.add(other);
  const all: { value: number; name: string; subject: string }[] = [];
  for (const m of near) {
    const L = s.lengths[m]!;
    const k = s.stiffnesses.subarray(STIFFNESS_WIDTH * m, STIFFNESS_WIDTH * (m + 1));
    const subject = `member ${s.names.members[m]}`;
    const add = (value: number, name: string): void => {
      if (value > 0) all.push({ value, name: `${name} of ${subject}`, subject });
    };
    add(k[0]! / L, 'EA/L');
    if (s.bows[m])
      for (const [i, name] of [
        [2, '12EIz/L³'],
        [4, '12EIy/L³'],
      ] as const)
        add((12 * k[i]!) / L ** 3, name);
    add(k[1]! / L / L ** 2, 'GJ/L³');
    for (let r = 0; r < 12; r++) {
      const spring = s.releases[12 * m + r]!;
      if (spring > 0 && spring < Infinity) add(r % 6 < 3 ? spring : spring / L ** 2, 'an end spring');
    }
  }
  const nodes = new Set([...near].flatMap((m) => [s.memberNodes[2 * m]!, s.memberNodes[2 * m + 1]!]));
  for (const i of nodes)
    for (const k of s.active) {
      const value = s.restraints[FREEDOMS * i + k]!;
      const subject = `node ${s.names.nodes[i]}`;
      if (value > 0 && value < Infinity) all.push({ value, name: `the support spring at ${subject}`, subject });
    }
  if (all.length < 2) return { message: 'Look for a part that is nearly a mechanism.', subjects: [] };
  const stiffest = all.reduce((a, b) => (b.value > a.value ? b : a));
  const softest = all.reduce((a, b) => (b.value < a.value ? b : a));
  const power = Math.round(Math.log10(stiffest.value / softest.value));
  return {
    message: `Nearby, ${stiffest.name} is 10^${power} times ${softest.name}.`,
    subjects: [...new Set([stiffest.subject, softest.subject])],
  };
}
