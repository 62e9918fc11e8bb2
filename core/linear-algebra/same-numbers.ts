/** Whether two lists hold the very same numbers, in all places or in those from…to. */
export function sameNumbers(a: ArrayLike<number>, b: ArrayLike<number>, from = 0, to = Math.max(a.length, b.length)): boolean {
  for (let i = from; i < to; i++) if (a[i] !== b[i]) return false;
  return true;
}
