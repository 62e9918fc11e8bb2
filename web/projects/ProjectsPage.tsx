'use client';

import { useRouter } from 'next/navigation';
import { useState, useEffect, useRef } from 'react';
import { FileTrigger, Heading } from 'react-aria-components';
import styled from 'styled-components';
import { readable } from '@rigid-beam/core/formats/registry';
import type { Notice } from '@rigid-beam/core/model/notice';
import { AppearanceButton } from '../ui/AppearanceButton';
import { Button, Hint, PlainButton, Row, Select } from '../ui/controls';
import { NameField } from '../ui/NameField';
import { sortings, type Sorting } from './arranged';
import { ModelTileItem } from './ModelTileItem';
import { RemovedModels } from './RemovedModels';
import { changeProject, createModel, createProject, removeProject, sendingWords, type NewModel } from './requests';
import type { ProjectTiles, ShownTiles } from './tile';
import { useTiles } from './use-tiles';
import { projectsPage as WORDS } from './words';

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

const ProjectHead = styled(Row)`
  align-items: center;
  h2 {
    flex: 1;
  }
`;

const Find = styled.div`
  display: flex;
  align-items: center;
  gap: 0.8rem;
  margin-top: 0.8rem;
  input {
    flex: 1;
    max-width: 24rem;
    min-height: 1.9rem;
    padding: 0.1rem 0.5rem;
    border: 1px solid var(--rule-strong);
    border-radius: 3px;
    background: var(--paper);
    color: var(--ink);
  }
`;

const Names = styled.div`
  display: grid;
  grid-template-columns: 1fr 8rem;
  gap: 0.5rem;
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

const Faults = styled.ul`
  margin-top: 0.8rem;
  padding: 0.6rem 0.8rem;
  border-left: 5px solid var(--fault);
  background: var(--fault-ground);
`;

/** All projects with their models as drawn tiles: searched, sorted, renamed, moved, copied and removed here; new ones from nothing or from a file. */
export function ProjectsPage({ first }: { readonly first: ShownTiles }) {
  const router = useRouter();
  const [faults, setFaults] = useState<readonly Notice[]>([]);
  const { shown, wanted, want, showMore, reload } = useTiles(first);
  const { search } = wanted;
  const [sending, setSending] = useState<string>();

  const create = async (given: NewModel): Promise<void> => {
    const file = 'file' in given ? given.file : undefined;
    const answer = await createModel(given, (share) => setSending(file && sendingWords(file, share)));
    setSending(undefined);
    if (answer.id !== undefined) router.push(`/models/${answer.id}`);
    else setFaults(answer.faults ?? []);
  };
  /** Waits for a change, says what went wrong, and shows what is there now. */
  const change = async (asked: Promise<readonly Notice[]>): Promise<void> => {
    setFaults(await asked);
    await reload();
  };
  const found = shown.projects;

  return (
    <Page>
      <Head>
        <Heading level={1}>{WORDS.rigidBeam}</Heading>
        <AppearanceButton />
      </Head>
      <Find>
        <input
          type="search"
          aria-label={WORDS.findAModel}
          placeholder={WORDS.findAModelOrProject}
          value={search}
          onChange={(event) => want({ search: event.target.value })}
        />
        <Select
          label={WORDS.sorted}
          hideLabel
          choices={sortings}
          value={wanted.sorting}
          onChange={(id) => want({ sorting: id as Sorting })}
        />
        <Button onPress={() => void change(createProject(WORDS.newProject))}>{WORDS.newProject}</Button>
      </Find>
      {faults.length > 0 && (
        <Faults role="alert">
          {faults.map((fault, i) => (
            <li key={i}>{fault.message}</li>
          ))}
        </Faults>
      )}
      {sending !== undefined && <Hint role="status">{sending}</Hint>}
      {found.map((project) => (
        <Project key={project.id} aria-label={project.name}>
          <ProjectHead>
            <ProjectTitle project={project} change={change} />
            <Button onPress={() => void create({ project: project.id, space: 'plane' })}>{WORDS.newPlaneModel}</Button>
            <Button onPress={() => void create({ project: project.id, space: 'space' })}>{WORDS.newSpaceModel}</Button>
            <FileTrigger
              acceptedFileTypes={readable.flatMap(({ extension, mediaType }) => [extension, mediaType])}
              onSelect={(files) => {
                const [chosen] = files ?? [];
                if (chosen) void create({ project: project.id, file: chosen });
              }}
            >
              <Button>{WORDS.fromAFile}</Button>
            </FileTrigger>
          </ProjectHead>
          {project.models.length === 0 && (
            <Row>
              <Hint>{search === '' ? WORDS.noModelYet : WORDS.nothingFound}</Hint>
              {search === '' && shown.count > 1 && project.removed.length === 0 && (
                <PlainButton onPress={() => void change(removeProject(project.id))}>{WORDS.removeTheProject}</PlainButton>
              )}
            </Row>
          )}
          <Tiles>
            {project.models.map((model) => (
              <ModelTileItem
                key={model.id}
                model={model}
                elsewhere={shown.names.filter(({ id }) => id !== project.id)}
                change={change}
              />
            ))}
          </Tiles>
          <RemovedModels models={project.removed} change={change} />
        </Project>
      ))}
      {found.length === 0 && <Hint>{WORDS.nothingFoundHere}</Hint>}
      {shown.more > 0 && <MoreTiles more={shown.more} showMore={showMore} />}
    </Page>
  );
}

interface ProjectTitleProps {
  readonly project: ProjectTiles;
  readonly change: (asked: Promise<readonly Notice[]>) => Promise<void>;
}

/** Number and name of a project, changed in place. */
function ProjectTitle({ project, change }: ProjectTitleProps) {
  const [editing, setEditing] = useState(false);
  const { id, name, number } = project;
  if (!editing)
    return (
      <>
        <Heading level={2}>
          {number && <span className="number">{number} </span>}
          {name}
        </Heading>
        <PlainButton aria-label={WORDS.rename(name)} onPress={() => setEditing(true)}>
          {WORDS.renameModel}
        </PlainButton>
      </>
    );
  return (
    <>
      <Names>
        <NameField label={WORDS.project} value={name} onCommit={(next) => void change(changeProject(id, { name: next }))} />
        <NameField
          label={WORDS.number}
          value={number}
          mayBeEmpty
          onCommit={(next) => void change(changeProject(id, { number: next }))}
        />
      </Names>
      <PlainButton onPress={() => setEditing(false)}>{WORDS.done}</PlainButton>
    </>
  );
}

/** The end of what is shown: whoever comes near to it is shown more, by the pointer or by a key. */
function MoreTiles({ more, showMore }: { readonly more: number; readonly showMore: () => void }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const observer = new IntersectionObserver((entries) => entries.some(({ isIntersecting }) => isIntersecting) && showMore(), {
      rootMargin: '400px',
    });
    observer.observe(place.current!);
    return () => observer.disconnect();
    // Looked for anew when more has come: it may still be near.
  }, [showMore, more]);
  return (
    <div ref={place}>
      <Row>
        <Button onPress={showMore}>{WORDS.showMore(more)}</Button>
      </Row>
    </div>
  );
}
