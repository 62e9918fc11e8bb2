'use client';

import Link from 'next/link';
import styled from 'styled-components';
import { failed as WORDS } from './words';

const Page = styled.main`
  max-width: 40rem;
  padding: 2rem;
  line-height: 1.5;
`;

/** What is shown where a whole page fails. */
export default function Failed({ error, reset }: { readonly error: Error; readonly reset: () => void }) {
  return (
    <Page>
      <h1>{WORDS.title}</h1>
      <p>{WORDS.why(error.message)}</p>
      <p>
        <button type="button" onClick={reset}>
          {WORDS.again}
        </button>{' '}
        <Link href="/">{WORDS.goToTheProjects}</Link>
      </p>
    </Page>
  );
}
