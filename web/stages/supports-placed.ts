import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model, Support } from '@rigid-beam/core/model/model';
import { supportAlongMember } from '@rigid-beam/core/model/support-along';
import { supportOf } from '@rigid-beam/core/model/support-kinds';
import { supportsBench as WORDS } from './words';

/** The edit that gives nodes a kind of support; what they have already is kept as far as it fits. */
export const supportsOfKind = (kind: string, model: Model, nodes: readonly string[]): Intent | undefined =>
  put(
    nodes.map((node) => {
      const before = model.supports.find((support) => support.node === node);
      return supportOf(kind, node, before, model.space);
    }),
  );

/** The edit that gives nodes a roller on the slope of a member; a node without one gets none. */
export const supportsAlong = (model: Model, nodes: readonly string[]): Intent | undefined =>
  put(nodes.flatMap((node) => supportAlongMember(model, node) ?? []));

/** Supports in one step. */
function put(entries: readonly Support[]): Intent | undefined {
  const intents = entries.map((entry): Intent => ({ type: 'put', list: 'supports', entry: { ...entry } }));
  return intents.length > 1 ? { type: 'batch', intents, label: WORDS.supportNodes(intents.length) } : intents[0];
}
