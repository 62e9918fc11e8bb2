'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { Notice } from '@rigid-beam/core/model/notice';
import { Button, Hint, PlainButton, Row } from '../ui/controls';
import { bringBack, removeModel } from './requests';
import type { ModelTile } from './tile';

const Place = styled.section`
  margin-top: 0.6rem;
`;

interface RemovedModelsProps {
  readonly models: readonly ModelTile[];
  readonly change: (asked: Promise<readonly Notice[]>) => Promise<void>;
}

/** What was removed from a project: brought back, or taken away for good. */
export function RemovedModels({ models, change }: RemovedModelsProps) {
  const [isOpen, setIsOpen] = useState(false);
  const [asking, setAsking] = useState<string>();
  if (models.length === 0) return null;
  return (
    <Place aria-label="Removed models">
      <PlainButton aria-expanded={isOpen} onPress={() => setIsOpen(!isOpen)}>
        <span aria-hidden>{isOpen ? '▾' : '▸'}</span>
        {models.length} removed
      </PlainButton>
      {isOpen &&
        models.map(({ id, title }) => (
          <Row key={id}>
            <Hint>{title}</Hint>
            <Button aria-label={`Bring ${title} back`} onPress={() => void change(bringBack(id))}>
              Bring back
            </Button>
            {asking === id ? (
              <>
                <span>It cannot be brought back then.</span>
                <Button onPress={() => void change(removeModel(id))}>Remove for good</Button>
                <Button onPress={() => setAsking(undefined)}>Keep</Button>
              </>
            ) : (
              <PlainButton aria-label={`Remove ${title} for good …`} onPress={() => setAsking(id)}>
                Remove for good …
              </PlainButton>
            )}
          </Row>
        ))}
    </Place>
  );
}
