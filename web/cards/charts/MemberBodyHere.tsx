'use client';

import { memberBody } from '@rigid-beam/core/results/bodies/member-body';
import type { Solution } from '@rigid-beam/core/results/results';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { balanceWords, memberBodyTable } from '@rigid-beam/core/tables/results/cut';
import { Hint } from '../../ui/controls';
import { CopiedTable } from '../../ui/CopiedTable';
import { Fold } from '../../ui/Fold';
import { runCharts as WORDS } from '../words';

interface MemberBodyProps {
  readonly solution: Solution;
  readonly outcome: number;
  /** Its place among the members of the structure. */
  readonly member: number;
  readonly display: DisplayUnits;
}

/** The member at the cursor cut free between its nodes: what acts on its ends and on itself, and whether that is in balance. */
export function MemberBodyHere({ solution, outcome, member, display }: MemberBodyProps) {
  return (
    <Fold title={WORDS.body(solution.structure.names.members[member]!)} remembered="member body">
      <Body {...{ solution, outcome, member, display }} />
    </Fold>
  );
}

function Body({ solution, outcome, member, display }: MemberBodyProps) {
  const body = memberBody(solution, outcome, member);
  const table = memberBodyTable(body, solution.structure.active, display);
  return (
    <>
      <CopiedTable table={table} />
      <Hint>{`${balanceWords(body.residual)} ${WORDS.aboutItsStart}`}</Hint>
    </>
  );
}
