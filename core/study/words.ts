/** All that this room says. */
export const study = {
  unreadable: (text: string): string =>
    `“${text}” is no result that can be followed: write Mz.max, N.min or V.largest, of one member as b:Mz.max, at a place as b:Mz@2.4m, a reaction as 3.fy, a movement as 3.uy, or movement, span ratio, mass, critical`,
  noQuantity: (symbol: string, there: string): string => `There is no quantity “${symbol}” here: there are ${there}`,
  noMember: (id: string): string => `There is no member “${id}”`,
  noNode: (id: string): string => `There is no node “${id}”`,
  atPlace: (symbol: string, member: string, place: string): string => `${symbol} in ${member} at ${place}`,
  reaction: (component: string, node: string): string => `Reaction ${component} at ${node}`,
  movement: (component: string, node: string): string => `Movement ${component} of ${node}`,
  noParameter: (name: string, known: string): string =>
    known === '' ? 'The model has no parameters' : `There is no parameter “${name}”: ${known}`,
  noOutcome: (id: string, known: string): string => `There is no case or combination “${id}”. Choose one of ${known}`,
  tooMany: (most: number): string => `A study goes through ${most} steps at most: give it a greater step`,
  given: (name: string): string => `“${name}” is given by an expression: study what stands in that`,
  ofOne: 'A critical load is that of a case or of a sum: choose one',
  extreme: (way: 'largest' | 'max' | 'min', symbol: string, member: string | undefined): string =>
    `${{ largest: 'Largest', max: 'Greatest', min: 'Least' }[way]} ${symbol}${member === undefined ? '' : ` in ${member}`}`,
  plain: {
    movement: 'Largest movement',
    'span ratio': 'Span over deflection',
    mass: 'Mass of the members',
    critical: 'Critical load factor',
  },
  unstable: 'The structure can move',
  unread: 'This result is not there',
  notReached: (least: string, most: string): string => `It is not reached: over the range it goes from ${least} to ${most}`,
  noRange: 'A seek needs a range: write 2 to 5',
};
