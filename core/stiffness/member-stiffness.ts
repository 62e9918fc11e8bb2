/** Shear parameter Φ = 12 EI / (GA·L²) of a Timoshenko member; 0 for Euler–Bernoulli. */
export const shearParameter = (EI: number, GA: number, L: number): number => (GA === Infinity ? 0 : (12 * EI) / (GA * L * L));

/**
 * k, 6 × 6 by rows: stiffness of a straight prismatic member in local axes, freedoms ux, uy, rz at start and end, all ends fixed
 * to the nodes. Euler–Bernoulli, or Timoshenko where GA is finite. Przemieniecki, Theory of Matrix Structural Analysis (1968), ch. 5.
 */
export function memberStiffness(EA: number, EI: number, GA: number, L: number): Float64Array {
  const k = new Float64Array(36);
  const phi = shearParameter(EI, GA, L);
  const a = EA / L;
  const s = (12 * EI) / (L ** 3 * (1 + phi));
  const t = (6 * EI) / (L ** 2 * (1 + phi));
  const near = ((4 + phi) * EI) / (L * (1 + phi));
  const far = ((2 - phi) * EI) / (L * (1 + phi));
  k.set([a, 0, 0, -a, 0, 0], 0);
  k.set([0, s, t, 0, -s, t], 6);
  k.set([0, t, near, 0, -t, far], 12);
  k.set([-a, 0, 0, a, 0, 0], 18);
  k.set([0, -s, -t, 0, s, -t], 24);
  k.set([0, t, far, 0, -t, near], 30);
  return k;
}
