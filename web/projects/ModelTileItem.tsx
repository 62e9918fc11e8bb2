'use client';

import Link from 'next/link';
import { useState } from 'react';
import { Heading, Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import type { Notice } from '@rigid-beam/core/model/notice';
import { overFace, PlainButton } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { duplicateModel, moveModel, removeModel, renameModel } from './requests';
import { TILE, type ModelTile } from './tile';
import { modelTileItem as WORDS } from './words';

const Tile = styled.li`
  position: relative;
  background: var(--paper);
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  &:hover {
    border-color: var(--ink);
  }
  a {
    display: block;
    color: inherit;
    text-decoration: none;
  }
  svg {
    display: block;
    width: 100%;
  }
`;

const Caption = styled.div`
  padding: 0.5rem 0.8rem;
  border-top: 1px solid var(--rule);
  h3 {
    font-size: 0.95rem;
    font-weight: 600;
  }
  p {
    color: var(--soft);
  }
`;

const Corner = styled.div`
  position: absolute;
  top: 0.3rem;
  right: 0.3rem;
`;

const Rename = styled.div`
  padding: 0 0.8rem 0.6rem;
`;

const List = styled(Menu)`
  min-width: 11rem;
  padding: 0.2rem;
  ${overFace}
`;

const Choice = styled(MenuItem)`
  padding: 0.25rem 0.5rem;
  cursor: default;
  &[data-focused] {
    background: var(--hover);
  }
`;

interface ModelTileItemProps {
  readonly model: ModelTile;
  /** Other projects, to which it can be moved. */
  readonly elsewhere: readonly { readonly id: string; readonly name: string }[];
  readonly change: (asked: Promise<readonly Notice[]>) => Promise<void>;
}

/** A model as its drawing, and what can be done with it as a whole. */
export function ModelTileItem({ model, elsewhere, change }: ModelTileItemProps) {
  const [renaming, setRenaming] = useState(false);
  const { id, title } = model;
  const act = (key: string): void => {
    if (key === 'rename') setRenaming(true);
    else if (key === 'copy') void change(duplicateModel(id));
    else if (key === 'remove') void change(removeModel(id));
    else void change(moveModel(id, key));
  };
  return (
    <Tile>
      <Link href={`/models/${id}`}>
        <svg viewBox={`0 0 ${TILE.width} ${TILE.height}`} aria-hidden dangerouslySetInnerHTML={{ __html: model.markup }} />
        <Caption>
          <Heading level={3}>{title}</Heading>
          <p>{model.words}</p>
          <p className="number">{model.figure || WORDS.beingDrawn}</p>
          <p>{model.changed}</p>
        </Caption>
      </Link>
      {renaming && (
        <Rename>
          <NameField
            label={WORDS.title}
            value={title}
            onCommit={(next) => {
              setRenaming(false);
              void change(renameModel(id, next));
            }}
          />
        </Rename>
      )}
      <Corner>
        <MenuTrigger>
          <PlainButton aria-label={WORDS.moreFor(title)}>⋯</PlainButton>
          <Popover placement="bottom end">
            <List aria-label={WORDS.whatToDoWith(title)} onAction={(key) => act(String(key))}>
              <Choice id="rename">{WORDS.rename}</Choice>
              <Choice id="copy">{WORDS.duplicate}</Choice>
              {elsewhere.map((project) => (
                <Choice key={project.id} id={project.id}>
                  {WORDS.moveTo(project.name)}
                </Choice>
              ))}
              <Choice id="remove">{WORDS.remove}</Choice>
            </List>
          </Popover>
        </MenuTrigger>
      </Corner>
    </Tile>
  );
}
