import { counted } from '../counted';

/** What is said of members and supports that act one way. */
export const oneSided = {
  loose: (id: string, what: string): string =>
    `${id}: ${what} cannot take the force that they would have to, and without them the structure can move. Let them act both ways, or brace the structure`,
  open: (id: string): string =>
    `${id}: where the structure lies within its gaps is not told, since nothing drives it there. Close a gap, or load it`,
  members: (names: string): string => `members ${names}`,
  supports: (nodes: string): string => `the supports at nodes ${nodes}`,
  joints: (names: string): string => `the springs with gaps of ${names}`,
  joint: (member: string, end: string): string => `“${member}” at its ${end}`,
  alwaysOpen: (joints: string): string => `Within its gap in every case and combination: the joint of ${joints}`,
  neverOpen: (joints: string): string => `Never within its gap: the joint of ${joints}`,
  and: ' and ',
  travelling: (id: string): string =>
    `${id}: trains travel in it, whose places are superposed: with members or supports that act one way, or joints with gaps, none can be. Put the trains where they stand`,
  alwaysLifted: (nodes: string): string => `Lifted off in every case and combination: the support at nodes ${nodes}`,
  neverLifted: (nodes: string): string => `Never lifted off: the support at nodes ${nodes}`,
  always: (members: string): string => `Slack in every case and combination: members ${members}`,
  never: (members: string): string => `Never slack: members ${members}`,
  notSwinging:
    'Natural modes are not found of members and supports that act one way, and of joints with gaps, since what holds would change as they swing. Let them act both ways, and close the gaps',
};

/** What is said of members that keep their lengths. */
export const keptLengths = {
  contradiction: (id: string, member: string, amount: string, way: 'longer' | 'shorter'): string =>
    `Case ${id} cannot be while axial deformation is neglected: member ${member} would have to become ${amount} mm ${way}, since supports or other members hold it against what is imposed. Count axial deformation, or let something give way along it`,
  opening: (member: string): string =>
    `The influence on the axial force of member ${member} is not found: with axial deformation neglected, supports or other members hold it lengthwise, and statics does not tell the force. Count axial deformation`,
  shares: (members: string): string =>
    `Members ${members} hold each other lengthwise: with axial deformation neglected statics leaves open how they share the forces along them. They share them by their areas`,
  unknownShares: (members: string): string =>
    `Members ${members} hold each other lengthwise: with axial deformation neglected they share the forces along them by their areas, and not all of these are known. Give A, or let something give way along them`,
  firstOrder:
    'While axial deformation is neglected only the first order is found. Count axial deformation, or look at the first order',
};

/** What shapes of no size of their own do. */
export const shapes = {
  moves: [
    (node: string): string => `sways sideways, most at node ${node}`,
    (node: string): string => `moves up and down, most at node ${node}`,
    (node: string): string => `sways forward and back, most at node ${node}`,
  ] as const,
  bow: (members: readonly string[], count: number): string =>
    count === 1
      ? `member ${members[0]} bows`
      : count > members.length
        ? `members ${members.join(', ')} and ${count - members.length} more bow`
        : `members ${members.slice(0, -1).join(', ')} and ${members.at(-1)} bow`,
  while: ', and ',
};

/** What is said of critical loads. */
export const buckling = {
  name: (mode: number, of: string): string => `Buckling ${mode} of ${of}`,
  reversed: (mode: number, of: string): string => `Buckling ${mode} of ${of} reversed`,
  noneReversed: (of: string): string => `Nothing buckles under “${of}” reversed: no member is in tension`,
  title: (factor: string, does: string): string => `at ${factor} times its loads${does === '' ? '' : `: ${does}`}`,
  range: (of: string): string =>
    `Critical loads of “${of}” are not found: it is a range of values, and each of its parts buckles by itself. Choose a case or a sum`,
  none: (of: string): string => `Nothing buckles under “${of}”: no member is in compression`,
  fewer: (of: string, count: number): string => `Of “${of}” only ${counted(count, 'critical load')} can be told`,
  oneSided:
    'Critical loads are those of the structure as it acts in the first order: what has let go there holds nothing, and what holds there is taken to hold both ways',
};

/** What is said of natural modes. */
export const naturalModes = {
  name: (mode: number): string => `Mode ${mode}`,
  title: (frequency: string, does: string): string => `${frequency} Hz${does === '' ? '' : `: ${does}`}`,
  none: 'There are no natural modes, since nothing has mass: give the materials a density, count the loads of a case, or give nodes a mass',
  lifted: (kind: string, id: string): string =>
    `Natural modes are not found: the loads that count as mass lift ${kind} ${id} by more than what lies on it. Leave out the case that lifts`,
  fewer: (count: number): string => `The structure has only ${counted(count, 'natural mode')}`,
  unsettled: 'Natural modes are not found: they do not settle. Ask for fewer of them, or put all mass at the nodes',
  missed: 'Natural modes are not found: the count of them does not agree with those that were found, so one would be missing',
  unbalanced: (mode: string): string => `Natural modes are not shown: ${mode} does not balance with its inertia forces`,
};

/** What is said of an earthquake, and what its outcomes are called. */
export const earthquake = {
  whole: 'Earthquake',
  directions: { x: 'right and left', y: 'up and down', z: 'forward and back' },
  along: (directions: string): string => `Earthquake ${directions}`,
  share: (direction: string): string => `0.3 ${direction}`,
  beside: (name: string, sum: string): string => `${name} with ${sum}`,
  sums: { squares: 'root of the squares of its directions', shares: 'each direction with 0.3 of the others' },
  untold: (mode: string, period: string, by: 'table' | 'elastic'): string =>
    `The earthquake is not found: ${mode} has a period of ${period} s, and ${
      by === 'table'
        ? 'the table of the spectrum does not reach there. Give it more periods'
        : 'the elastic spectrum ends at 4 s. Give a behaviour factor, a table, or ask for fewer modes'
    }`,
  tooFew: (direction: string, percent: number, modes: number): string =>
    `Earthquake ${direction}: ${percent} % of the mass takes part in ${counted(modes, 'mode')} (EN 1998-1, 4.3.3.3.1 asks for 90 %); the rest is added as in statics. Ask for more modes, or put all mass at the nodes`,
  lacking: (envelopes: string): string => `The earthquake was not found, and ${envelopes} lack it`,
  near: (one: number, other: number): string =>
    `Earthquake: modes ${one} and ${other} depend on each other, since their periods are closer than 0.9 (EN 1998-1, 4.3.3.3.2). Put modes together by their correlation`,
};

/** What is said of the second order. */
export const secondOrder = {
  inFirst: (id: string): string => `${id}, first order`,
  travelling: 'trains travel in it, whose places are superposed: in second order nothing can be. Put the trains where they stand',
  beyond: (factor: string, members: string): string =>
    `the loads are beyond the critical load: ${factor} of them can be borne, then members ${members} give way. Reduce the loads, make these members stiffer, or brace them`,
  sheared:
    'the loads are beyond the critical load, so that there is no equilibrium of the second order. Reduce them, or brace the structure',
  loose: (what: string): string =>
    `${what} would all have to let go, and without them the structure can move. Let them act both ways, or brace the structure`,
  quarrel: (what: string): string =>
    `it does not settle in second order which of ${what} hold: each set that was tried makes others of them let go. Let some of them act both ways`,
  unsettled:
    'the second order does not settle: the axial forces change with every displacement. The loads are near the critical load',
};
