'use client';

import type { LoadPhrase } from '@rigid-beam/core/phrases/phrase';
import { actsOn, type PhraseTarget } from '@rigid-beam/core/phrases/phrase-loads';
import { putPhrase } from '@rigid-beam/core/phrases/put-phrase';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { runOf } from '@rigid-beam/core/model/runs';
import { selectedPanels, type Corners, type SelectedPanels } from '@rigid-beam/core/model/selected-panels';
import { chosenOf } from '../../session/chosen';
import { useDisplay, useEditor, useEditorState, useModel } from '../../session/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Hint, Row } from '../../ui/controls';
import { PUT } from './load-words';

const NONE: SelectedPanels = { free: [], loaded: [] };

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
  const panels = on === 'panel' ? selectedPanels(model, { nodes, members }, caseId) : NONE;
  const onPanels = (all: readonly Corners[]): void =>
    put(
      all.map((panel) => ({ panel })),
      PUT.label(words, all.length, 'panel'),
    );
  const words = phraseWords(phrase, display);
  const onMembers = (): void => put(members.map((member) => ({ member })), PUT.label(words, members.length, 'member')); // oxfmt-ignore
  const onNodes = (): void => put(nodes.map((node) => ({ node })), PUT.label(words, nodes.length, 'node')); // oxfmt-ignore
  return (
    <Row>
      {panels.free.length > 0 && (
        <Button onPress={() => onPanels(panels.free)}>
          {panels.free.length === 1 ? PUT.panel(panels.free[0]!.join(', ')) : PUT.panels(panels.free.length)}
        </Button>
      )}
      {panels.loaded.length > 0 && (
        <>
          <Hint role="status">{PUT.loadedAlready(panels.loaded.length, caseId)}</Hint>
          <Button onPress={() => onPanels(panels.loaded)}>{PUT.besides(panels.loaded.length)}</Button>
        </>
      )}
      {(on === 'member' || on === 'either') && members.length > 0 && (
        <Button onPress={onMembers}>{PUT.members(members.length)}</Button>
      )}
      {run && <Button onPress={() => put([{ run }], PUT.label(words, run.length, 'member'))}>{PUT.run(run.length)}</Button>}
      {(on === 'node' || on === 'either') && nodes.length > 0 && <Button onPress={onNodes}>{PUT.nodes(nodes.length)}</Button>}
    </Row>
  );
}
