import styled from 'styled-components';
import { DialogFoot } from '../ui/WideDialog';

/** What is said takes the room, and is never pushed below by what is pressed. */
export const Foot = styled(DialogFoot)`
  flex-wrap: nowrap;
  > :first-child {
    flex: 1;
  }
  > :last-child {
    flex: none;
  }
`;

export const Trouble = styled.p`
  padding: 1rem;
  color: var(--fault);
`;
