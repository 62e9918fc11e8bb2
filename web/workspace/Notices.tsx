'use client';

import { useState } from 'react';
import styled from 'styled-components';
import { remedyOfWarning } from '@rigid-beam/core/analysis/warning-remedies';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { Mechanism } from '@rigid-beam/core/kinematics/mechanism';
import type { Clash } from '../editor/slices/document';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { OfferSlip } from '../sheet/OfferSlip';
import { shownPlace } from '../sheet/swing';
import { otherGrade, type Brought } from '../editor/brought';
import { Button, PlainButton, Row, Select } from '../ui/controls';
import { harmIn, heldStill, subjectOf, toldOf } from './told';
import { notices as WORDS } from './words';

const Tray = styled.div`
  display: flex;
  flex-direction: column;
  flex: none;
  gap: 0.4rem;
  max-height: 45%;
  overflow-y: auto;
  &:empty {
    display: none;
  }
`;

/** Words, and what closes them at the far end. */
const Apart = styled(Row)`
  flex-wrap: nowrap;
  align-items: flex-start;
  justify-content: space-between;
  > :first-child {
    min-width: 0;
    overflow-wrap: anywhere;
  }
`;

const Slip = styled.div`
  padding: 0.45rem 0.7rem;
  border: 1px solid var(--rule-strong);
  border-left-width: 5px;
  border-radius: 3px;
  background: var(--paper);
  &[data-tone='fault'] {
    border-color: var(--fault);
    background: var(--fault-ground);
  }
  &[data-tone='attention'] {
    border-color: var(--attention);
    background: var(--attention-ground);
  }
  li + li {
    margin-top: 0.3rem;
  }
`;

/** The one that is drawn bears the dashes of the drawing. */
const Motion = styled.li`
  padding-left: 0.5rem;
  border-left: 3px dashed transparent;
  &[data-drawn='true'] {
    border-left-color: var(--fault);
  }
  && + & {
    margin-top: 0.6rem;
  }
`;

const Remedies = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  align-items: baseline;
  margin-top: 0.25rem;
  font-size: 0.85rem;
  button {
    white-space: normal;
    text-align: left;
  }
`;

const Asked = styled.div`
  display: grid;
  gap: 0.35rem;
  margin-bottom: 0.5rem;
`;

const Quiet = styled.p`
  padding-left: 0.5rem;
  border-left: 2px solid var(--rule-strong);
  color: var(--soft);
  font-size: 0.8rem;
