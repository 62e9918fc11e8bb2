import styled from 'styled-components';

/** What is asked, what comes of it, and its values beside each other. */
export const Parts = styled.div`
  display: grid;
  grid-template-columns: 13rem minmax(0, 1fr) 14rem;
  gap: 0.8rem;
  min-height: 0;
  padding: 0.5rem 0.8rem;
  background: var(--paper);
  > * {
    min-height: 0;
    overflow: auto;
  }
`;
