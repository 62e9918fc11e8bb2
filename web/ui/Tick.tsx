import { Checkbox } from 'react-aria-components';
import styled from 'styled-components';

/** A choice that is ticked or not, among others in a line. */
export const Tick = styled(Checkbox)`
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  margin-right: 0.7rem;
  &::before {
    content: '';
    width: 0.8rem;
    height: 0.8rem;
    border: 1px solid var(--rule-strong);
    border-radius: 2px;
  }
  &[data-selected]::before {
    background: var(--ink);
    box-shadow: inset 0 0 0 2px var(--paper);
  }
  &[data-focus-visible] {
    outline: 2px solid var(--focus);
  }
`;
