'use client';

import styled from 'styled-components';

/** Names and values beside each other, in so many pairs to a line. */
export const PropertyList = styled.dl<{ readonly $pairs: 1 | 2 }>`
  display: grid;
  grid-template-columns: ${({ $pairs }) => ($pairs === 1 ? 'minmax(0, 1fr) auto' : 'repeat(2, auto minmax(0, 1fr))')};
  gap: 0.05rem 0.5rem;
  margin: 0;
  font-size: 0.78rem;
  dt {
    color: var(--soft);
  }
  dd {
    margin: 0;
    text-align: right;
    white-space: nowrap;
  }
`;
