import { diagramQuantities, type DiagramQuantity } from '@rigid-beam/drawing/view';

/** What is looked at; it stands in the address, so that a link opens what was seen. */
export interface Place {
  /** Id of a stage of work (those of the workspace); one that it does not know stands for the first. */
  readonly stage: string;
  /** Id of the case or combination that acts; undefined lets the first one act. */
  readonly acting: string | undefined;
  readonly quantity: DiagramQuantity;
}

export function placeOfAddress(search: string): Place {
  const parameters = new URLSearchParams(search);
  const quantity = parameters.get('quantity');
  return {
    stage: parameters.get('stage') ?? 'geometry',
    acting: parameters.get('acting') ?? undefined,
    quantity: diagramQuantities.find((one) => one === quantity) ?? 'Mz',
  };
}

export function addressOfPlace({ stage, acting, quantity }: Place): string {
  const parameters = new URLSearchParams({ stage, ...(acting !== undefined && { acting }), quantity });
  return `?${parameters.toString()}`;
}
