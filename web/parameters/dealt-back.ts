/**
 * What was dealt out in turns, value by value and anew for each curve of `count` values, in its order again; each hand has done its own first
 * ones so far.
 */
export function dealtBack<T>(hands: readonly (readonly T[])[], count: number): T[] {
  const all = hands.flatMap((points, h) => {
    const own = Math.ceil((count - h) / hands.length);
    return points.map((point, i) => ({ point, at: Math.floor(i / own) * count + (i % own) * hands.length + h }));
  });
  return all.sort((a, b) => a.at - b.at).map(({ point }) => point);
}
