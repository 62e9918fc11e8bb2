'use client';

import { alongAxis, structureAxis } from '@rigid-beam/core/quantities/axis-names';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import type { Underlay } from '@rigid-beam/core/model/model';
import { axisNames, type AxisName } from '@rigid-beam/core/model/point';
import { placeText } from '@rigid-beam/core/model/parameters/place';
import { inDegrees } from '@rigid-beam/core/quantities/in-degrees';
import { displayOf, lengthUnit } from '@rigid-beam/core/quantities/display';
import { useEditor, useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { Button, Columns, Hint, Row, Select } from '../../ui/controls';
import { QuantityField } from '../../ui/QuantityField';
import { Slider } from '../../ui/Slider';
import { unseen } from '../../ui/theme';
import { calibrate, hideOrShow, level, measure, move, putUnderlay, UNDERLAY_FILES } from '../../commands/underlay-actions';
import { underlayPart as WORDS } from './words';

const HiddenInput = styled.input`
  ${unseen}
`;

/** A picture behind the drawing to trace on: put there, calibrated, checked, moved, turned, dimmed. */
export function UnderlayPart({ sheet }: { readonly sheet: SheetController }) {
  const underlay = useEditorState((state) => state.model.underlay);
  const [page, setPage] = useState(1);
  const [trouble, setTrouble] = useState<string>();
  const [reading, setReading] = useState(false);
  const file = useRef<HTMLInputElement>(null);

  const put = async (chosen: File | undefined): Promise<void> => {
    if (!chosen) return;
    setReading(true);
    setTrouble(undefined);
    try {
      await putUnderlay(sheet, chosen, page);
    } catch (fault) {
      setTrouble(fault instanceof Error ? fault.message : String(fault));
    }
    setReading(false);
  };

  return (
    <>
      <HiddenInput
        ref={file}
        type="file"
        tabIndex={-1}
        aria-label={WORDS.file}
        accept={UNDERLAY_FILES}
        onChange={(event) => {
          void put(event.target.files?.[0]);
          event.target.value = '';
        }}
      />
      <Columns>
        <Button isDisabled={reading} onPress={() => file.current?.click()}>
          {reading ? WORDS.reading : underlay ? WORDS.anotherFile : WORDS.putAFileBehind}
        </Button>
        <QuantityField
          label={WORDS.pageOfAPdf}
          value={page}
          dimension="number"
          unit=""
          onCommit={(value) => setPage(Math.max(1, Math.round(value ?? 1)))}
        />
      </Columns>
      {trouble && <Hint role="alert">{trouble}</Hint>}
      {underlay ? <Placing sheet={sheet} underlay={underlay} /> : <Hint>{WORDS.hint}</Hint>}
    </>
  );
}

const PLANES: Record<AxisName, string> = { z: WORDS.uprightFacingFront, y: WORDS.lyingAsAPlan, x: WORDS.uprightFacingTheSide };

function Placing({ sheet, underlay }: { readonly sheet: SheetController; readonly underlay: Underlay }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  const change = (part: Partial<Underlay>): boolean => editor.edit({ type: 'underlay', change: part });
  const across = underlay.across ?? 'z';
  const name = structureAxis(displayOf(model), across);
  return (
    <>
      <Button onPress={() => calibrate(sheet)}>{WORDS.calibrateByTwoPoints}</Button>
      <Row>
        <Button onPress={() => measure(sheet)}>{WORDS.measure}</Button>
        <Button onPress={() => move(sheet)}>{WORDS.move}</Button>
        <Button onPress={() => level(sheet)}>{WORDS.levelIt}</Button>
      </Row>
      {model.space === 'space' && (
        <Select
          label={WORDS.itLies}
          choices={axisNames.map((axis) => ({ id: axis, text: PLANES[axis] })).reverse()}
          value={across}
          onChange={(axis) => change({ across: axis as AxisName })}
        />
      )}
      <Columns>
        {model.space === 'space' && (
          <QuantityField
            label={WORDS.at(name.letter)}
            value={alongAxis(name, underlay.at ?? 0)}
            dimension="length"
            unit={lengthUnit(model)}
            place={placeText('underlay', 'at')}
            isTurned={name.sign < 0}
            onCommit={(at) => change({ at: alongAxis(name, at ?? 0) })}
          />
        )}
        <QuantityField
          label={WORDS.turnedBy}
          value={((underlay.angle ?? 0) * Math.PI) / 180}
          dimension="angle"
          unit="°"
          place={placeText('underlay', 'angle')}
          onCommit={(angle = 0) => change({ angle: inDegrees(angle) })}
        />
      </Columns>
      <Hint aria-hidden>{WORDS.strength}</Hint>
      <Slider
        label={WORDS.strengthOfTheUnderlay}
        range={[0, 1]}
        step={0.05}
        value={underlay.strength ?? 0.5}
        onChange={(strength) => change({ strength })}
      />
      <Row>
        <Button onPress={() => hideOrShow(sheet)}>{(underlay.strength ?? 0.5) > 0 ? WORDS.hide : WORDS.show}</Button>
        <Button onPress={() => editor.edit({ type: 'underlay', change: null })}>{WORDS.takeItAway}</Button>
      </Row>
    </>
  );
}
