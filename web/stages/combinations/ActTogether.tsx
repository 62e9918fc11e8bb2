'use client';

import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { categoryGroups, grouping, groupWayWords, type GroupWay } from '@rigid-beam/core/combinations/grouping';
import { categoryOf } from '@rigid-beam/core/model/categories';
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

/** The variable cases by their categories, and how those of each act: by themselves, one at a time, only together, to both sides. */
export function ActTogether() {
  const editor = useEditor();
  const model = useModel();
  const groups = categoryGroups(model);
  if (groups.length === 0) return null;
  return (
    <Stack>
      <PanelSubtitle>{WORDS.title}</PanelSubtitle>
      {groups.map((group) => {
        const { title } = categoryOf(group.category);
        return (
          <Line key={group.category}>
            {group.cases.map(({ id, colour, title: name }) => (
              <span key={id} title={name}>
                <Swatch aria-hidden $colour={colour} /> {id}
              </span>
            ))}
            <Hint as="span">{title.toLowerCase()}</Hint>
            <Ways
              aria-label={WORDS.ways(title)}
              selectionMode="single"
              disallowEmptySelection={group.way !== undefined}
              selectedKeys={group.way === undefined ? [] : [group.way]}
              onSelectionChange={(keys) => {
                const [way] = [...keys];
                if (way !== undefined && way !== group.way) editor.edit(grouping(model, group, way as GroupWay));
              }}
            >
              {group.ways.map((way) => (
                <ToggleButton key={way} id={way}>
                  {groupWayWords[way]}
                </ToggleButton>
              ))}
            </Ways>
            {group.way === undefined && <Hint as="span">{WORDS.mixed}</Hint>}
          </Line>
        );
      })}
    </Stack>
  );
}
