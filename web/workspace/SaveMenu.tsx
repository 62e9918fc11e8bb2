'use client';

import { memo } from 'react';
import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { writable, type WritableFormat } from '@rigid-beam/core/formats/registry';
import { useEditor } from '../editor/use-editor';
import { overFace, PlainButton } from '../ui/controls';
import { saveMenu as WORDS } from './words';

const List = styled(Menu)`
  min-width: 11rem;
  padding: 0.2rem;
  ${overFace}
`;

const Choice = styled(MenuItem)`
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  padding: 0.25rem 0.5rem;
  color: var(--ink);
  text-decoration: none;
  cursor: default;
  &[data-focused] {
    background: var(--hover);
  }
  small {
    color: var(--soft);
  }
`;

/** Every registered kind of file that the model can be saved as. */
export const SaveMenu = memo(function SaveMenu() {
  const editor = useEditor();
  const link = ({ id, writer: { needs } }: WritableFormat) =>
    needs === 'model' ? { href: `/api/models/${editor.opened.id}/file?format=${id}`, download: '' } : {};
  return (
    <MenuTrigger>
      <PlainButton aria-label={WORDS.saveAsFile}>{WORDS.export}</PlainButton>
      <Popover placement="bottom end">
        <List aria-label={WORDS.kindsOfFile}>
          <Choice
            id="paper"
            aria-label={WORDS.onPaper}
            textValue={WORDS.onPaper}
            onAction={() => editor.show({ dialog: 'paper' })}
          >
            {WORDS.onPaper} <small>.pdf .svg .png .dxf .html</small>
          </Choice>
          {writable.map((format) => (
            <Choice
              key={format.id}
              id={format.id}
              textValue={format.words}
              {...link(format)}
              onAction={() => format.writer.needs === 'analysis' && void editor.files.save(format)}
            >
              {format.words} <small>{format.extension}</small>
            </Choice>
          ))}
        </List>
      </Popover>
    </MenuTrigger>
  );
});
