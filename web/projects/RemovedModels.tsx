'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { Notice } from '@rigid-beam/core/model/notice';
import { Button, Hint, PlainButton, Row } from '../ui/controls';
import { bringBack, removeModel } from './requests';
import type { ModelTile } from './tile';
import { removedModels as WORDS } from './words';

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
    <Place aria-label={WORDS.removedModels}>
      <PlainButton aria-expanded={isOpen} onPress={() => setIsOpen(!isOpen)}>
        <span aria-hidden>{isOpen ? '▾' : '▸'}</span>
        {models.length}
        {WORDS.removed}
      </PlainButton>
      {isOpen &&
        models.map(({ id, title }) => (
          <Row key={id}>
            <Hint>{title}</Hint>
            <Button aria-label={WORDS.bringBack(title)} onPress={() => void change(bringBack(id))}>
              {WORDS.bringBackShort}
            </Button>
            {asking === id ? (
              <>
                <span>{WORDS.warning}</span>
                <Button onPress={() => void change(removeModel(id))}>{WORDS.removeForGood}</Button>
                <Button onPress={() => setAsking(undefined)}>{WORDS.keep}</Button>
              </>
            ) : (
              <PlainButton aria-label={WORDS.removeForGoodNamed(title)} onPress={() => setAsking(id)}>
                {WORDS.removeForGoodShort}
              </PlainButton>
            )}
          </Row>
        ))}
    </Place>
  );
}
