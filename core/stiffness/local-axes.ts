/**
 * Direction of a plane member: [cosine, sine, sense] of local x; sense is +1 where local z is global +Z.
 * Local y is the normal with the greater upward part; for a vertical member (horizontal projection under 1e-6 of its length) it is
 * global −X whichever way the member runs.
 */
export function planeDirection(dx: number, dy: number): readonly [number, number, 1 | -1] {
  const length = Math.hypot(dx, dy);
  const vertical = Math.abs(dx) < 1e-6 * length;
  // Local y is sense·(−sine, cosine): upward where sense·cosine > 0, along −X where sense·sine > 0.
  const sense = (vertical ? dy : dx) > 0 ? 1 : -1;
  return [dx / length, dy / length, sense];
}
