import { n, put } from './numbers';

@inline
function run(
  plane: bool,
  nodes: i32,
  restraints: usize,
  settlements: usize,
  loads: usize,
  onNodes: usize,
  displacements: usize,
  reactions: usize,
  sizes: usize,
): void {
  let worst: f64 = 0;
  let largest: f64 = 0;
  for (let node = 0; node < nodes; node++) {
    for (let k = 0; k < 6; k++) {
      // In the plane a node has ux, uy and rz.
      if (plane && k == 2) k = 5;
      const f = 6 * node + k;
      const restraint = n(restraints, f);
      const needed = n(onNodes, f) - n(loads, f);
      let reaction = needed;
      if (restraint != Infinity) {
        reaction = restraint > 0 ? restraint * (n(settlements, f) - n(displacements, f)) : 0;
        worst = max(worst, abs(needed - reaction));
      }
      put(reactions, f, reaction);
      largest = max(largest, abs(reaction));
    }
  }
  put(sizes, 0, worst);
  put(sizes, 1, largest);
}

/** What the supports exert, and what is left at joints: at a fixed freedom the support exerts the forces on the members less the load on the node, at a sprung one the spring's own force. Writes the sizes of the worst joint and the largest reaction. */
export function joints(
  nodes: i32,
  restraints: usize,
  settlements: usize,
  loads: usize,
  onNodes: usize,
  displacements: usize,
  reactions: usize,
  sizes: usize,
  plane: i32,
): void {
  if (plane) run(true, nodes, restraints, settlements, loads, onNodes, displacements, reactions, sizes);
  else run(false, nodes, restraints, settlements, loads, onNodes, displacements, reactions, sizes);
}
