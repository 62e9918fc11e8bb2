'use client';

import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { actsOn, type PhraseTarget } from '@rigid-beam/core/phrases/phrase-loads';
import { putPhrase } from '@rigid-beam/core/phrases/put-phrase';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import type { Model } from '@rigid-beam/core/model/model';
import { ringsOf } from '@rigid-beam/core/model/panels';
import { runOf } from '@rigid-beam/core/model/runs';
import { chosenOf } from '../../session/chosen';
import { useDisplay, useEditor, useEditorState, useModel } from '../../session/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Row } from '../../ui/controls';
import { PUT } from './load-words';

interface PutOnSelectionProps {
  readonly sheet: SheetController;
  readonly phrase: LoadPhrase;
  readonly caseId: string;
}

/** Puts what is said on everything that is selected, in one step, or along a run of members as one; whole or not at all. */
export function PutOnSelection({ sheet, phrase, caseId }: PutOnSelectionProps) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const { nodes, members } = chosenOf(useEditorState((state) => state.selection));
  const on = actsOn(phrase);
  const run =
    (phrase.kind === 'line' || (phrase.kind === 'area' && on === 'member')) && members.length > 1
      ? runOf(model, members)
      : undefined;
  const put = (targets: readonly PhraseTarget[], label: string): void => {
    const intents = putPhrase(phrase, targets, model, caseId);
    if (typeof intents === 'string') return editor.refuse(PUT.refused(intents));
    if (editor.edit({ type: 'batch', intents, label })) sheet.takeSelect();
  };
  const panels = on === 'panel' ? panelsBetween(nodes, members, model) : [];
  const words = phraseWords(phrase, display);
  const onMembers = (): void => put(members.map((member) => ({ member })), PUT.label(words, members.length, 'member')); // oxfmt-ignore
  const onNodes = (): void => put(nodes.map((node) => ({ node })), PUT.label(words, nodes.length, 'node')); // oxfmt-ignore
  return (
    <Row>
      {panels.length > 0 && (
        <Button
          onPress={() =>
            put(
              panels.map((panel) => ({ panel })),
              PUT.label(words, panels.length, 'panel'),
            )
          }
        >
          {panels.length === 1 ? PUT.panel(panels[0]!.join(', ')) : PUT.panels(panels.length)}
        </Button>
      )}
      {(on === 'member' || on === 'either') && members.length > 0 && (
        <Button onPress={onMembers}>{PUT.members(members.length)}</Button>
      )}
      {run && <Button onPress={() => put([{ run }], PUT.label(words, run.length, 'member'))}>{PUT.run(run.length)}</Button>}
      {(on === 'node' || on === 'either') && nodes.length > 0 && <Button onPress={onNodes}>{PUT.nodes(nodes.length)}</Button>}
    </Row>
  );
}

/** The rings of members whose corners are all selected, or ends of selected members; else the selected nodes as corners of one panel. */
function panelsBetween(nodes: readonly string[], members: readonly string[], model: Model): readonly (readonly string[])[] {
  const chosenMembers = new Set(members);
  const chosen = new Set([
    ...nodes,
    ...model.members.flatMap(({ id, start, end }) => (chosenMembers.has(id) ? [start, end] : [])),
  ]);
  if (chosen.size < 3) return [];
  const rings = ringsOf(model).filter(({ corners }) => corners.every((id) => chosen.has(id)));
  if (rings.length > 0) return rings.map(({ corners }) => corners);
  return nodes.length > 2 ? [nodes] : [];
}
