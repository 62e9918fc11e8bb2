'use client';

import { displayOf } from '@rigid-beam/core/quantities/display';
import { alongAxis, structureAxis, withAxes } from '@rigid-beam/core/quantities/axis-names';
import { useState } from 'react';
import { useStore } from 'zustand';
import { linesOf } from '@rigid-beam/core/model/grid-lines';
import { axisNames, type AxisName } from '@rigid-beam/core/model/point';
import { showQuantity } from '@rigid-beam/core/quantities/show';
import { levels } from '@rigid-beam/drawing/dimension-items';
import { isImperial, lengthUnit } from '@rigid-beam/core/quantities/display';
import { make } from '../../commands/command';
import { asHall, intoSpace, type OutOfPlane } from '../../commands/geometry-commands';
import { useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Columns, Hint, Select } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { spacePart as WORDS } from './words';

const PLANES: Record<AxisName, string> = {
  z: WORDS.uprightFrame,
  x: WORDS.uprightSide,
  y: WORDS.level,
};

/** A frame repeated behind itself at equal distances. */
function Hall({ sheet, feet }: { readonly sheet: SheetController; readonly feet: OutOfPlane }) {
  const model = useEditorState((state) => state.model);
  const unit = lengthUnit(model);
  const [row, setRow] = useState({ frames: 4, spacing: isImperial({ length: unit }) ? 20 * 0.3048 : 5 });
  return (
    <>
      <Columns>
        <QuantityField
          label={WORDS.frames}
          value={row.frames}
          dimension="number"
          unit=""
          onCommit={(frames) =>
            frames !== undefined && setRow({ ...row, frames: Math.min(200, Math.max(2, Math.round(frames))) })
          }
        />
        <QuantityField
          label={WORDS.spacing}
          value={row.spacing}
          dimension="length"
          unit={unit}
          onCommit={(spacing) => spacing !== undefined && spacing > 0 && setRow({ ...row, spacing })}
        />
      </Columns>
      <Button
        onPress={() => {
          if (make(sheet, asHall(model, feet, row)) === undefined) sheet.view.lookAt('corner');
        }}
      >
        {WORDS.makeAHall(row.frames)}
      </Button>
      <Hint>{WORDS.hallHint}</Hint>
    </>
  );
}

/** From plane to space, and the plane one draws on there. */
export function SpacePart({ sheet }: { readonly sheet: SheetController }) {
  const model = useEditorState((state) => state.model);
  const plane = useStore(sheet.store, (state) => state.plane);
  const unit = lengthUnit(model);
  const [feet, setFeet] = useState<OutOfPlane>('in place');
  if (model.space === 'plane')
    return (
      <>
        {model.supports.length > 0 && (
          <>
            <Select
              label={WORDS.feet}
              choices={[
                { id: 'in place', text: WORDS.inPlace },
                { id: 'clamped', text: WORDS.clamped },
              ]}
              value={feet}
              onChange={(id) => setFeet(id as OutOfPlane)}
            />
            <Hint>{feet === 'clamped' ? WORDS.holdsItself : WORDS.needsBracing}</Hint>
          </>
        )}
        <Button
          onPress={() => {
            if (make(sheet, intoSpace(model, feet)) === undefined) sheet.view.lookAt('corner');
          }}
        >
          {WORDS.makeItASpaceModel}
        </Button>
        {model.members.length > 0 && <Hall sheet={sheet} feet={feet} />}
      </>
    );
  const axis = plane?.axis ?? 'z';
  const name = structureAxis(displayOf(model), axis);
  const named = model.grid?.[axis] ? linesOf(axis, model.grid[axis]) : [];
  const places = [
    ...new Map([
      ...levels(model.nodes.map((node) => node[axis] ?? 0)).map((at) => [at, ''] as const),
      ...named.map(({ at, name }) => [at, name] as const),
    ]),
  ];
  return (
    <>
      <Select
        label={WORDS.plane}
        choices={[
          { id: '', text: WORDS.noneChosen },
          ...axisNames.map((id) => ({ id, text: withAxes(PLANES[id], displayOf(model)) })),
        ]}
        value={plane && !plane.tilted ? plane.axis : ''}
        onChange={(id) => sheet.view.usePlane(id === '' ? undefined : { axis: id as AxisName, at: 0 })}
      />
      {plane?.tilted && <Hint>{WORDS.drawnThrough(plane.tilted.name)}</Hint>}
      {plane && !plane.tilted && (
        <Columns>
          <QuantityField
            label={WORDS.at(name.letter)}
            value={alongAxis(name, plane.at)}
            dimension="length"
            unit={unit}
            onCommit={(at) => at !== undefined && sheet.view.usePlane({ ...plane, at: alongAxis(name, at) })}
          />
          <Select
            label={WORDS.through}
            choices={[
              { id: '', text: WORDS.chooseOne },
              ...places.map(([at, title]) => ({
                id: String(at),
                text: `${title} ${showQuantity(alongAxis(name, at), unit)}`.trim(),
              })),
            ]}
            value={places.some(([at]) => at === plane.at) ? String(plane.at) : ''}
            onChange={(id) => id !== '' && sheet.view.usePlane({ ...plane, at: Number(id) })}
          />
        </Columns>
      )}
      {plane && !plane.tilted && (
        <Button
          onPress={() => {
            sheet.view.lookAt(plane.axis === 'z' ? 'front' : plane.axis === 'x' ? 'side' : 'plan');
          }}
        >
          {WORDS.lookStraightAtIt}
        </Button>
      )}
    </>
  );
}
