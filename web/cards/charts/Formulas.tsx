'use client';

import styled from 'styled-components';
import type { DisplayUnits } from '@rigid-beam/core/quantities/display';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { inLetterOrder, isLine, nameOf, quantitiesOf, unitOfQuantity, symbolOf } from '@rigid-beam/core/results/quantities';
import type { Solution } from '@rigid-beam/core/results/results';
import { isPlane } from '@rigid-beam/core/stiffness/structure';
import { formulasOf } from '@rigid-beam/core/tables/results/formulas';
import { capital } from '@rigid-beam/core/capital';
import { Hint } from '../../ui/controls';
import { runCharts as WORDS } from '../words';

const List = styled.dl`
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.15rem 0.9rem;
  margin: 0;
  font-size: 0.8rem;
  dd {
    margin: 0;
  }
`;

interface FormulasProps {
  readonly solution: Solution;
  readonly outcome: number;
  readonly member: number;
  readonly display: DisplayUnits;
}

/** Every quantity of a member as polynomials, piece by piece. */
export function Formulas({ solution, outcome, member, display }: FormulasProps) {
  const { structure } = solution;
  const start = structure.names.nodes[structure.memberNodes[2 * member]!]!;
  const place = (x: number): string => showQuantity(x, display.length, 3);
  const all = inLetterOrder(quantitiesOf(structure), display).flatMap((quantity) => {
    const found = isLine(quantity) ? formulasOf(solution, outcome, member, quantity, display) : undefined;
    if (!found || found.every(({ text }) => text === '0')) return [];
    return found.map(({ from, to, text }) => ({
      key: `${quantity} ${from}`,
      name: `${capital(nameOf(structure, quantity, display))}, ${WORDS.between(place(from), place(to))}`,
      words: `${symbolOf(isPlane(structure) ? 'plane' : 'space', quantity, display)} = ${text} ${unitOfQuantity(quantity, display)}`,
    }));
  });
  return (
    <>
      <Hint>{WORDS.formulasFrom(structure.names.members[member]!, start, display.length)}</Hint>
      <List>
        {all.map(({ key, name, words }) => (
          <div key={key} style={{ display: 'contents' }}>
            <dt>{name}</dt>
            <dd className="number">{words}</dd>
          </div>
        ))}
      </List>
    </>
  );
}
