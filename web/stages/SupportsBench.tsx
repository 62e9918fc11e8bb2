'use client';

import { withAxes } from '@rigid-beam/core/quantities/axis-names';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { useDisplay, useEditor, useModel } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { ApplyTool } from '../sheet/tools/apply-tool';
import { Button, Hint, PanelSubtitle, PlainButton, Stack } from '../ui/controls';
import { Instrument, Instruments } from '../ui/Instrument';
import type { PictureName } from '../ui/pictures';
import { supportKindsOf, supportKindWords } from '@rigid-beam/core/model/support-kinds';
import { supportsAlong, supportsOfKind } from './supports-placed';
import { supportsBench as WORDS } from './words';

const PICTURES: Readonly<Record<string, PictureName>> = {
  pinned: 'pinned',
  fixed: 'fixed',
  rollsX: 'rollsX',
  rollsY: 'rollsY',
  rollsZ: 'rollsY',
  bears: 'rollsX',
  guided: 'slides',
};

/** A roller on the slope of a member of its node. */
const ALONG = 'along a member';

/** In as little room as there is. */
const SHORT: Readonly<Record<string, string>> = {
  rollsX: WORDS.rollsX,
  rollsY: WORDS.rollsY,
  rollsZ: WORDS.rollsZ,
  guided: WORDS.guided,
  bears: WORDS.bears,
  upright: WORDS.upright,
};

/** What a support does, as much of it as there is room for, and its removal. */
const Line = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.35rem;
  button {
    white-space: normal;
    justify-content: flex-start;
    text-align: start;
  }
`;

/** Choose a support, then click the nodes that get it. */
export function SupportsBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const tool = useStore(sheet.store, (state) => state.tool.name);
  const take = (kind: string, text: string): void =>
    sheet.take(
      new ApplyTool(sheet, {
        name: WORDS.placed(kind),
        hint: WORDS.clickNodes(text.toLowerCase()),
        on: 'node',
        makes: 'propose',
        intent: (current, nodes) => supportsOfKind(kind, current, nodes),
      }),
    );
  const takeAlong = (): void =>
    sheet.take(
      new ApplyTool(sheet, {
        name: WORDS.placed(ALONG),
        hint: WORDS.clickNodes(WORDS.alongMember.toLowerCase()),
        on: 'node',
        makes: 'propose',
        intent: supportsAlong,
      }),
    );
  return (
    <Stack>
      <Instruments role="group" aria-label={WORDS.supportsToPlace}>
        {supportKindsOf(model.space)
          .map((kind) => ({ id: kind.id, text: supportKindWords(kind, display) }))
          .map(({ id, text }) => (
            <Instrument
              key={id}
              picture={PICTURES[id] ?? 'pinned'}
              words={withAxes(SHORT[id] ?? text, display)}
              label={text}
              isHeld={tool === WORDS.removed(id)}
              onChange={(on) => (on ? take(id, text) : sheet.takeSelect())}
            />
          ))}
        <Instrument
          picture="rollsX"
          words={WORDS.alongMemberShort}
          label={WORDS.alongMember}
          isHeld={tool === WORDS.placed(ALONG)}
          onChange={(on) => (on ? takeAlong() : sheet.takeSelect())}
        />
      </Instruments>
      <Hint>{WORDS.hint}</Hint>
      <PanelSubtitle>{WORDS.inThisModel}</PanelSubtitle>
      {model.supports.length === 0 && <Hint>{WORDS.none}</Hint>}
      {model.supports.map((support) => (
        <Line key={support.node}>
          <PlainButton onPress={() => editor.select([{ kind: 'node', id: support.node }])}>
            {WORDS.node(support.node, supportWords(support, model.space, display))}
          </PlainButton>
          <Button
            aria-label={WORDS.removeTheSupportOfNode(support.node)}
            onPress={() => editor.propose({ type: 'remove', list: 'supports', keys: [support.node] })}
          >
            {WORDS.remove}
          </Button>
        </Line>
      ))}
      {model.supports.length > 0 && <Button onPress={() => editor.show({ drawer: 'supports' })}>{WORDS.schedule}</Button>}
    </Stack>
  );
}
