'use client';

import { useStore } from 'zustand';
import { useEditor, useModel } from '../session/use-editor';
import type { SheetController } from '../sheet/controller';
import { supportWords } from '@rigid-beam/core/model/support-words';
import { ApplyTool } from '../sheet/tools/apply-tool';
import { Button, Hint, PanelSubtitle, PlainButton, Row, Stack } from '../ui/controls';
import { Instrument, Instruments } from '../ui/Instrument';
import type { PictureName } from '../ui/pictures';
import { supportKindsOf, supportOf } from '@rigid-beam/core/model/support-kinds';

const PICTURES: Readonly<Record<string, PictureName>> = {
  pinned: 'pinned',
  fixed: 'fixed',
  rollsX: 'rollsX',
  rollsY: 'rollsY',
  rollsZ: 'rollsY',
  bears: 'rollsX',
  guided: 'slides',
};

/** In as little room as there is. */
const SHORT: Readonly<Record<string, string>> = {
  rollsX: 'Rolls X',
  rollsY: 'Rolls Y',
  rollsZ: 'Rolls Z',
  guided: 'Guided',
  bears: 'Bears',
  upright: 'Upright',
};

/** Choose a support, then click the nodes that get it. */
export function SupportsBench({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const model = useModel();
  const tool = useStore(sheet.store, (state) => state.tool.name);
  const take = (kind: string, text: string): void =>
    sheet.take(
      new ApplyTool(sheet, {
        name: `support ${kind}`,
        hint: `Click the nodes to support: ${text.toLowerCase()}. Escape ends.`,
        on: 'node',
        intent: (current, node) => ({
          type: 'put',
          list: 'supports',
          entry: {
            ...supportOf(
              kind,
              node,
              current.supports.find((support) => support.node === node),
              current.space,
            ),
          },
        }),
      }),
    );
  return (
    <Stack>
      <Instruments role="group" aria-label="Supports to place">
        {supportKindsOf(model.space).map(({ id, text }) => (
          <Instrument
            key={id}
            picture={PICTURES[id] ?? 'pinned'}
            words={SHORT[id] ?? text}
            label={text}
            isHeld={tool === `support ${id}`}
            onChange={(on) => (on ? take(id, text) : sheet.takeSelect())}
          />
        ))}
      </Instruments>
      <Hint>Springs, slopes and settlements are set on the node’s card: select a supported node.</Hint>
      <PanelSubtitle>In this model</PanelSubtitle>
      {model.supports.length === 0 && <Hint>Nothing holds the structure yet.</Hint>}
      {model.supports.map((support) => (
        <Row key={support.node}>
          <PlainButton onPress={() => editor.select([{ kind: 'node', id: support.node }])}>
            Node {support.node}: {supportWords(support, model.space)}
          </PlainButton>
          <Button
            aria-label={`Remove the support of node ${support.node}`}
            onPress={() => editor.edit({ type: 'remove', list: 'supports', keys: [support.node] })}
          >
            Remove
          </Button>
        </Row>
      ))}
    </Stack>
  );
}
