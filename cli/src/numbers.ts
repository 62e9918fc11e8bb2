import { InvalidArgumentError } from 'commander';
import { MOST_MODES, MOST_NATURAL_MODES } from '@rigid-beam/core/model/analysis-settings';
import { PLACES } from '@rigid-beam/core/tables/results/lists';

// Numbers that options take, each within its bounds.

export function stationCount(text: string): number {
  const count = Number(text);
  if (!Number.isInteger(count) || count < 2 || count > 10_000)
    throw new InvalidArgumentError('Give a whole number from 2 to 10000.');
  return count;
}

const countUpTo =
  (most: number) =>
  (text: string): number => {
    const count = Number(text);
    if (!Number.isInteger(count) || count < 1 || count > most)
      throw new InvalidArgumentError(`Give a whole number from 1 to ${most}.`);
    return count;
  };

export function modeCount(text: string): number {
  return countUpTo(MOST_MODES)(text);
}

export function naturalModeCount(text: string): number {
  return countUpTo(MOST_NATURAL_MODES)(text);
}

export function placeCount(text: string): number {
  const count = Number(text);
  if (!Number.isInteger(count) || count < PLACES.least || count > PLACES.most)
    throw new InvalidArgumentError(`Give a whole number from ${PLACES.least} to ${PLACES.most}.`);
  return count;
}

export function dotCount(text: string): number {
  const count = Number(text);
  if (!Number.isInteger(count) || count < 20 || count > 1200)
    throw new InvalidArgumentError('Give a whole number from 20 to 1200.');
  return count;
}

export function impactFactor(text: string): number {
  const factor = Number(text);
  if (!(factor > 0 && factor <= 10)) throw new InvalidArgumentError('Give a number greater than 0, up to 10.');
  return factor;
}
