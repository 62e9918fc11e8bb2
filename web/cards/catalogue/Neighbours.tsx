'use client';

import type { CatalogueShape } from '@rigid-beam/core/sections/catalogue/family';
import type { StepWay } from '../../editor/catalogue/step-section';
import { useCatalogue, type Catalogue } from '../../editor/catalogue/use-catalogue';
import { Button, Row } from '../../ui/controls';
import { neighbours as WORDS } from './words';

interface NeighboursProps {
  readonly designation: string;
  readonly onTake: (catalogue: Catalogue, next: CatalogueShape, way: StepWay) => void;
  /** The keys that do the same. */
  readonly keys?: Readonly<Record<StepWay, string>>;
}

/** The next lighter and the next heavier shape of its family, each put in its place by a click. */
export function Neighbours({ designation, onTake, keys }: NeighboursProps) {
  const catalogue = useCatalogue('wanted');
  const one = catalogue?.shapeCalled(designation);
  if (!catalogue || !one) return null;
  return (
    <Row>
      {(['lighter', 'heavier'] as const).map((way) => {
        const next = catalogue.neighbour(one, way);
        return (
          <Button
            key={way}
            isDisabled={!next}
            aria-label={next ? WORDS.next(way, next.designation) : WORDS.none(way)}
            {...(keys && { 'aria-keyshortcuts': keys[way] })}
            onPress={() => {
              if (next) onTake(catalogue, next, way);
            }}
          >
            {WORDS.shown(way, next?.designation)}
            {keys && next && <kbd>{keys[way]}</kbd>}
          </Button>
        );
      })}
    </Row>
  );
}
