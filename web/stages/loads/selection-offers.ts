import { runOf } from '@rigid-beam/core/model/runs';
import { selectedPanels } from '@rigid-beam/core/model/selected-panels';
import type { Chosen } from '@rigid-beam/core/model/selecting';
import type { Model } from '@rigid-beam/core/model/model';
import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { actsOn, panelsMeant, type PhraseTarget } from '@rigid-beam/core/phrases/phrase-loads';
import { PUT } from './load-words';

/** A way to put what is said on what is selected: its button, and the targets it puts one load on each of. */
export interface SelectionOffer {
  readonly words: string;
  readonly targets: readonly PhraseTarget[];
  /** What the targets are, each: `member`. */
  readonly what: string;
  /** What has to be known before it is done. */
  readonly warning?: string;
}

/** All that a load can be put on of what is selected; the first is what Enter means, unless it carries a warning. */
export function selectionOffers(phrase: LoadPhrase, { nodes, members }: Chosen, model: Model, caseId: string): SelectionOffer[] {
  const on = actsOn(phrase);
  if (on === 'panel') {
    const { free, loaded } = selectedPanels(model, { nodes, members }, caseId, panelsMeant(phrase));
    const panels = (all: typeof free): PhraseTarget[] => all.map((panel) => ({ panel }));
    return [
      ...(free.length > 0
        ? [
            {
              words: free.length === 1 ? PUT.panel(free[0]!.join(', ')) : PUT.panels(free.length),
              targets: panels(free),
              what: 'panel',
            },
          ]
        : []),
      ...(loaded.length > 0
        ? [
            {
              words: PUT.besides(loaded.length),
              targets: panels(loaded),
              what: 'panel',
              warning: PUT.loadedAlready(loaded.length, caseId),
            },
          ]
        : []),
    ];
  }
  const along = (phrase.kind === 'line' || (phrase.kind === 'area' && on === 'member')) && members.length > 1;
  const run = along ? runOf(model, members) : undefined;
  return [
    ...(on !== 'node' && members.length > 0
      ? [{ words: PUT.members(members.length), targets: members.map((member) => ({ member })), what: 'member' }]
      : []),
    ...(run ? [{ words: PUT.run(run.length), targets: [{ run }], what: 'member' }] : []),
    ...(on !== 'member' && nodes.length > 0
      ? [{ words: PUT.nodes(nodes.length), targets: nodes.map((node) => ({ node })), what: 'node' }]
      : []),
  ];
}
