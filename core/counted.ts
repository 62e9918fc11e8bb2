const rules = new Intl.PluralRules('en');

/** The noun for a count: `member` for 1, `members` for 0, 2 or more; `several` where it is not made with an s. */
export const nounFor = (count: number, one: string, several = `${one}s`): string =>
  rules.select(count) === 'one' ? one : several;

/** A count with its noun: `1 member`, `3 members`, `2 analyses`. */
export const counted = (count: number, one: string, several?: string): string => `${count} ${nounFor(count, one, several)}`;
