import { counted } from '../../../counted';

/** What is said of whether results can be right. */
export const right = {
  alwaysSlack: (members: string, more: number): string =>
    `Slack in every case and combination: ${members}${more > 0 ? ` and ${counted(more, 'more', 'more')}` : ''}.`,
  more: (count: number): string => ` and ${counted(count, 'more', 'more')}`,
  letGo: (
    members: string | undefined,
    { supports, joints }: { readonly supports: string | undefined; readonly joints: string | undefined },
    digits: number,
  ): string => {
    const exact = Number.isFinite(digits) ? `to ${counted(digits, 'digit')}` : 'exactly';
    const said = [
      members !== undefined && (members === '' ? 'No member is slack.' : `Slack: ${members}.`),
      supports !== undefined && (supports === '' ? 'No support is lifted off.' : `Lifted off the support at ${supports}.`),
      joints !== undefined && (joints === '' ? 'No joint is within its gap.' : `Within its gap the joint of ${joints}.`),
      members !== undefined && `No member that acts one way has a force of the other way, ${exact}.`,
      supports !== undefined && members === undefined && `No support that pushes one way pulls, ${exact}.`,
      joints !== undefined &&
        members === undefined &&
        supports === undefined &&
        `No joint bears anything within its gap, ${exact}.`,
    ];
    return said.filter(Boolean).join(' ');
  },
  displaced: (what: 'moment' | 'movement', times: number | undefined, now: string, before: string): string =>
    times === undefined
      ? `Second order: the largest ${what} is ${now}, and ${before} in the first.`
      : `Second order: the largest ${what} is ${Number(times.toPrecision(3))} times that of the first (${now} to ${before}).`,
  leans: (sway: number | undefined, bow: number | undefined): string => {
    const said = [sway && `the structure leans by 1/${sway}`, bow && `members in compression bow by L/${bow}`]
      .filter(Boolean)
      .join(', ');
    return said === '' ? '' : ` Before anything acts, ${said}.`;
  },
  balance: (digits: number): string =>
    Number.isFinite(digits)
      ? `Loads and reactions, and the forces at every joint, balance to ${counted(digits, 'digit')}.`
      : 'Loads and reactions, and the forces at every joint, balance exactly.',
  energy: (digits: number): string =>
    Number.isFinite(digits)
      ? `The work of the loads is the energy in members and springs, to ${counted(digits, 'digit')}.`
      : 'The work of the loads is the energy in members and springs.',
  reciprocity: (one: string, other: string, digits: number): string =>
    `The loads of ${one} do on the movements of ${other} what those of ${other} do on the movements of ${one}${Number.isFinite(digits) ? `, to ${counted(digits, 'digit')}` : ''}.`,
  symmetric: (place: string): string => `The structure is symmetric about ${place}, and moves symmetrically.`,
  oneSided: (place: string): string => `The structure is symmetric about ${place}; what acts is not.`,
  unlike: {
    sections: (place: string): string => `The shape is symmetric about ${place}, the sections and materials are not.`,
    joints: (place: string): string => `The shape is symmetric about ${place}, the hinges and joints are not.`,
    supports: (place: string): string => `The shape is symmetric about ${place}, the supports are not.`,
  },
  digits: (left: number): string => `${left} of 16 digits are left after elimination.`,
  of: { span: 'its span', height: 'the height', cantilever: 'its cantilever' },
  small: (of: string, times: string): string => `The largest movement is 1/${times} of ${of}: small enough for the first order.`,
  large: (of: string, times: string): string =>
    `The largest movement is 1/${times} of ${of}: the loads would act on another shape, and the first order is in doubt.`,
  otherAxis: (name: string, there: string, here: string): string =>
    `The ${name} is larger, ${there}, than what is drawn, ${here}.`,
  allCarry: 'Every member carries something.',
  othersCarry: 'Every member that is not slack carries something.',
  idle: (count: number, names: string): string =>
    `${counted(count, 'member')} ${count === 1 ? 'carries' : 'carry'} nothing: ${names}.`,
  atNode: (node: string): string => `at node ${node}`,
  inMember: (symbol: string, member: string): string => `${symbol} in ${member}`,
  rechecked: (values: number, digits: number, place: string): string =>
    Number.isFinite(digits)
      ? `Solved once more in another way, ${values.toLocaleString('en-GB')} values agree to ${counted(digits, 'digit')}; most apart are those ${place}.`
      : `Solved once more in another way, all ${values.toLocaleString('en-GB')} values are the same.`,
  tooLarge: (unknowns: number): string =>
    `The other way takes one dense system of ${unknowns.toLocaleString('en-GB')} unknowns, which is too many.`,
  notCompared: {
    range: 'The other way solves one case or sum: choose one on the strip.',
    loose: 'Something moves that nothing holds: the other way does not hold it still.',
    share: 'Shares of self weight are not followed by the other way.',
    sharing: 'Members that keep their lengths hold each other lengthwise, which is not followed by the other way.',
    torsion: 'A member without torsional stiffness is not followed by the other way.',
    shape: 'A shape is of no particular size: the other way solves what acts.',
    displaced: 'The other way is one of the first order: it does not follow the second.',
  },
};
