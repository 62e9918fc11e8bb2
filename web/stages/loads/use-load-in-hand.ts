import { useEffect, useRef, useState } from 'react';
import type { LoadPhrase, PhraseKind } from '@rigid-beam/core/phrases/phrase';
import { readNamedPhrase } from '@rigid-beam/core/phrases/named-phrase';
import { ALL_DIGITS, phraseWords } from '@rigid-beam/core/phrases/phrase-words';
import { putPhrase } from '@rigid-beam/core/phrases/put-phrase';
import type { ReadPhrase } from '@rigid-beam/core/phrases/read-phrase';
import { chosenOf } from '../../editor/chosen';
import { useDisplay, useModel } from '../../editor/use-editor';
import type { SheetController } from '../../sheet/controller';
import { LoadTool, type LoadInHand } from '../../sheet/tools/load-tool';
import { changed, firstWords, oppositeOf, PUT, SENSES, wayOf, waysOf } from './load-words';
import { selectionOffers, type SelectionOffer } from './selection-offers';

/** What is said, and what can be done with it. */
export interface SaidLoad {
  readonly phrase: LoadPhrase;
  /** A text as it is understood here. */
  readonly read: (words: string) => ReadPhrase;
  /** Says another load, and takes it in hand. */
  readonly say: (next: LoadPhrase) => void;
  /** The same load but for a change. */
  readonly change: (change: (phrase: LoadPhrase) => LoadPhrase) => void;
  /** Takes what was said last of a kind in hand. */
  readonly take: (kind: PhraseKind) => void;
  /** Nothing that means something is said any more: nothing stays in hand. */
  readonly drop: () => void;
  /** Puts it on what is selected, in one step, whole or not at all. */
  readonly putOn: (offer: SelectionOffer) => void;
}

/** The load that the bench says: of each kind the last one, exactly as it was said. The tool in hand asks for it, and is put away with the bench. */
export function useLoadInHand(sheet: SheetController, caseId: string): SaidLoad {
  const display = useDisplay();
  const model = useModel();
  const { space, cases } = model;
  const category = cases.find(({ id }) => id === caseId)?.category;
  const [kind, setKind] = useState<PhraseKind>('line');
  const [said, setSaid] = useState<Partial<Record<PhraseKind, LoadPhrase>>>({});
  const read = (words: string, bare = kind): ReadPhrase => readNamedPhrase(words, model, bare);
  const lastOf = (one: PhraseKind): LoadPhrase => {
    const own = said[one];
    // What hangs on parameters is as large as these now are.
    const words = own?.varied ? phraseWords(own, display, ALL_DIGITS, 'expressions') : firstWords(one, display, space, category);
    const again = !own || own.varied ? read(words, one) : undefined;
    return again?.ok ? again.phrase : own!;
  };
  const phrase = lastOf(kind);

  const hold = (): void => {
    if (!(sheet.store.getState().tool instanceof LoadTool)) sheet.take(new LoadTool(sheet, () => inHand.current));
  };
  const say = (next: LoadPhrase): void => {
    setKind(next.kind);
    setSaid((all) => ({ ...all, [next.kind]: next }));
    hold();
  };
  const change = (update: (one: LoadPhrase) => LoadPhrase): void => say(changed(phrase, update));
  const turn = (step: 1 | -1): void => {
    if (SENSES[phrase.kind]) return change(oppositeOf);
    const ways = waysOf(space);
    const at = ways.findIndex(({ id }) => id === wayOf(phrase, space)?.id);
    change((one) => ({ ...one, direction: ways[(at + step + ways.length) % ways.length]!.way }));
  };

  const drop = (): void => {
    if (sheet.store.getState().tool instanceof LoadTool) sheet.takeSelect();
  };
  const putOn = ({ targets, what }: SelectionOffer): void => {
    const { editor } = sheet;
    const intents = putPhrase(phrase, targets, editor.state.model, caseId);
    if (typeof intents === 'string') return editor.refuse(PUT.refused(intents));
    const words = phraseWords(phrase, display, 4, 'expressions');
    const count = targets.reduce((sum, target) => sum + ('run' in target ? target.run.length : 1), 0);
    if (!editor.edit({ type: 'batch', intents, label: PUT.label(words, count, what) })) return;
    drop();
    // The next load is said where this one was.
    editor.show({ side: 'bench' });
  };
  /** What Enter means: the first way that needs no second thought. */
  const putOnSelection = (): boolean => {
    const { editor } = sheet;
    const [first] = selectionOffers(phrase, chosenOf(editor.state.selection), editor.state.model, caseId);
    if (!first || first.warning) return false;
    putOn(first);
    return true;
  };

  const inHand = useRef<LoadInHand>({ phrase, caseId, turn, putOnSelection });
  useEffect(() => {
    const isOther = JSON.stringify(inHand.current.phrase) !== JSON.stringify(phrase) || inHand.current.caseId !== caseId;
    inHand.current = { phrase, caseId, turn, putOnSelection };
    const { tool } = sheet.store.getState();
    if (isOther && tool instanceof LoadTool) tool.said();
  });
  // Without its bench nobody would see in which case it puts a load.
  useEffect(
    () => () => {
      if (sheet.store.getState().tool instanceof LoadTool) sheet.takeSelect();
    },
    [sheet],
  );
  return {
    phrase,
    read,
    say,
    change,
    drop,
    putOn,
    take: (one) => {
      setKind(one);
      hold();
    },
  };
}
