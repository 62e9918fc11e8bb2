import { counted } from '../counted';

/** What is said of members that act one way. */
export const oneSided = {
  loose: (id: string, members: string): string =>
    `${id}: members ${members} cannot take the force that they would have to, and without them the structure can move. Let them act both ways, or brace the structure`,
  travelling: (id: string): string =>
    `${id}: trains travel in it, whose places are superposed: with members that act one way none can be. Put the trains where they stand`,
  always: (members: string): string => `Slack in every case and combination: members ${members}`,
  never: (members: string): string => `Never slack: members ${members}`,
  notYet: 'Members that act one way are found in the first order only. Make them truss members, or look at the first order',
};

/** What is said of critical loads. */
export const buckling = {
  name: (mode: number, of: string): string => `Buckling ${mode} of ${of}`,
  title: (factor: string): string => `at ${factor} times its loads`,
  range: (of: string): string =>
    `Critical loads of “${of}” are not found: it is a range of values, and each of its parts buckles by itself. Choose a case or a sum`,
  none: (of: string): string => `Nothing buckles under “${of}”: no member is in compression`,
  fewer: (of: string, count: number): string => `Of “${of}” only ${counted(count, 'critical load')} can be told`,
  oneSided:
    'Critical loads are not found: some members act one way, and which are slack changes with the load. Make them truss members',
};

/** What is said of the second order. */
export const secondOrder = {
  inFirst: (id: string): string => `${id}, first order`,
  travelling: 'trains travel in it, whose places are superposed: in second order nothing can be. Put the trains where they stand',
  beyond: (factor: string, members: string): string =>
    `the loads are beyond the critical load: ${factor} of them can be borne, then members ${members} give way. Reduce the loads, make these members stiffer, or brace them`,
  sheared:
    'the loads are beyond the critical load, so that there is no equilibrium of the second order. Reduce them, or brace the structure',
  unsettled:
    'the second order does not settle: the axial forces change with every displacement. The loads are near the critical load',
};
