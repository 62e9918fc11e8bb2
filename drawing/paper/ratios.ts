import { paperWords as WORDS } from './words';

/** ISO 5455: the scales by which a structure is drawn smaller, 1 to each of these. */
export const ratios = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000] as const;

/** A scale as it is typed, `1:50`, or what is wrong with it. */
export function readRatio(text: string): number | string {
  const [, number] = /^\s*1\s*:\s*(\d+(?:\.\d+)?)\s*$/u.exec(text) ?? [];
  const ratio = Number(number);
  return ratio >= 1 && ratio <= 1e5 ? ratio : WORDS.noRatio(text);
}

export const ratioWords = (ratio: number): string => `1:${ratio}`;
