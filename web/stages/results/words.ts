import { counted } from '@rigid-beam/core/counted';

/** All that this room says, by the file that says it: read it through and correct it here. */

const listed = (ids: readonly string[]): string =>
  ids.length <= 6 ? ids.join(', ') : `${ids.slice(0, 5).join(', ')} … ${ids.at(-1)!}`;

export const influencePart = {
  label: 'Influence line',
  close: 'Back to results',
  show: (train: string, side: string): string => `Show ${train} where it is ${side}`,
  axlesOnly:
    'Placed, only its axles act: put its uniform part there as a line load. Travelling, it acts wherever it makes things worse.',
  travel: 'Let it travel',
  travelOf: (train: string): string => `Let it travel: ${train}`,
  place: { max: 'Place for greatest', min: 'Place for least' },
  placeOf: (words: string, train: string): string => `${words}: ${train}`,
  usual: 'straight on',
  over: (ids: readonly string[]): string => `along ${listed(ids)}`,
  across: (ids: readonly string[]): string => `across nodes ${listed(ids)}`,
  selectedMembers: (count: number): string => `along the selected ${counted(count, 'member')}`,
  selectedNodes: (count: number): string => `across the selected ${counted(count, 'node')}`,
  along: (ids: readonly string[]): string => `Along ${listed(ids)}.`,
  otherWay: 'For another way select members, or the nodes that a deck rests on, and come back here.',
  way: 'The load travels',
  direction: 'The load acts',
  down: 'down',
  alongAxis: (axis: string): string => `along ${axis}`,
  train: (id: string): string => `Train ${id}`,
  remove: (id: string): string => `Remove train ${id}`,
  removeShort: 'Remove',
  newTrain: 'New train, from the front',
};

export const headlines = {
  label: 'What is asked first',
  nothing: 'Nothing acts in it.',
};

export const shapePart = {
  factor: (factor: string, of: string): string => `At ${factor} times what acts in ${of} the structure gives way like this.`,
  bends: (ids: readonly string[], more: number): string => `Bends most: ${ids.join(', ')}${more > 0 ? ` and ${more} more` : ''}.`,
  beyond: 'The loads are beyond what the structure can bear.',
  below10: 'Under 10 the second order matters: choose it in Combinations, under Analysis.',
  schedule: 'As a schedule',
  moves: (node: string, axis: string): string => `It moves most at ${node}, along ${axis}.`,
  between: (ids: readonly string[], more: number): string =>
    `Nodes hardly move: ${ids.join(', ')}${more > 0 ? ` and ${more} more` : ''} ${ids.length + more === 1 ? 'swings' : 'swing'} between them.`,
  frequency: (frequency: string, period: string): string => `${frequency} Hz: it swings to and fro in ${period} s.`,
  takesPart: (shares: readonly (readonly [percent: number, axis: string])[]): string =>
    shares
      .map(([percent, axis], i) => (i === 0 ? `${percent} % of the mass takes part along ${axis}` : `${percent} % along ${axis}`))
      .join(', ') + '.',
  watch: 'Watch it move',
  byThemselves: 'All of these are members that swing by themselves. To see how the whole structure swings:',
  lump: 'Put all mass at the nodes',
  f: 'f',
  takesNoPart: 'A ground that shakes hardly drives it.',
  masses: 'What has mass',
};

export const harmonicPart = {
  title: 'A force that swings',
  source: 'Driven by',
  nothing: 'Nothing',
  sources: {
    force: 'A force',
    walking: 'A person who walks: 280 N, 1.6 to 2.4 Hz',
    machine: 'A machine: m·e·ω² of what turns off its axis',
  },
  node: 'At node',
  along: 'Along',
  readAt: 'Read at node',
  force: 'Force',
  unbalance: 'm·e (kg·m)',
  damping: 'Damping (%)',
  from: 'From (Hz)',
  to: 'To (Hz)',
  phase: 'phase °',
  schedule: 'As a schedule',
  most: (acceleration: string, frequency: string, movement: string, behind: number): string =>
    `At most ${acceleration} m/s² at ${frequency} Hz: ${movement} to either side, ${behind}° behind the force.`,
  still: 'Nothing moves: a support holds there.',
  beyond: (frequency: string): string => `Modes were found up to ${frequency} Hz: beyond it ask for more of them.`,
};

export const isItRight = {
  title: 'Is it right?',
  well: 'As it should be:',
  look: 'To be looked at:',
  check: 'Solve it once more in another way',
  checking: 'Solving …',
  again: 'Solved once more',
};

export const cutPart = {
  title: 'Cut',
  titleIn: (outcome: string): string => `Cut free in ${outcome}`,
  draw: 'Cut the structure',
  otherSide: 'The other side',
  done: 'Put together again',
  nothing: 'No member is met: draw the line across some.',
  faces: 'In the cut members',
  byOutcome: 'In each outcome',
  aboutTheMiddle: 'Forces act on the free body; couples are about the middle of the cut.',
};

export const thenAndNow = {
  title: 'Then and now',
  keep: 'Keep this state as',
  example: 'lighter rafters',
  compare: 'Beside the model',
  now: 'nothing earlier',
  solving: (outcome: string): string => `${outcome} of that state is being solved, or it does not have it.`,
  unsolved: 'That state could not be solved.',
  goBack: 'Go back to it',
};

export const earthquakeResults = {
  title: 'Base shear',
  pushes: (axis: string, force: string, percent: number): string =>
    `Along ${axis} the ground pushes with ${force}; ${percent} % of the mass takes part in modes${percent < 100 ? ', the rest as in statics' : ''}.`,
  beside: (force: string, period: string, ratio: string): string =>
    `All mass with the main mode (T = ${period} s) would push with ${force}: this is ${ratio} of it.`,
  movements: (behaviour: string): string =>
    `Movements are those of the design spectrum: times q = ${behaviour} they are those to be expected (EN 1998-1, 4.3.4).`,
  chart: (modes: number): string => `The spectrum by period, and on it ${modes} modes`,
  schedule: 'Mode by mode',
};
