import { isOn, switchNames, type Switches } from '@rigid-beam/drawing/stage-view';
import { sheetQuantities, type SheetQuantity } from '@rigid-beam/drawing/view';

/** What one drawing of the model looks at. */
export interface Pane {
  /** Id of the case or combination that acts; undefined lets the first one act. */
  readonly acting: string | undefined;
  /** The quantity that was chosen; until one is, the structure suggests it. */
  readonly quantity: SheetQuantity | undefined;
  /** Quantities that are drawn besides. */
  readonly also?: readonly SheetQuantity[] | undefined;
  /** Of a further pane: what acts there less what acts in the first; beside an earlier state, what acts now less what acted then. */
  readonly less?: true | undefined;
  /** What is shown besides, or instead of, what the stage shows. */
  readonly switches: Switches;
}

/** Further drawings, from the same place and to the same scale as the first. */
export interface Beside {
  readonly where: (typeof sides)[number];
  /** One to MOST_BESIDE of them. */
  readonly panes: readonly Pane[];
}
export const MOST_BESIDE = 3;
export const sides = ['right', 'below'] as const;

/** What is looked at; it stands in the address, so that a link opens what was seen. */
export interface Place extends Pane {
  /** Id of a stage of work (those of the workspace); one that it does not know stands for the first. */
  readonly stage: string;
  readonly beside: Beside | undefined;
}

export function placeOfAddress(search: string): Place {
  const parameters = new URLSearchParams(search);
  const where = sides.find((one) => one === parameters.get('beside'));
  return {
    stage: parameters.get('stage') ?? 'geometry',
    ...paneOf(parameters, ''),
    beside: where && { where, panes: BESIDE.slice(0, countOf(parameters)).map((before) => paneOf(parameters, before)) },
  };
}

/** What stands before the names of the parameters of further panes. */
const BESIDE = ['beside-', 'beside2-', 'beside3-'] as const satisfies { readonly length: typeof MOST_BESIDE };

/** How many panes an address has beside the first. */
const countOf = (parameters: URLSearchParams): number =>
  Math.min(MOST_BESIDE, Math.max(1, Math.round(Number(parameters.get('panes'))) || 1));

function paneOf(parameters: URLSearchParams, before: string): Pane {
  const quantity = parameters.get(`${before}quantity`);
  return {
    acting: parameters.get(`${before}acting`) ?? undefined,
    quantity: sheetQuantities.find((one) => one === quantity),
    ...alsoOf(parameters.get(`${before}also`) ?? ''),
    ...(before !== '' && parameters.get(`${before}less`) === 'first' && { less: true as const }),
    switches: switchesOf(parameters.get(`${before}show`) ?? ''),
  };
}

function alsoOf(words: string): Pick<Pane, 'also'> {
  const list = words.split(',');
  const also = sheetQuantities.filter((one) => list.includes(one));
  return also.length > 0 ? { also } : {};
}

/** `names,-loads`: what is shown besides, and what is not. */
function switchesOf(words: string): Switches {
  const list = words.split(',');
  const found: [string, boolean][] = [];
  for (const name of switchNames) {
    if (list.includes(name)) found.push([name, true]);
    else if (list.includes(`-${name}`)) found.push([name, false]);
  }
  return Object.fromEntries(found);
}

export function addressOfPlace({ stage, beside, ...first }: Place): string {
  const parameters = new URLSearchParams({
    stage,
    ...parametersOf(first, stage, ''),
    ...(beside && {
      beside: beside.where,
      ...(beside.panes.length > 1 && { panes: String(beside.panes.length) }),
      ...Object.assign({}, ...beside.panes.map((pane, i) => parametersOf(pane, stage, BESIDE[i]!))),
    }),
  });
  return `?${parameters.toString()}`;
}

function parametersOf({ acting, quantity, also, less, switches }: Pane, stage: string, before: string): Record<string, string> {
  // What is as the stage has it anyway needs no words.
  const show = switchNames
    .filter((name) => switches[name] !== undefined && switches[name] !== isOn(stage, {}, name))
    .map((name) => (switches[name] ? name : `-${name}`));
  return {
    ...(acting !== undefined && { [`${before}acting`]: acting }),
    ...(quantity !== undefined && { [`${before}quantity`]: quantity }),
    ...(also && also.length > 0 && { [`${before}also`]: also.join(',') }),
    ...(less && { [`${before}less`]: 'first' }),
    ...(show.length > 0 && { [`${before}show`]: show.join(',') }),
  };
}
