'use client';

import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import { ALL_DIGITS, phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { useDisplay, useModel, useEditorState } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { LOAD_TOOL } from '../../sheet/tools/load-tool';
import { PanelSubtitle, Stack, ToggleButton, Button, Hint, Row } from '../../ui/controls';
import { Instrument, Instruments } from '../../ui/Instrument';
import { TextLine } from '../../ui/TextLine';
import {
  isTurned,
  loadKinds,
  measures,
  onSide,
  oppositeOf,
  PUT,
  SENSES,
  sideOf,
  sidesOf,
  understoodWords,
  wayOf,
  waysOf,
} from './load-words';
import { useLoadInHand, type SaidLoad } from './use-load-in-hand';
import { Fragment } from 'react';
import { chosenOf } from '../../editor/chosen';
import { SelectionStrip } from '../../cards/SelectionStrip';
import { selectionOffers } from './selection-offers';

const Ways = styled(ToggleButtonGroup)`
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem;
  button {
    min-width: 2rem;
    justify-content: center;
    font-size: 1rem;
    &:not([aria-label]) {
      font-size: inherit;
    }
  }
`;

/** Loads are said: a phrase that is typed, or composed from pictures, and then put where one clicks. */
export function LoadInstrument({ sheet, caseId }: { readonly sheet: SheetController; readonly caseId: string }) {
  const display = useDisplay();
  const isHeld = useStore(sheet.store, (state) => state.tool.name === LOAD_TOOL);
  const load = useLoadInHand(sheet, caseId);
  const { phrase, read, say, change, take } = load;
  const words = phraseWords(phrase, display, ALL_DIGITS, 'expressions');
  return (
    <Stack>
      <PanelSubtitle>{PUT.heading}</PanelSubtitle>
      <Instruments $wide role="group" aria-label={PUT.kinds}>
        {loadKinds.map(({ id, picture, short, text }) => (
          <Instrument
            key={id}
            picture={picture}
            words={short}
            label={text}
            isHeld={isHeld && id === phrase.kind}
            onChange={(taken) => (taken ? take(id) : sheet.takeSelect())}
          />
        ))}
      </Instruments>
      <TextLine
        label={PUT.field}
        // What is shown is in hand; before that it is only offered.
        value={isHeld ? words : ''}
        offered={words}
        understand={(typed) => {
          const next = read(typed);
          return next.ok
            ? { ok: true, words: understoodWords(next.phrase, phraseWords(next.phrase, display)) }
            : { ok: false, words: next.reason };
        }}
        onCommit={(typed) => {
          const next = read(typed);
          if (next.ok) say(next.phrase);
        }}
        // What is refused leaves nothing in hand.
        onRefused={load.drop}
      />
      {SENSES[phrase.kind] ? <Senses load={load} isHeld={isHeld} /> : <Directions load={load} isHeld={isHeld} />}
      {phrase.kind === 'temperature' && <Sides load={load} isHeld={isHeld} />}
      {(phrase.kind === 'line' || phrase.kind === 'area') && (
        <Instruments role="group" aria-label={PUT.measured}>
          {measures.map(({ id, picture, short, label }) => (
            <Instrument
              key={id}
              picture={picture}
              words={short}
              label={label}
              isHeld={isHeld && phrase.measured === id}
              onChange={() => change((one) => ({ ...one, measured: id }))}
            />
          ))}
        </Instruments>
      )}
      {phrase.kind === 'area' && phrase.width === undefined && (
        <Ways
          aria-label={PUT.spread}
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={isHeld ? [phrase.spread ?? 'twoWay'] : []}
          onSelectionChange={(keys) => {
            change((one) => {
              const { spread: _, onto: __, ...rest } = one;
              return keys.has('oneWay') ? { ...one, spread: 'oneWay' } : rest;
            });
          }}
        >
          <ToggleButton id="twoWay">{PUT.twoWay}</ToggleButton>
          <ToggleButton id="oneWay">{PUT.oneWay}</ToggleButton>
        </Ways>
      )}
      <PutOnSelection load={load} caseId={caseId} />
    </Stack>
  );
}

interface PartProps {
  readonly load: SaidLoad;
  /** Only what is in hand is shown as chosen; choosing takes it in hand. */
  readonly isHeld: boolean;
}

/** The two ways of what has no direction. */
function Senses({ load: { phrase, say, change }, isHeld }: PartProps) {
  return (
    <Ways
      aria-label={PUT.sense}
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={isHeld ? [isTurned(phrase) ? 1 : 0] : []}
      onSelectionChange={(keys) => (keys.has(isTurned(phrase) ? 1 : 0) ? say(phrase) : change(oppositeOf))}
    >
      {SENSES[phrase.kind]!.map(([sign, label], i) => (
        <ToggleButton key={label} id={i} aria-label={label}>
          {sign}
        </ToggleButton>
      ))}
    </Ways>
  );
}

/** A temperature acts all through a member, or makes one side of it warmer than the other. */
function Sides({ load: { phrase, change }, isHeld }: PartProps) {
  const { space } = useModel();
  const current = sideOf(phrase);
  return (
    <Ways
      aria-label={PUT.side}
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={isHeld && current ? [current] : []}
      onSelectionChange={(keys) => {
        const next = sidesOf(space).find((side) => keys.has(side));
        if (next) change((one) => onSide(one, next));
      }}
    >
      {sidesOf(space).map((side) => (
        <ToggleButton key={side} id={side}>
          {side}
        </ToggleButton>
      ))}
    </Ways>
  );
}

/** The directions that have a word; an angle that is typed is none of them. */
function Directions({ load: { phrase, change }, isHeld }: PartProps) {
  const { space } = useModel();
  const ways = waysOf(space);
  const current = wayOf(phrase, space);
  return (
    <Ways
      aria-label={PUT.direction}
      selectionMode="single"
      disallowEmptySelection
      selectedKeys={isHeld && current ? [current.id] : []}
      onSelectionChange={(keys) => {
        const next = ways.find(({ id }) => keys.has(id));
        if (next) change((one) => ({ ...(isTurned(one) ? oppositeOf(one) : one), direction: next.way }));
      }}
    >
      {ways.map(({ id, sign, label }) => (
        <ToggleButton key={id} id={id} aria-label={label}>
          {sign}
        </ToggleButton>
      ))}
    </Ways>
  );
}

/** Puts what is said on everything that is selected, in one step, or along a run of members as one; whole or not at all. */
function PutOnSelection({ load: { phrase, putOn }, caseId }: { readonly load: SaidLoad; readonly caseId: string }) {
  const model = useModel();
  const chosen = chosenOf(useEditorState((state) => state.selection));
  return (
    <>
      <Row>
        {selectionOffers(phrase, chosen, model, caseId).map((offer) => (
          <Fragment key={offer.words}>
            {offer.warning && <Hint role="status">{offer.warning}</Hint>}
            <Button onPress={() => putOn(offer)}>{offer.words}</Button>
          </Fragment>
        ))}
      </Row>
      <SelectionStrip />
    </>
  );
}
