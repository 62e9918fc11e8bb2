'use client';

import { Menu, MenuItem, MenuTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { categories, categoryOf, type Category } from '@rigid-beam/core/model/categories';
import { Button, overFace } from '../../ui/controls';
import { loadsBench as WORDS } from '../words';

const List = styled(Menu)`
  max-height: 20rem;
  min-width: 10rem;
  padding: 0.2rem;
  overflow-y: auto;
  ${overFace}
`;

const Choice = styled(MenuItem)`
  padding: 0.2rem 0.5rem;
  cursor: default;
  &[data-focused] {
    background: var(--hover);
  }
`;

/** A new case is asked for its kind: from it follow its name, and how it is combined. */
export function AddCase({ onAdd }: { readonly onAdd: (category: Category) => void }) {
  return (
    <MenuTrigger>
      <Button>{WORDS.addACase}</Button>
      <Popover placement="bottom start">
        <List aria-label={WORDS.ofWhichKind} onAction={(key) => onAdd(key as Category)}>
          {categories.map((id) => (
            <Choice key={id} id={id}>
              {categoryOf(id).title}
            </Choice>
          ))}
        </List>
      </Popover>
    </MenuTrigger>
  );
}
