'use client';

import { useState, type ReactNode } from 'react';
import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import {
  categoryGroups,
  grouping,
  groupWayWords,
  groupWords,
  type CategoryGroup,
  type GroupWay,
} from '@rigid-beam/core/combinations/grouping';
import { categoryOf } from '@rigid-beam/core/model/categories';
import type { LoadCase } from '@rigid-beam/core/model/model';
import { useEditor, useModel } from '../../editor/use-editor';
import { Hint, PanelSubtitle, Stack, ToggleButton } from '../../ui/controls';
import { Swatch } from '../../ui/Swatch';
import { actTogether as WORDS } from '../words';

const Line = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.15rem 0.35rem;
`;

const Ways = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem;
  button {
    min-height: 1.45rem;
    padding: 0 0.4rem;
    font-size: 0.75rem;
  }
`;

/** The variable cases by their categories, and how those of each act: by themselves, one at a time, only together, to both sides; all of them, or those that are chosen. */
export function ActTogether() {
  const model = useModel();
  const groups = categoryGroups(model);
  if (groups.length === 0) return null;
  return (
    <Stack>
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      {groups.map((group) => (
        <CategoryLine key={group.category} group={group} />
      ))}
    </Stack>
  );
}

function CategoryLine({ group }: { readonly group: CategoryGroup }) {
  const editor = useEditor();
  const model = useModel();
  const [chosen, choose] = useState<readonly string[]>([]);
  const { title } = categoryOf(group.category);
  const ids = group.cases.map(({ id }) => id);
  const some = chosen.filter((id) => ids.includes(id));
  const isWhole = some.length === 0 || some.length === ids.length;
  const name = ({ id, colour }: LoadCase): ReactNode => (
    <>
      <Swatch aria-hidden $colour={colour} /> {id}
    </>
  );
  return (
    <Line>
      {group.cases.length === 1 ? (
        <span title={group.cases[0]!.title}>{name(group.cases[0]!)}</span>
      ) : (
        <Ways
          aria-label={WORDS.chosen(title)}
          selectionMode="multiple"
          selectedKeys={some}
          onSelectionChange={(keys) => choose([...keys].map(String))}
        >
          {group.cases.map((one) => (
            <ToggleButton key={one.id} id={one.id} aria-label={one.title ? `${one.id}, ${one.title}` : one.id}>
              {name(one)}
            </ToggleButton>
          ))}
        </Ways>
      )}
      <Hint as="span">{title.toLowerCase()}</Hint>
      <Ways
        aria-label={WORDS.ways(title)}
        selectionMode="single"
        disallowEmptySelection={group.way !== undefined && isWhole}
        selectedKeys={isWhole && group.way !== undefined ? [group.way] : []}
        onSelectionChange={(keys) => {
          const [way] = [...keys];
          if (way === undefined || (isWhole && way === group.way)) return;
          editor.edit(grouping(model, group, way as GroupWay, isWhole ? undefined : some));
          choose([]);
        }}
      >
        {(some.length === 1 ? WAYS_OF_ONE : group.ways).map((way) => (
          <ToggleButton key={way} id={way}>
            {groupWayWords[way]}
          </ToggleButton>
        ))}
      </Ways>
      {isWhole ? (
        group.way === undefined && <Hint as="span">{groupWords(model, group)}</Hint>
      ) : (
        <Hint as="span">{WORDS.onlyThese(some)}</Hint>
      )}
    </Line>
  );
}

/** What makes a difference of one case. */
const WAYS_OF_ONE: readonly GroupWay[] = ['by itself', 'both signs'];
