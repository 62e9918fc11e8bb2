/** Factors alone, without sums and powers: a minus before them is one before their product. */
const PRODUCT = /^[\p{L}\p{Nd}_.*·/()\s]+$/u;
const NAME = /^[\p{L}_][\p{L}\p{Nd}_]*$/u;

/** An expression for the same number counted the other way. */
export function turnedRound(text: string): string {
  const rest = text.slice(1);
  if (text.startsWith('-(') && closes(rest) === rest.length - 1) return rest.slice(1, -1);
  if (text.startsWith('-') && PRODUCT.test(rest)) return rest;
  return NAME.test(text) ? `-${text}` : `-(${text})`;
}

/** Where the bracket closes that a text begins with. */
export function closes(text: string): number {
  let open = 0;
  for (let i = 0; i < text.length; i++) {
    if (text[i] === '(') open++;
    if (text[i] === ')' && --open === 0) return i;
  }
  return -1;
}
