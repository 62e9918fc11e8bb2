'use client';

import Link from 'next/link';
import styled from 'styled-components';
import { TILE } from '../projects/tile';
import { NARROW } from '../editor/slices/page';
import { storedPicture as WORDS } from './words';

/** Where the sheet will stand. */
const Page = styled.div`
  display: grid;
  grid-template: 2.15rem minmax(0, 1fr) 4.85rem / 16.5rem minmax(0, 1fr);
  height: 100dvh;
  @media ${NARROW} {
    grid-template-columns: 0 minmax(0, 1fr);
  }
`;

const Head = styled.header`
  grid-column: 1 / -1;
  display: flex;
  align-items: center;
  gap: 0.4rem;
  padding: 0 2.4rem;
  background: var(--panel);
  border-bottom: 1.5px solid var(--ink);
  a {
    color: var(--soft);
  }
  h1 {
    font-size: 0.88rem;
    font-weight: 600;
  }
`;

const Side = styled.div`
  grid-row: 2 / -1;
  background: var(--panel);
  border-right: 1px solid var(--rule-strong);
`;

const Paper = styled.div`
  background: var(--paper);
  svg {
    display: block;
    width: 100%;
    height: 100%;
  }
  path {
    vector-effect: non-scaling-stroke;
  }
`;

interface StoredPictureProps {
  readonly title: string;
  readonly projectName: string;
  readonly markup: string;
}

/** The picture of a model as it was stored, in the place of its sheet: what there is to look at until the model has come. */
export function StoredPicture({ title, projectName, markup }: StoredPictureProps) {
  return (
    <Page aria-busy>
      <Head>
        <Link href="/" prefetch={false}>
          {projectName}
        </Link>
        <span aria-hidden>/</span>
        <h1>{title || WORDS.untitled}</h1>
        <p role="status">{WORDS.opening}</p>
      </Head>
      <Side />
      <Paper>
        <svg viewBox={`0 0 ${TILE.width} ${TILE.height}`} aria-hidden dangerouslySetInnerHTML={{ __html: markup }} />
      </Paper>
    </Page>
  );
}
