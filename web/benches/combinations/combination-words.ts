import type { LimitState } from '@rigid-beam/core/model/model';

export const COMBINE = {
  none: 'A sum adds cases with factors; an envelope shows the largest and smallest of several.',
  addSum: 'Add a sum',
  addEnvelope: 'Add an envelope',
  factor: (of: string, sum: string): string => `${of} in ${sum}`,
  acts: (id: string, title: string | undefined): string => `Let ${id}${title ? `, ${title},` : ''} act`,
  notFactor: (of: string, sum: string, reason: string): string =>
    `${of} in ${sum} is no factor: ${reason}. Write a number, such as 1.35.`,
  encloses: 'Encloses',
  remove: (id: string): string => `Remove ${id}`,
  copy: (id: string): string => `Copy ${id}`,
  limit: 'Limit state',
  earlier: 'Earlier',
  later: 'Later',
  shown: (from: number, to: number, of: number): string => `${from} to ${to} of ${of}`,
};

export const LIMITS: Readonly<Record<LimitState, string>> = {
  strength: 'Strength',
  service: 'Service',
  other: 'Other',
};
