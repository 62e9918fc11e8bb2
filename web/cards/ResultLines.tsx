'use client';

import styled from 'styled-components';
import { isLine } from '@rigid-beam/core/results/quantities';
import type { Structure } from '@rigid-beam/core/stiffness/structure';
import type { Headline } from '@rigid-beam/core/tables/results/headlines/headlines';
import { sheetQuantities, type SheetQuantity } from '@rigid-beam/drawing/view';
import { useEditor } from '../editor/use-editor';
import { TextButton } from '../ui/controls';
import { InfluenceButton } from './InfluenceButton';
import { resultLines as WORDS } from './words';

const Lines = styled.dl`
  display: grid;
  gap: 0.4rem;
  margin: 0;
  > div {
    display: grid;
    grid-template-columns: 1fr auto;
    align-items: baseline;
    column-gap: 0.5rem;
  }
  dt {
    color: var(--soft);
    font-size: 0.8rem;
  }
  dd {
    margin: 0;
  }
  dd:first-of-type {
    font-size: 1rem;
    font-weight: 600;
    text-align: right;
  }
  dd:last-of-type {
    grid-column: 1 / -1;
  }
`;

/** As wide as what it says. */
const Place = styled(TextButton)`
  && {
    min-height: 1.5rem;
    padding: 0;
    font-size: 0.8rem;
    text-decoration: underline dotted;
    text-underline-offset: 0.2em;
  }
`;

interface ResultLinesProps {
  readonly label: string;
  readonly lines: readonly Headline[];
  readonly structure: Structure;
  /** What going to a place selects: the member there, or nothing where that is what is read. */
  readonly selects: 'member' | 'nothing';
}

/** Results in plain words: a value leads to its influence line, where it is to its quantity on the sheet. */
export function ResultLines({ label, lines, structure, selects }: ResultLinesProps) {
  const editor = useEditor();
  const show = ({ quantity, at }: Headline): void => {
    if (selects === 'member') editor.select([{ kind: 'member', id: structure.names.members[at.member]! }]);
    const drawn = sheetQuantities.find((one): one is SheetQuantity => one === quantity);
    editor.go({ ...(drawn && { quantity: drawn }), ...(selects === 'member' && { stage: 'results' }) });
  };
  return (
    <Lines aria-label={label}>
      {lines.map((line) => (
        <div key={line.key}>
          <dt>{line.title}</dt>
          <dd>
            {isLine(line.quantity) && line.key !== 'movement' ? (
              <InfluenceButton
                structure={structure}
                effect={{ kind: 'along', member: line.at.member, at: line.at.x, quantity: line.quantity }}
              >
                {line.value}
              </InfluenceButton>
            ) : (
              line.value
            )}
          </dd>
          <dd>
            <Place onPress={() => show(line)} aria-label={WORDS.show(line.words, line.title)}>
              {line.words}
            </Place>
          </dd>
        </div>
      ))}
    </Lines>
  );
}
