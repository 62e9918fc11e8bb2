'use client';

import { GridList, GridListItem } from 'react-aria-components';
import styled from 'styled-components';
import { LineMark, orderedLine, orderedList, useOrder } from '../ui/ordered';
import { orderedList as WORDS } from './words';

const List = styled(GridList<Named>)`
  ${orderedList}
  max-height: 11rem;
`;

const Line = styled(GridListItem)`
  ${orderedLine}
  grid-template-columns: auto 1.2rem minmax(0, 1fr) auto;
  small {
    text-align: right;
  }
`;

/** One of the things in a list, by its key and as it is called. */
export interface Named {
  readonly key: string;
  readonly name: string;
}

interface OrderedListProps {
  readonly label: string;
  readonly items: readonly Named[];
  readonly shown: string;
  readonly onShow: (key: string) => void;
  /** Their keys in another order, or some of them. */
  readonly onChange: (keys: readonly string[]) => void;
}

/** Things in an order: one is looked at, and they are put into another order by dragging, or by the keys of their handles; the last one stays. */
export function OrderedList({ label, items, shown, onShow, onChange }: OrderedListProps) {
  const all = items.map(({ key }) => key);
  const dragAndDropHooks = useOrder(all, onChange);
  return (
    <List
      aria-label={label}
      items={items}
      dependencies={[items]}
      selectionMode="single"
      disallowEmptySelection
      // Escape is for what the list stands in.
      escapeKeyBehavior="none"
      selectedKeys={[shown]}
      onSelectionChange={(keys) => {
        const key = keys === 'all' ? undefined : [...keys][0];
        if (key !== undefined) onShow(String(key));
      }}
      dragAndDropHooks={dragAndDropHooks}
    >
      {({ key, name }) => (
        <Line id={key} textValue={name}>
          <LineMark slot="drag" aria-label={WORDS.move(name)}>
            ⠿
          </LineMark>
          <small>{all.indexOf(key) + 1}</small>
          <span>{name}</span>
          {items.length > 1 ? (
            <LineMark aria-label={WORDS.remove(name)} onPress={() => onChange(all.filter((one) => one !== key))}>
              ×
            </LineMark>
          ) : (
            <span />
          )}
        </Line>
      )}
    </List>
  );
}
