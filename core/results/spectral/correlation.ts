/** Correlation of two modes damped alike, by their circular frequencies: Wilson, Der Kiureghian and Bayo (1981), as EN 1998-1, 4.3.3.3.2 (3) asks for. */
export function correlationOf(one: number, other: number, damping: number): number {
  const r = other > one ? one / other : other / one;
  const ξ2 = damping * damping;
  return (8 * ξ2 * (1 + r) * r ** 1.5) / ((1 - r * r) ** 2 + 4 * ξ2 * r * (1 + r) ** 2);
}

/** What a pivot may be short of nothing. */
const SINGULAR = 1e-14;

/**
 * Sums of correlated modes as sums of the squares of others that are not: with ρ = Σ lₖ·lₖᵀ, Σ ρᵢⱼ·rᵢ·rⱼ = Σ (lₖᵀ·r)². Cholesky's factor with the largest pivots first, which
 * ends where nothing is left: modes that swing alike count as one.
 */
export function uncorrelated(correlation: readonly (readonly number[])[]): Float64Array[] {
  const n = correlation.length;
  const left = Array.from(correlation, (_, i) => correlation[i]![i]!);
  const roots: Float64Array[] = [];
  const done = new Set<number>();
  while (done.size < n) {
    let pivot = -1;
    for (let i = 0; i < n; i++) if (!done.has(i) && (pivot < 0 || left[i]! > left[pivot]!)) pivot = i;
    if (left[pivot]! <= SINGULAR) break;
    const root = new Float64Array(n);
    const size = Math.sqrt(left[pivot]!);
    root[pivot] = size;
    done.add(pivot);
    for (let i = 0; i < n; i++) {
      if (done.has(i)) continue;
      let sum = correlation[i]![pivot]!;
      for (const before of roots) sum -= before[i]! * before[pivot]!;
      root[i] = sum / size;
      left[i]! -= root[i]! ** 2;
    }
    roots.push(root);
  }
  return roots;
}
