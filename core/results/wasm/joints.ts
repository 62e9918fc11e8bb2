import { n, put } from './numbers';

/** What the supports exert, and what is left at joints: as \`jointsOf\` finds it. Writes the sizes of the worst joint and the largest reaction. */
export function joints(
  freedoms: i32,
  restraints: usize,
  settlements: usize,
  loads: usize,
  onNodes: usize,
  movements: usize,
  reactions: usize,
  sizes: usize,
): void {
  let worst: f64 = 0;
  let largest: f64 = 0;
  for (let f = 0; f < freedoms; f++) {
    const restraint = n(restraints, f);
    const needed = n(onNodes, f) - n(loads, f);
    let reaction = needed;
    if (restraint != Infinity) {
      reaction = restraint > 0 ? restraint * (n(settlements, f) - n(movements, f)) : 0;
      worst = max(worst, abs(needed - reaction));
    }
    put(reactions, f, reaction);
    largest = max(largest, abs(reaction));
  }
  put(sizes, 0, worst);
  put(sizes, 1, largest);
}
