import { displayOf } from '@rigid-beam/core/quantities/display';
import type { Model } from '@rigid-beam/core/model/model';
import type { Item, Subject } from './display-list';
import { drawnNodes, nearness } from './geometry';
import { planeTest } from './structure-items';
import { SHADES } from './level-of-detail';
import { symbolInSpace } from './support-in-space';
import { symbol } from './support-symbol';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { once } from '@rigid-beam/core/once';
import { sameGround, type Ground } from './ground';

/** Pixels: the dashes of a support that is lifted off. */
const LIFTED = [3, 3];
const NONE: ReadonlySet<string> = new Set();

/** Supports in their textbook symbols, turned with the support's axes, springs as zigzags; those that are `lifted` off in dashes. In space they fade with what stands on them. */
export const supportItems = once(drawnSupports, sameGround);

function drawnSupports(model: Model, view: Ground, lifted: ReadonlySet<string> = NONE): readonly Item[] {
  const nodes = drawnNodes(model, view);
  const [isOn, near] = [planeTest(model, view), nearness(model, view)];
  const symbols = model.supports.flatMap((support): Item[] => {
    const node = nodes.get(support.node);
    if (!node) return [];
    const whole = model.space === 'plane' ? symbol(support, node.x, node.y, view) : symbolInSpace(support, node.x, node.y, view);
    const dash = LIFTED.map((part) => part * view.weight);
    const items = lifted.has(support.node) ? whole.map((item): Item => (item.kind === 'path' ? { ...item, dash } : item)) : whole;
    if (model.space === 'plane') return items;
    const left = isOn(support.node) ? 1 - 0.6 * (1 - Math.round(near(node.depth) * SHADES) / SHADES) : 0.25;
    return left === 1
      ? items
      : items.map((item): Item => (item.kind === 'path' ? { ...item, opacity: (item.opacity ?? 1) * left } : item));
  });
  return view.supports === 'said' ? [...symbols, ...supportLabels(model, view)] : symbols;
}

/** From so many alike on, one of them says it for all. */
const MANY = 6;

/** What each support does, in words. */
function supportLabels(model: Model, view: Ground): Item[] {
  const nodes = drawnNodes(model, view);
  const said = model.supports.map((support) => ({
    node: nodes.get(support.node),
    id: support.node,
    // Beside the arrow of what pushes one way.
    aside: support.oneWay ? 27 : 18,
    text: supportWords(support, model.space, displayOf(model)),
  }));
  const counts = new Map<string, number>();
  for (const { text } of said) counts.set(text, (counts.get(text) ?? 0) + 1);
  const seen = new Set<string>();
  return said.flatMap(({ node, id, aside, text }): Item[] => {
    const count = counts.get(text)!;
    if (!node || (count > MANY && seen.has(text))) return [];
    seen.add(text);
    const words = count > MANY ? `${count} × ${text}` : text;
    const subject: Subject = { kind: 'support', id };
    const place = { x: node.x, y: node.y, dx: aside * view.weight, dy: -12 * view.weight, away: [1, -0.3] as const };
    return [{ kind: 'label', text: words, ...place, ink: 'support', role: 'load', rank: 80, subject }];
  });
}
