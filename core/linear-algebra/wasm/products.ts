// Products that are added and taken off, two at a time: in one step, rounded once, where the module is compiled for platforms that can.

/** sum + a·b */
@inline
export function plus(sum: v128, a: v128, b: v128): v128 {
  if (ASC_FEATURE_RELAXED_SIMD) return v128.relaxed_madd<f64>(a, b, sum);
  return f64x2.add(sum, f64x2.mul(a, b));
}

/** sum − a·b */
@inline
export function minus(sum: v128, a: v128, b: v128): v128 {
  if (ASC_FEATURE_RELAXED_SIMD) return v128.relaxed_nmadd<f64>(a, b, sum);
  return f64x2.sub(sum, f64x2.mul(a, b));
}
