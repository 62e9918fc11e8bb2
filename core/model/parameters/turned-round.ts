/** An expression for the same number counted the other way. */
export function turnedRound(text: string): string {
  const inner = /^-\(([^()]*)\)$/.exec(text)?.[1] ?? /^-([\p{L}_][\p{L}\p{Nd}_]*)$/u.exec(text)?.[1];
  if (inner !== undefined) return inner;
  return /^[\p{L}_][\p{L}\p{Nd}_]*$/u.test(text) ? `-${text}` : `-(${text})`;
}
