'use client';

import { copyLoads } from '@rigid-beam/core/model/edits/copy-case';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { dividedLoad } from '@rigid-beam/core/model/loads/divided';
import { shapeOf } from '@rigid-beam/core/model/loads/member-shape';
import { mirroredOnMember } from '@rigid-beam/core/model/loads/mirrored';
import { phraseOfLoad } from '@rigid-beam/core/phrases/phrase-of-load';
import { phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { scaledLoad } from '@rigid-beam/core/model/loads/scaled';
import type { Load } from '@rigid-beam/core/model/model';
import { useDisplay, useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { loadValue } from '../sheet/load-values';
import { caseChoices } from '../ui/case-choices';
import { ApplyTool } from '../sheet/tools/apply-tool';
import { Button, PanelSubtitle, Row, Select } from '../ui/controls';
import { NumberedAction } from '../ui/NumberedAction';
import { loadCard as WORDS } from './words';

/** What is done with a load as a whole: others like it, copies, another size, the other way round. */
export function LoadActions({ load, sheet }: { readonly load: Load; readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const display = useDisplay();
  const model = useEditorState((state) => state.model);
  const others = model.cases.filter(({ id }) => id !== load.case);
  const words = (one: Load): string => {
    const phrase = phraseOfLoad(one, model);
    return phrase ? phraseWords(phrase, display) : JSON.stringify(loadValue(one, display).value);
  };
  const alike = (): void => {
    const like = words(load);
    const found = model.loads.filter((one) => one.case === load.case && one.type === load.type && words(one) === like);
    editor.select(found.map(({ id }) => ({ kind: 'load', id })));
  };
  const put = (intents: readonly Intent[], label: string): boolean => editor.edit({ type: 'batch', intents, label });
  const mirrored = load.type === 'line' || load.type === 'point';
  return (
    <>
      <PanelSubtitle>{WORDS.asAWhole}</PanelSubtitle>
      <Row>
        <Button onPress={alike}>{WORDS.alike}</Button>
        {mirrored && (
          <Button
            onPress={() => {
              const length = shapeOf(model, load.member)?.length ?? 0;
              editor.edit({ type: 'put', list: 'loads', entry: { ...mirroredOnMember(load, length) } });
            }}
          >
            {WORDS.mirror}
          </Button>
        )}
        {'member' in load && sheet && (
          <Button
            onPress={() =>
              sheet.take(
                new ApplyTool(sheet, {
                  name: WORDS.copyTool,
                  hint: WORDS.copyHint,
                  on: 'member',
                  intent: (_, members) => {
                    const { id: __, ...rest } = load;
                    const intents = members.map((member): Intent => ({ type: 'put', list: 'loads', entry: { ...rest, member } }));
                    return intents.length > 1
                      ? { type: 'batch', intents, label: WORDS.copiedToMembers(load.id, intents.length) }
                      : intents[0];
                  },
                }),
              )
            }
          >
            {WORDS.copyTool}
          </Button>
        )}
      </Row>
      <NumberedAction
        label={WORDS.factor}
        initial={2}
        words={WORDS.scale}
        onAct={(factor) => editor.edit({ type: 'put', list: 'loads', entry: { ...scaledLoad(load, factor) } })}
      />
      {load.type === 'line' && <Divide load={load} />}
      {others.length > 0 && (
        <Select
          label={WORDS.copyTo}
          choices={[{ id: '', text: WORDS.chooseCase }, ...caseChoices(others)]}
          value=""
          onChange={(id) => id !== '' && put(copyLoads([load], id, 1), WORDS.copied(load.id, id))}
        />
      )}
    </>
  );
}

/** A line load made two, which meet at a part of its stretch. */
function Divide({ load }: { readonly load: Extract<Load, { readonly type: 'line' }> }) {
  const editor = useEditor();
  const divide = (ratio: number): void => {
    const parts = dividedLoad(load, ratio, shapeOf(editor.state.model, load.member)?.length ?? 0);
    if (!parts) return editor.refuse(WORDS.notThere);
    const { id: _, ...second } = parts[1];
    const intents = [parts[0], second].map((entry): Intent => ({ type: 'put', list: 'loads', entry: { ...entry } }));
    editor.edit({ type: 'batch', intents, label: WORDS.divided(load.id) });
  };
  return <NumberedAction label={WORDS.divideAt} initial={0.5} words={WORDS.divide} onAct={divide} />;
}
