'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { FileTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { readable } from '@rigid-beam/core/formats/registry';
import type { Notice } from '@rigid-beam/core/model/notice';
import { AppearanceButton } from '../ui/AppearanceButton';
import { Button, Hint, Row } from '../ui/controls';
import { createModel, removeModel, type NewModel } from './requests';
import { TILE, type ModelTile, type ProjectTiles } from './tile';

const Page = styled.main`
  max-width: 76rem;
  margin: 0 auto;
  padding: 1.6rem 2rem 3rem;
`;

const Head = styled.header`
  display: flex;
  align-items: baseline;
  justify-content: space-between;
  padding-bottom: 0.6rem;
  border-bottom: 2px solid var(--ink);
  h1 {
    font-size: 1.5rem;
    letter-spacing: -0.01em;
  }
`;

const ProjectName = styled(Heading)`
  flex: 1;
`;

const Project = styled.section`
  margin-top: 1.6rem;
  h2 {
    font-size: 1.05rem;
  }
`;

const Tiles = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
  gap: 1rem;
  margin-top: 0.8rem;
`;

const Tile = styled.li`
  background: var(--paper);
  border: 1px solid var(--rule-strong);
  border-radius: 3px;
  &:hover {
    border-color: var(--ink);
  }
  a {
    display: block;
    color: inherit;
    text-decoration: none;
  }
  svg {
    display: block;
    width: 100%;
  }
`;

const Caption = styled.div`
  padding: 0.5rem 0.8rem;
  border-top: 1px solid var(--rule);
  h3 {
    font-size: 0.95rem;
    font-weight: 600;
  }
  p {
    color: var(--soft);
  }
`;

const TileFoot = styled(Row)`
  justify-content: flex-end;
  padding: 0 0.6rem 0.5rem;
`;

const Faults = styled.ul`
  margin-top: 0.8rem;
  padding: 0.6rem 0.8rem;
  border-left: 5px solid var(--fault);
  background: var(--fault-ground);
`;

/** Milliseconds between two looks at tiles that are being made, and how often they are looked at. */
const LOOK = 700;
const LOOKS = 20;

/** Asks for the page again while tiles on it are being made. */
function useFresh(projects: readonly ProjectTiles[]): void {
  const router = useRouter();
  const looks = useRef(0);
  useEffect(() => {
    if (looks.current >= LOOKS || projects.every(({ models }) => models.every(({ isCurrent }) => isCurrent))) return;
    const timer = setTimeout(() => {
      looks.current++;
      router.refresh();
    }, LOOK);
    return () => clearTimeout(timer);
  }, [projects, router]);
}

/** All projects with their models as drawn tiles; new models from nothing or from a file. */
export function ProjectsPage({ projects }: { readonly projects: readonly ProjectTiles[] }) {
  const router = useRouter();
  const [faults, setFaults] = useState<readonly Notice[]>([]);
  useFresh(projects);

  const [sending, setSending] = useState<string>();

  const create = async (given: NewModel): Promise<void> => {
    const file = 'file' in given ? given.file : undefined;
    const answer = await createModel(given, (share) =>
      setSending(file && share < 1 ? `Sending ${file.name}: ${Math.round(100 * share)} %` : file && `Reading ${file.name} …`),
    );
    setSending(undefined);
    if (answer.id !== undefined) router.push(`/models/${answer.id}`);
    else setFaults(answer.faults ?? []);
  };
  const remove = async (id: string): Promise<void> => {
    setFaults(await removeModel(id));
    router.refresh();
  };

  return (
    <Page>
      <Head>
        <Heading level={1}>Rigid Beam</Heading>
        <AppearanceButton />
      </Head>
      {faults.length > 0 && (
        <Faults role="alert">
          {faults.map((fault, i) => (
            <li key={i}>{fault.message}</li>
          ))}
        </Faults>
      )}
      {sending !== undefined && <Hint role="status">{sending}</Hint>}
      {projects.map((project) => (
        <Project key={project.id} aria-label={project.name}>
          <Row>
            <ProjectName level={2}>{project.name}</ProjectName>
            <Button onPress={() => void create({ project: project.id, title: 'New plane model' })}>New plane model</Button>
            <FileTrigger
              acceptedFileTypes={readable.flatMap(({ extension, mediaType }) => [extension, mediaType])}
              onSelect={(files) => {
                const [chosen] = files ?? [];
                if (chosen) void create({ project: project.id, file: chosen });
              }}
            >
              <Button>From a file</Button>
            </FileTrigger>
          </Row>
          {project.models.length === 0 && <Hint>No model yet.</Hint>}
          <Tiles>
            {project.models.map((model) => (
              <ModelTileItem key={model.id} model={model} onRemove={() => void remove(model.id)} />
            ))}
          </Tiles>
        </Project>
      ))}
    </Page>
  );
}

function ModelTileItem({ model, onRemove }: { readonly model: ModelTile; readonly onRemove: () => void }) {
  const [asking, setAsking] = useState(false);
  return (
    <Tile>
      <Link href={`/models/${model.id}`}>
        <svg viewBox={`0 0 ${TILE.width} ${TILE.height}`} aria-hidden dangerouslySetInnerHTML={{ __html: model.markup }} />
        <Caption>
          <Heading level={3}>{model.title}</Heading>
          <p>{model.words}</p>
          <p className="number">{model.figure || 'Being drawn …'}</p>
          <p>{model.changed}</p>
        </Caption>
      </Link>
      <TileFoot>
        {asking ? (
          <>
            <span>Remove it for good?</span>
            <Button onPress={onRemove}>Remove</Button>
            <Button onPress={() => setAsking(false)}>Keep</Button>
          </>
        ) : (
          <Button aria-label={`Remove ${model.title}`} onPress={() => setAsking(true)}>
            Remove
          </Button>
        )}
      </TileFoot>
    </Tile>
  );
}
