import styled from 'styled-components';
import { Row, Stack } from '../ui/controls';

export const Side = styled(Stack)`
  padding: 0.6rem 0.75rem;
  overflow-y: auto;
  border-right: 1px solid var(--rule);
`;

export const Desk = styled.div`
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  min-height: 0;
`;

export const Foot = styled(Row)`
  justify-content: space-between;
  flex-wrap: nowrap;
  > :first-child {
    flex: 1;
  }
  > :last-child {
    flex: none;
  }
  padding: 0.5rem 0.75rem;
  background: var(--panel);
  border-top: 1px solid var(--rule);
`;

export const Trouble = styled.p`
  padding: 1rem;
  color: var(--fault);
`;
