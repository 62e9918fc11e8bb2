'use client';

import { GridList, GridListItem } from 'react-aria-components';
import styled from 'styled-components';
import type { LoadCase } from '@rigid-beam/core/model/model';
import { nameOf } from '@rigid-beam/core/model/named';
import { useEditor, useModel } from '../../editor/use-editor';
import { LineMark, orderedLine, orderedList, useOrder } from '../../ui/ordered';
import { Swatch } from '../../ui/Swatch';
import { caseList as WORDS } from '../words';

const List = styled(GridList<LoadCase>)`
  ${orderedList}
  max-height: 9.5rem;
`;

const Line = styled(GridListItem)`
  ${orderedLine}
  grid-template-columns: auto auto minmax(0, 1fr) auto;
`;

/** The cases in their order: one is chosen to act, and they are put into another order by dragging, or by the keys of their handles. */
export function CaseList({ acting }: { readonly acting: string | undefined }) {
  const editor = useEditor();
  const { cases, loads } = useModel();
  const dragAndDropHooks = useOrder(
    cases.map(({ id }) => id),
    (keys) => void editor.edit({ type: 'order', list: 'cases', keys }),
  );
  const count = (id: string): number => loads.reduce((sum, load) => sum + (load.case === id ? 1 : 0), 0);
  return (
    <List
      aria-label={WORDS.cases}
      items={cases}
      dependencies={[loads]}
      selectionMode="single"
      escapeKeyBehavior="none"
      selectedKeys={acting === undefined ? [] : [acting]}
      onSelectionChange={(keys) => {
        const id = keys === 'all' ? undefined : [...keys][0];
        if (id !== undefined) editor.go({ acting: String(id) });
      }}
      dragAndDropHooks={dragAndDropHooks}
    >
      {(one) => (
        <Line id={one.id} textValue={nameOf(one)}>
          <LineMark slot="drag" aria-label={WORDS.move(one.id)}>
            ⠿
          </LineMark>
          <Swatch aria-hidden $colour={one.colour} />
          <span>
            <b>{one.id}</b> {one.title ?? ''}
          </span>
          <small>{WORDS.holds(count(one.id), one.selfWeight ? 'weighs' : 'weightless')}</small>
        </Line>
      )}
    </List>
  );
}
