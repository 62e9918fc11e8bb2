'use client';

import { useEffect, useRef, useState } from 'react';
import { ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { useStore } from 'zustand';
import type { Intent } from '@rigid-beam/core/model/edits/intent';
import { readLoadPhrase, type LoadPhrase, type PhraseKind } from '@rigid-beam/core/model/loads/phrase';
import { actsOn, loadsOfPhrase, type PhraseTarget } from '@rigid-beam/core/model/loads/phrase-loads';
import { phraseWords } from '@rigid-beam/core/model/loads/phrase-words';
import { times } from '@rigid-beam/core/model/point';
import { runOf } from '@rigid-beam/core/model/runs';
import { chosenOf } from '../../session/chosen';
import { useDisplay, useEditor, useEditorState, useModel } from '../../session/use-editor';
import type { SheetController } from '../../sheet/controller';
import { LOAD_TOOL, LoadTool, type LoadInHand } from '../../sheet/tools/load-tool';
import { Button, PanelSubtitle, Row, Stack, ToggleButton } from '../../ui/controls';
import { Instrument, Instruments } from '../../ui/Instrument';
import { TextLine } from '../../ui/TextLine';
import { loadKinds, measures, PUT, SENSES, understoodWords, waysOf } from './load-words';

const Ways = styled(ToggleButtonGroup)`
  display: flex;
  gap: 0.2rem;
  button {
    min-width: 2rem;
    justify-content: center;
    font-size: 1rem;
  }
`;

/** Loads are said: a phrase that is typed, or composed from pictures, and then put where one clicks. */
export function LoadInstrument({ sheet, caseId }: { readonly sheet: SheetController; readonly caseId: string }) {
  const editor = useEditor();
  const model = useModel();
  const display = useDisplay();
  const isHeld = useStore(sheet.store, (state) => state.tool.name === LOAD_TOOL);
  const selection = useEditorState((state) => state.selection);
  const [kind, setKind] = useState<PhraseKind>('line');
  const [said, setSaid] = useState<Partial<Record<PhraseKind, string>>>({});
  const { space } = model;
  const text = said[kind] ?? loadKinds.find(({ id }) => id === kind)!.first;
  const read = (words: string) => readLoadPhrase(words, { display, space, bare: kind });
  const now = read(text);
  const phrase = now.ok ? now.phrase : undefined;

  const say = (next: LoadPhrase): void => {
    const words = phraseWords(next, display);
    setKind(next.kind);
    setSaid((all) => ({ ...all, [next.kind]: words }));
    hold(next);
  };
  const turn = (step: 1 | -1): void => {
    const current = latest.current;
    if (!current) return;
    if (SENSES[current.kind]) return say({ ...current, from: -current.from, to: -current.to });
    const ways = waysOf(space);
    const at = ways.findIndex(({ way }) => way.every((part, k) => Math.abs(part - current.direction[k]!) < 1e-9));
    say({ ...current, direction: ways[(at + step + ways.length) % ways.length]!.way });
  };
  const inHand = (next: LoadPhrase): LoadInHand => ({ phrase: next, caseId, turn });
  const hold = (next: LoadPhrase): void => {
    const { tool } = sheet.store.getState();
    if (tool instanceof LoadTool) tool.say(inHand(next));
    else sheet.take(new LoadTool(sheet, inHand(next)));
  };
  // The tool outlives a drawing of the bench: it asks for the phrase that was said last, and goes with the case that acts.
  const latest = useRef(phrase);
  useEffect(() => {
    latest.current = phrase;
  });
  useEffect(() => {
    const { tool } = sheet.store.getState();
    if (tool instanceof LoadTool && latest.current) tool.say(inHand(latest.current));
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [caseId]);

  const chosen = chosenOf(selection);
  const on = phrase && actsOn(phrase);
  const run = phrase?.kind === 'line' && chosen.members.length > 1 ? runOf(model, chosen.members) : undefined;
  const put = (targets: readonly PhraseTarget[], what: string, count = targets.length): void => {
    if (!phrase) return;
    const all = targets.map((target) => loadsOfPhrase(phrase, target, model, caseId));
    const trouble = all.find((one) => !one.ok);
    if (trouble && !trouble.ok) return editor.refuse(`Nothing was put: ${trouble.reason}.`);
    const intents = all.flatMap((one): Intent[] =>
      one.ok ? one.loads.map((entry) => ({ type: 'put', list: 'loads', entry })) : [],
    );
    const label = PUT.label(phraseWords(phrase, display), count, what);
    if (editor.edit({ type: 'batch', intents, label })) sheet.takeSelect();
  };
  const senses = SENSES[kind];
  const ways = waysOf(space);
  const isTurned = phrase !== undefined && phrase.from + phrase.to < 0;
  const currentWay =
    phrase && ways.find(({ way }) => way.every((part, k) => Math.abs(part * (isTurned ? -1 : 1) - phrase.direction[k]!) < 1e-9));
  return (
    <Stack>
      <PanelSubtitle>{PUT.heading}</PanelSubtitle>
      <Instruments role="group" aria-label="Loads to place">
        {loadKinds.map(({ id, picture, short, text: label, first }) => (
          <Instrument
            key={id}
            picture={picture}
            words={short}
            label={label}
            isHeld={isHeld && id === kind}
            onChange={(taken) => {
              if (!taken) return sheet.takeSelect();
              setKind(id);
              const next = readLoadPhrase(said[id] ?? first, { display, space, bare: id });
              if (next.ok) hold(next.phrase);
            }}
          />
        ))}
      </Instruments>
      <TextLine
        label={PUT.field}
        value={text}
        understand={(words) => {
          const next = read(words);
          return next.ok
            ? { ok: true, words: understoodWords(next.phrase, phraseWords(next.phrase, display)) }
            : { ok: false, words: next.reason };
        }}
        onCommit={(words) => {
          const next = read(words);
          if (next.ok) say(next.phrase);
        }}
      />
      {senses && phrase && (
        <Ways
          aria-label="Sense"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={[isTurned ? 'turned' : 'as it is']}
          onSelectionChange={() => say({ ...phrase, from: -phrase.from, to: -phrase.to })}
        >
          {senses.map(([sign, label], i) => (
            <ToggleButton key={label} id={i === 0 ? 'as it is' : 'turned'} aria-label={label}>
              {sign}
            </ToggleButton>
          ))}
        </Ways>
      )}
      {!senses && phrase && (
        <Ways
          aria-label="Direction"
          selectionMode="single"
          disallowEmptySelection
          selectedKeys={currentWay ? [currentWay.id] : []}
          onSelectionChange={(keys) => {
            const next = ways.find(({ id }) => keys.has(id));
            const sign = isTurned ? -1 : 1;
            if (next) say({ ...phrase, from: sign * phrase.from, to: sign * phrase.to, direction: times(next.way, 1) });
          }}
        >
          {ways.map(({ id, sign, label }) => (
            <ToggleButton key={id} id={id} aria-label={label}>
              {sign}
            </ToggleButton>
          ))}
        </Ways>
      )}
      {phrase?.kind === 'line' && (
        <Instruments role="group" aria-label="Measured">
          {measures.map(({ id, picture, short, label }) => (
            <Instrument
              key={id}
              picture={picture}
              words={short}
              label={label}
              isHeld={phrase.measured === id}
              onChange={() => say({ ...phrase, measured: id })}
            />
          ))}
        </Instruments>
      )}
      {phrase && (
        <Row>
          {on !== 'node' && chosen.members.length > 0 && (
            <Button
              onPress={() =>
                put(
                  chosen.members.map((member) => ({ member })),
                  'member',
                )
              }
            >
              {PUT.members(chosen.members.length)}
            </Button>
          )}
          {run && <Button onPress={() => put([{ run }], 'member', run.length)}>{PUT.run(run.length)}</Button>}
          {on !== 'member' && chosen.nodes.length > 0 && (
            <Button
              onPress={() =>
                put(
                  chosen.nodes.map((node) => ({ node })),
                  'node',
                )
              }
            >
              {PUT.nodes(chosen.nodes.length)}
            </Button>
          )}
        </Row>
      )}
    </Stack>
  );
}
