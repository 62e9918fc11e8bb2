'use client';

import { useMemo } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { emptyModel, type Model } from '@rigid-beam/core/model/model';
import { typicals } from '@rigid-beam/core/model/typical/all';
import { initialValues, type Typical } from '@rigid-beam/core/model/typical/typical';
import { sketchMarkup } from '@rigid-beam/drawing/sketch';
import { pictureFace } from '../../ui/controls';
import { gallery as WORDS } from './words';

const SIZE = { width: 72, height: 46 };

const Pictures = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(4.6rem, 1fr));
  gap: 0.3rem;
`;

const Tile = styled(Button)`
  ${pictureFace}
  display: grid;
  padding: 0.1rem;
`;

/** A typical structure with the measures that it begins with, as a model of its own. */
function modelOf(typical: Typical): Model {
  const part = typical.build(initialValues(typical), { section: '', material: '' });
  return { ...emptyModel(typical.title), space: typical.space, ...part } as Model;
}

interface GalleryProps {
  readonly chosen: string | undefined;
  readonly onChoose: (id: string) => void;
}

/** Typical structures as small drawings. */
export function Gallery({ chosen, onChoose }: GalleryProps) {
  const markups = useMemo(() => typicals.map((typical) => sketchMarkup(modelOf(typical), undefined, -1, SIZE)), []);
  return (
    <Pictures role="group" aria-label={WORDS.typicalStructures}>
      {typicals.map(({ id, title }, i) => (
        <Tile key={id} aria-pressed={id === chosen} onPress={() => onChoose(id)}>
          <svg
            viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
            width="100%"
            aria-hidden
            dangerouslySetInnerHTML={{ __html: markups[i]! }}
          />
          {title}
        </Tile>
      ))}
    </Pictures>
  );
}
