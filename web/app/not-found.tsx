'use client';

import Link from 'next/link';
import styled from 'styled-components';
import { notFound as WORDS } from './words';

const Page = styled.main`
  max-width: 40rem;
  padding: 2rem;
  line-height: 1.5;
`;

/** An address at which there is nothing, or nothing any more. */
export default function NotFound() {
  return (
    <Page>
      <h1>{WORDS.nothingHere}</h1>
      <p>{WORDS.why}</p>
      <p>
        <Link href="/">{WORDS.goToTheProjects}</Link>
      </p>
    </Page>
  );
}
