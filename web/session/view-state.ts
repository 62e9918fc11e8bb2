import { diagramQuantities, type DiagramQuantity } from '@rigid-beam/drawing/view';

export const stages = ['geometry', 'sections', 'supports', 'loads', 'combinations', 'results'] as const;
export type Stage = (typeof stages)[number];

/** What is looked at; it stands in the address, so that a link opens what was seen. */
export interface Place {
  readonly stage: Stage;
  /** Id of the case or combination that acts; undefined lets the first one act. */
  readonly acting: string | undefined;
  readonly quantity: DiagramQuantity;
}

export function placeOfAddress(search: string): Place {
  const parameters = new URLSearchParams(search);
  const stage = parameters.get('stage');
  const quantity = parameters.get('quantity');
  return {
    stage: stages.find((one) => one === stage) ?? 'geometry',
    acting: parameters.get('acting') ?? undefined,
    quantity: diagramQuantities.find((one) => one === quantity) ?? 'Mz',
  };
}

export function addressOfPlace({ stage, acting, quantity }: Place): string {
  const parameters = new URLSearchParams({ stage, ...(acting !== undefined && { acting }), quantity });
  return `?${parameters.toString()}`;
}
