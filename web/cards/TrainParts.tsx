'use client';

import { placeText } from '@rigid-beam/core/model/parameters/place';
import { trainOfLoad, withTrain, type TrainLoad } from '@rigid-beam/core/model/loads/train-load';
import { useDisplay } from '../editor/use-editor';
import { Columns, Hint, Select } from '../ui/controls';
import { QuantityField } from '../ui/QuantityField';
import { ImpactField, TrainLine } from './TrainFields';
import { trainParts as WORDS } from './words';

interface TrainPartsProps {
  readonly load: TrainLoad;
  readonly put: (load: TrainLoad) => boolean;
}

/** A train on the structure: its axles as they are written, where the first one stands, and which way it goes. */
export function TrainParts({ load, put }: TrainPartsProps) {
  const display = useDisplay();
  const way = load.members ?? load.nodes ?? [];
  return (
    <>
      <TrainLine label={WORDS.axles} train={trainOfLoad(load)} onCommit={(train) => put(withTrain(load, train))} />
      {(load.uniform !== undefined || load.varies) && <Hint>{WORDS.whereItTravels}</Hint>}
      <Columns>
        <QuantityField
          label={WORDS.stands}
          value={load.stands}
          dimension="length"
          unit={display.length}
          place={placeText('loads', load.id, 'stands')}
          onCommit={(stands) => stands !== undefined && put({ ...load, stands })}
        />
        <ImpactField of={load} place={placeText('loads', load.id, 'impact')} put={put} />
      </Columns>
      <Select
        label={WORDS.way}
        choices={[
          { id: 'forwards', text: WORDS.forwards(way) },
          { id: 'backwards', text: WORDS.backwards(way) },
        ]}
        value={load.way ?? 'forwards'}
        onChange={(way) => put({ ...load, way: way as 'forwards' | 'backwards' })}
      />
      <Hint>{WORDS.drag}</Hint>
    </>
  );
}
