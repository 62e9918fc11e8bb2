import styled from 'styled-components';
import { knownRules } from '@rigid-beam/core/combinations/rules/own';
import { sumText } from '@rigid-beam/core/combinations/sum-text';
import type { Combination } from '@rigid-beam/core/model/model';
import { useModel } from '../../editor/use-editor';
import { reasonBox as WORDS } from '../words';

const Box = styled.aside`
  padding: 0.45rem 0.6rem;
  border-left: 3px solid var(--ink);
  background: var(--paper);
  p {
    margin: 0;
  }
  small {
    color: var(--soft);
  }
`;

/** Why the combination that acts is as it is: the sum as it is written, its reason and its clause. */
export function ReasonBox({ combination }: { readonly combination: Combination }) {
  const { id, made } = combination;
  const known = knownRules(useModel());
  const rules = made && (known.find((one) => one.id === made.rules)?.title ?? made.rules);
  return (
    <Box aria-label={WORDS.label(id)}>
      <p>
        <b>{combination.type === 'sum' ? `${id} = ${sumText(combination.factors)}` : id}</b>
      </p>
      <p>{made ? made.reason : WORDS.typed}</p>
      {made?.clause && (
        <small>
          {rules}: {made.clause}
        </small>
      )}
    </Box>
  );
}
