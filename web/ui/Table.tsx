import styled from 'styled-components';

/** A plain table of figures: names on the left, numbers flush right. */
export const Table = styled.table`
  width: 100%;
  border-collapse: collapse;
  font-family: 'IBM Plex Sans Condensed', 'IBM Plex Sans', sans-serif;
  font-variant-numeric: tabular-nums;
  font-size: 0.78rem;
  th {
    color: var(--soft);
    font-weight: 400;
    text-align: right;
  }
  th,
  td {
    padding: 0.14rem 0.25rem;
    border-bottom: 1px solid var(--rule);
    text-align: right;
    vertical-align: top;
  }
  /* A figure and its unit stay together; names may take two lines. */
  td:not(:first-child) {
    white-space: nowrap;
  }
  th:first-child,
  td:first-child {
    text-align: left;
  }
  td button {
    min-height: 0;
    padding: 0 0.3rem;
    text-decoration: underline;
  }
`;
