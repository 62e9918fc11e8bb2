import { diagramOfResponse } from '../results/diagram';
import { valueIn } from '../results/read';
import type { StructuralResponse } from '../results/results';
import { FREEDOMS, isPlane, memberCount, nodeCount, type Structure } from '../stiffness/structure';
import { shapes as WORDS } from './words';

/** Of the largest movement of a shape so much makes it what one says of it. */
const MATTERS = 0.5;
/** Members that bow at least so much beside the one that does most are named with it, up to so many. */
const ALIKE = 0.7;
const MOST_NAMED = 3;
/** Between its ends a member is looked at here, as parts of its length: enough for words. */
const PLACES = [0.25, 0.5, 0.75];

/** How far member m moves away from the straight line between its ends. */
function bowOf(structure: Structure, response: StructuralResponse, m: number): number {
  const diagram = diagramOfResponse({ structure }, response, m);
  const { length } = diagram;
  const at = (t: number): readonly [number, number] => [
    valueIn(diagram, 'v', t * length),
    isPlane(structure) ? 0 : valueIn(diagram, 'w', t * length),
  ];
  const [v0, w0] = at(0);
  const [v1, w1] = at(1);
  let most = 0;
  for (const t of PLACES) {
    const [v, w] = at(t);
    const [dv, dw] = [v - v0 - t * (v1 - v0), w - w0 - t * (w1 - w0)];
    most = Math.max(most, Math.sqrt(dv * dv + dw * dw) || 0);
  }
  return most;
}

/** What a buckling or swinging shape does, in words: which way nodes move, and which members bow between them; nothing where it only turns nodes. */
export function shapeWords(structure: Structure, response: StructuralResponse): string {
  const { displacements } = response;
  let [node, moved] = [-1, 0];
  for (let i = 0; i < nodeCount(structure); i++) {
    const size = Math.hypot(displacements[FREEDOMS * i]!, displacements[FREEDOMS * i + 1]!, displacements[FREEDOMS * i + 2]!);
    if (size > moved * (1 + 1e-9)) [node, moved] = [i, size];
  }
  const bows = Array.from({ length: memberCount(structure) }, (_, m) => bowOf(structure, response, m));
  const bowed = bows.reduce((most, one) => Math.max(most, one), 0);
  const most = Math.max(moved, bowed);
  if (!(most > 0)) return '';
  const along = [0, 1, 2].reduce((best, k) =>
    Math.abs(displacements[FREEDOMS * node + k] ?? 0) > Math.abs(displacements[FREEDOMS * node + best] ?? 0) + 1e-9 * moved
      ? k
      : best,
  );
  // Alike but for rounding they come in their order.
  const share = bows.map((bow) => Math.round((1e3 * bow) / bowed));
  const ids = [...bows.keys()].filter((m) => bows[m]! >= ALIKE * bowed).sort((a, b) => share[b]! - share[a]! || a - b);
  const named = ids
    .slice(0, MOST_NAMED)
    .sort((a, b) => a - b)
    .map((m) => structure.names.members[m]!);
  const parts = [
    ...(moved >= MATTERS * most ? [WORDS.moves[along as 0 | 1 | 2](structure.names.nodes[node]!)] : []),
    ...(bowed >= MATTERS * most ? [WORDS.bow(named, ids.length)] : []),
  ];
  return parts.join(WORDS.while);
}
