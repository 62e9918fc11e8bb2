import { closes } from './turned-round';

const NAME = /^[\p{L}_][\p{L}\p{Nd}_]*$/u;

/** What stands in the bracket that a text is; nothing where it is none. */
const bracketed = (text: string): string | undefined =>
  text.startsWith('(') && closes(text) === text.length - 1 ? text.slice(1, -1) : undefined;

/** An expression in percent, as the part of one that a model holds; `percentOf` turns it back. */
export function partOf(percent: string): string {
  const inner = percent.startsWith('100*') ? bracketed(percent.slice(4)) : undefined;
  return inner ?? (NAME.test(percent) ? `${percent}/100` : `(${percent})/100`);
}

/** An expression for a part of one, as the percent that it is. */
export function percentOf(part: string): string {
  const own = part.endsWith('/100') ? part.slice(0, -4) : '';
  return NAME.test(own) ? own : (bracketed(own) ?? `100*(${part})`);
}
