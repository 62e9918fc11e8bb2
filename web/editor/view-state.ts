import { isOn, switchNames, type Switches } from '@rigid-beam/drawing/stage-view';
import { sheetQuantities, type SheetQuantity } from '@rigid-beam/drawing/view';

/** What is looked at; it stands in the address, so that a link opens what was seen. */
export interface Place {
  /** Id of a stage of work (those of the workspace); one that it does not know stands for the first. */
  readonly stage: string;
  /** Id of the case or combination that acts; undefined lets the first one act. */
  readonly acting: string | undefined;
  /** The quantity that was chosen; until one is, the structure suggests it. */
  readonly quantity: SheetQuantity | undefined;
  /** What is shown besides, or instead of, what the stage shows. */
  readonly switches: Switches;
}

export function placeOfAddress(search: string): Place {
  const parameters = new URLSearchParams(search);
  const quantity = parameters.get('quantity');
  return {
    stage: parameters.get('stage') ?? 'geometry',
    acting: parameters.get('acting') ?? undefined,
    quantity: sheetQuantities.find((one) => one === quantity),
    switches: switchesOf(parameters.get('show') ?? ''),
  };
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

export function addressOfPlace({ stage, acting, quantity, switches }: Place): string {
  // What is as the stage has it anyway needs no words.
  const show = switchNames
    .filter((name) => switches[name] !== undefined && switches[name] !== isOn(stage, {}, name))
    .map((name) => (switches[name] ? name : `-${name}`));
  const parameters = new URLSearchParams({
    stage,
    ...(acting !== undefined && { acting }),
    ...(quantity !== undefined && { quantity }),
    ...(show.length > 0 && { show: show.join(',') }),
  });
  return `?${parameters.toString()}`;
}
