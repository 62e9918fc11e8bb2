'use client';

import dynamic from 'next/dynamic';
import styled from 'styled-components';
import { ChartsDrawer } from '../cards/ChartsDrawer';
import { isResultList } from '@rigid-beam/core/tables/results/lists';
import { ResultSchedule } from '../schedules/ResultSchedule';
import { Schedule } from '../schedules/Schedule';
import { useEditorState } from '../editor/use-editor';
import { CaseStrip } from '../sheet/CaseStrip';
import { Hold } from '../ui/Hold';
import { lower as WORDS } from './words';

/** Comes when somebody reads it. */
const WorkingsDrawer = dynamic(() => import('../workings/WorkingsDrawer').then((all) => all.WorkingsDrawer), { ssr: false });
const ParametersDrawer = dynamic(() => import('../parameters/ParametersDrawer').then((all) => all.ParametersDrawer), {
  ssr: false,
});

const Place = styled.div`
  grid-area: lower;
  min-width: 0;
  &[data-drawer='true'] {
    height: min(46vh, 24rem);
  }
`;

/** Under the sheet: the cases, or in their place what was asked to be read. */
export function LowerPanel() {
  const drawer = useEditorState((state) => state.drawer);
  return (
    <Place data-drawer={drawer !== undefined}>
      <Hold what={WORDS.whatIsRead} again={[drawer]}>
        {drawer === undefined ? (
          <CaseStrip />
        ) : drawer === 'charts' ? (
          <ChartsDrawer />
        ) : drawer === 'workings' ? (
          <WorkingsDrawer />
        ) : drawer === 'parameters' ? (
          <ParametersDrawer />
        ) : isResultList(drawer) ? (
          <ResultSchedule list={drawer} />
        ) : (
          <Schedule key={drawer} list={drawer} />
        )}
      </Hold>
    </Place>
  );
}