`;

const MANY = 4;
/** Remarks that stand in one line. */
const FEW = 2;

/** What keeps the model from being solved, why an edit was refused, and what happened elsewhere: in words. They stand under the bench, or under the sheet: nothing moves when one comes. */
export function Notices({ sheet }: { readonly sheet: SheetController | undefined }) {
  const editor = useEditor();
  const results = useEditorState((state) => state.settled.results);
  const refusal = useEditorState((state) => state.refusal);
  const clashes = useEditorState((state) => state.clashes);
  const remarks = useEditorState((state) => state.remarks);
  const brought = useEditorState((state) => state.brought);
  const proposal = useEditorState((state) => state.proposal);
  const storage = useEditorState((state) => state.storage);
  const { hinders, tone, warnings } = toldOf(results);

  return (
    <Tray>
      {storage.status === 'conflict' && <Conflict since={storage.since} />}
      {storage.status === 'failing' && (
        <Slip role="alert" data-tone="fault" data-testid="failing">
          <p>{WORDS.kept(storage.message)}</p>
        </Slip>
      )}
      {storage.status === 'refused' && (
        <Slip role="alert" data-tone="fault">
          <List notices={storage.faults} />
          <Button onPress={() => void editor.takeNewer('drop')}>{WORDS.goBack}</Button>
        </Slip>
      )}
      {clashes.length > 0 && <Clashes clashes={clashes} />}
      {remarks.length > 0 && (
        <Slip role="status" data-tone="attention" data-testid="remarks">
          <Apart>
            <div>
              {remarks.length > FEW ? (
                <ul>
                  {remarks.map((words, i) => (
                    <li key={i}>{words}</li>
                  ))}
                </ul>
              ) : (
                <p>{remarks.join(' ')}</p>
              )}
              {brought && brought.grades.length > 1 && <Grade brought={brought} />}
            </div>
            <PlainButton aria-label={WORDS.close} onPress={() => editor.dismissRemarks()}>
              ✕
            </PlainButton>
          </Apart>
        </Slip>
      )}
      {refusal.length > 0 && (
        <Slip role="alert" data-tone="fault">
          <Apart>
            <List notices={refusal} />
            <PlainButton aria-label={WORDS.close} onPress={() => editor.dismissRefusal()}>
              ✕
            </PlainButton>
          </Apart>
        </Slip>
      )}
      {hinders.length > 0 && (
        <Slip role="status" data-tone={tone} data-testid="hindrance">
          {proposal?.isUnstable && (
            <Asked>
              <p>{WORDS.notKept(proposal.label)}</p>
              <Row>
                <Button onPress={() => editor.answer('leave')}>{WORDS.leave}</Button>
                <Button onPress={() => editor.answer('keep')}>{WORDS.keep}</Button>
              </Row>
            </Asked>
          )}
          {results?.status === 'unstable' ? (
            <>
              <List notices={hinders.filter(({ code }) => code === 'one-sided')} />
              <Mechanisms mechanisms={results.mechanisms} />
            </>
          ) : (
            <List notices={hinders} />
          )}
        </Slip>
      )}
      {warnings.length > 0 && (
        <Slip role="status" data-tone="attention">
          <List notices={warnings} />
        </Slip>
      )}
      <Held />
      {sheet && <OfferSlip controller={sheet} />}
    </Tray>
  );
}

/** The first shape of its kind asks for its grade: the usual one is there already. */
function Grade({ brought }: { readonly brought: Brought }) {
  const editor = useEditor();
  return (
    <Select
      label={WORDS.grade}
      choices={brought.grades.map((id) => ({ id, text: id }))}
      value={brought.material}
      onChange={(id) => {
        const intent = otherGrade(brought, id, editor.state.model);
        if (intent) editor.edit(intent);
      }}
    />
  );
}

function List({ notices }: { readonly notices: readonly Notice[] }) {
  const editor = useEditor();
  const model = useEditorState((state) => state.model);
  return (
    <ul>
      {notices.slice(0, MANY).map((notice, i) => {
        const subjects = notice.subjects.flatMap(subjectOf);
        const remedy = remedyOfWarning(model, notice);
        return (
          <li key={i}>
            {notice.message}{' '}
            {subjects.length > 0 && <PlainButton onPress={() => editor.select(subjects)}>{WORDS.show}</PlainButton>}
            {remedy && <Button onPress={() => editor.edit(remedy.intent, remedy.words)}>{remedy.words}</Button>}
          </li>
        );
      })}
      {notices.length > MANY && <li>{WORDS.andMore(notices.length - MANY)}</li>}
    </ul>
  );
}

/** Motions that keep the structure from standing, each with the edits that were found to stop it. */
function Mechanisms({ mechanisms }: { readonly mechanisms: readonly Mechanism[] }) {
  const editor = useEditor();
  const shown = useEditorState(shownPlace);
  const found = useEditorState(({ remedies, settled }) => (remedies?.model === settled.model ? remedies.mechanisms : undefined));
  const harmful = harmIn(mechanisms);
  return (
    <ul>
      {harmful.slice(0, MANY).map(({ description, subjects, place }, i) => {
        const remedies = found?.[place]?.remedies ?? [];
        const show = (): void => {
          editor.select(subjects);
          editor.showMotion(place);
        };
        return (
          <Motion
            key={i}
            data-drawn={place === shown}
            // Scrolling under a pointer at rest asks for nothing.
            onPointerMove={({ movementX, movementY }) => (movementX !== 0 || movementY !== 0) && editor.showMotion(place)}
            onFocus={() => editor.showMotion(place)}
          >
            {description} <PlainButton onPress={show}>{WORDS.show}</PlainButton>
            {remedies.length > 0 && (
              <Remedies>
                {WORDS.thisWouldStopIt}
                {remedies.map((remedy) => (
                  <Button
                    key={remedy.description}
                    onPress={() =>
                      editor.state.proposal
                        ? editor.answer('keep', { intent: remedy.edit, words: remedy.description })
                        : editor.edit(remedy.edit, remedy.description)
                    }
                  >
                    {remedy.description}
                  </Button>
                ))}
              </Remedies>
            )}
          </Motion>
        );
      })}
      {harmful.length > MANY && <li>{WORDS.andMore(harmful.length - MANY)}</li>}
    </ul>
  );
}

/** What is free to move, but moved by no load, and therefore held still: a quiet note, whose motions can be shown. */
function Held() {
  const editor = useEditor();
  const results = useEditorState((state) => state.settled.results);
  const stage = useEditorState((state) => state.stage);
  const isShown = useEditorState(({ shownMotion }) => shownMotion === 'held');
  const notes = heldStill(results, stage);
  if (notes.length === 0) return null;
  return (
    <Quiet data-testid="held">
      {notes.slice(0, MANY).join(' ')}
      {notes.length > MANY && WORDS.sentenceAndMore(notes.length - MANY)}{' '}
      <PlainButton aria-pressed={isShown} onPress={() => editor.showMotion(isShown ? undefined : 'held')}>
        {isShown ? WORDS.hide : WORDS.show}
      </PlainButton>
    </Quiet>
  );
}

function Conflict({ since }: { readonly since: readonly { readonly label: string }[] }) {
  const editor = useEditor();
  return (
    <Slip role="alert" data-tone="fault" data-testid="conflict">
      <p>
        {WORDS.changedElsewhere(
          since
            .map(({ label }) => label)
            .slice(-3)
            .join('; ') || WORDS.newer,
        )}
      </p>
      <Row>
        <Button onPress={() => void editor.takeNewer('drop')}>{WORDS.takeTheNewerState}</Button>
        <Button onPress={() => void editor.takeNewer('put on top')}>{WORDS.putMyChangeOnTop}</Button>
      </Row>
    </Slip>
  );
}

/** Edits that stand on no newer state, each with its reason; they can be copied before they are let go. */
function Clashes({ clashes }: { readonly clashes: readonly Clash[] }) {
  const editor = useEditor();
  const [isCopied, setIsCopied] = useState(false);
  const copy = async (): Promise<void> => {
    await navigator.clipboard.writeText(JSON.stringify(clashes, null, 1));
    setIsCopied(true);
  };
  return (
    <Slip role="alert" data-tone="fault" data-testid="clashes">
      <p>{WORDS.notPutOnTop(clashes.length)}</p>
      <ul>
        {clashes.map(({ words }, i) => (
          <li key={i}>{words}</li>
        ))}
      </ul>
      <Row>
        <Button onPress={() => void copy()}>{isCopied ? WORDS.copied : WORDS.copyThem}</Button>
        <Button onPress={() => editor.dismissClashes()}>{WORDS.letGo}</Button>
      </Row>
    </Slip>
  );
}
