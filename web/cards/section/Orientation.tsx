'use client';

import { useState } from 'react';
import styled from 'styled-components';
import type { Member } from '@rigid-beam/core/model/model';
import { inDegrees } from '@rigid-beam/core/quantities/in-degrees';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import type { Shape } from '@rigid-beam/core/shapes/shape';
import type { NodePlaces } from '@rigid-beam/core/model/places';
import { middleOf, quarterTurned, rollTowards } from '@rigid-beam/core/model/roll-towards';
import { Button, Row, Stack } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { RollDial } from './RollDial';
import { orientation as WORDS } from './words';

const Beside = styled.div`
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0.6rem;
  align-items: center;
`;

interface OrientationProps {
  readonly member: Member;
  readonly shape: Shape | undefined;
  readonly places: NodePlaces;
  /** Whether no other member is turned with it. */
  readonly isAlone: boolean;
  readonly change: (update: (member: Member) => Member) => void;
  readonly preview: (update: (member: Member) => Member) => void;
  readonly openTowards: () => void;
  readonly mirror: () => void;
}

/** How sections stand about their members' axes: by an angle, by hand, by quarter turns, towards the middle or towards a place. */
export function Orientation({ member, isAlone, shape, places, change, preview, openTowards, mirror }: OrientationProps) {
  const [held, setHeld] = useState<number>();
  const roll = held ?? member.roll ?? 0;
  return (
    <Stack role="group" aria-label={WORDS.group}>
      <Beside>
        <RollDial
          shape={shape}
          roll={roll}
          onTurn={(next) => {
            setHeld(next);
            preview((one) => ({ ...one, roll: next }));
          }}
          onDone={(next) => {
            setHeld(undefined);
            change((one) => ({ ...one, roll: next }));
          }}
        />
        <Stack>
          <QuantityField
            label={WORDS.roll}
            value={(roll * Math.PI) / 180}
            dimension="angle"
            unit="°"
            place={isAlone ? placeText('members', member.id, 'roll') : undefined}
            onCommit={(next) => change((one) => ({ ...one, roll: inDegrees(next ?? 0) }))}
          />
          <Button onPress={() => change((one) => ({ ...one, roll: quarterTurned(one.roll) }))}>{WORDS.quarterTurn}</Button>
        </Stack>
      </Beside>
      <Row>
        {/* Channels and angles open towards it. */}
        <Button
          onPress={() => {
            const middle = middleOf(places);
            change((one) => ({ ...one, roll: rollTowards(one, places, middle) ?? one.roll ?? 0 }));
          }}
        >
          {WORDS.inwards}
        </Button>
        <Button onPress={openTowards}>{WORDS.towards}</Button>
        <Button onPress={mirror}>{WORDS.mirror}</Button>
      </Row>
    </Stack>
  );
}
