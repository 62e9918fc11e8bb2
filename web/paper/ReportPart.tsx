'use client';

import { useMemo, useState } from 'react';
import { firstOutcomes, firstQuantities } from '@rigid-beam/drawing/report/asked';
import { chapterTitle } from '@rigid-beam/drawing/report/report';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { ReportWanted } from '../solver/paper/asked';
import { Button, Hint, Row, Select } from '../ui/controls';
import { OrderedList } from './OrderedList';
import { OwnChapter } from './OwnChapter';
import { ReadMembers } from './ReadMembers';
import { DialogFoot, DialogSide } from '../ui/WideDialog';
import { Desk, Look, Trouble } from './faces';
import { SaidFields } from './SaidFields';
import { chaptersLeft, listedChapters, useChapters } from './use-chapters';
import { useChoice } from './use-choice';
import { useReported } from './use-drawn';
import { reportPart as WORDS } from './words';

/** A calculation report: its chapters in their order, whose results, and each of its pages as it will be. */
export function ReportPart() {
  const editor = useEditor();
  const drawn = useEditorState((state) => state.drawn);
  const acting = useEditorState((state) => state.acting);
  const { chosen, choose } = useChoice(editor);
  const { chapters, change } = useChapters();
  const [of, setOf] = useState<keyof typeof WORDS.outcomes>('first');
  const [shownKey, setShown] = useState<string>();
  const [at, setAt] = useState<ReportWanted['at']>(0);
  const [said, say] = useState<{ readonly words: string; readonly isFault: boolean }>();
  const { model, results } = drawn;
  const wanted = useMemo((): ReportWanted => {
    const ids = {
      first: firstOutcomes(model),
      acting: [acting ?? model.cases[0]?.id ?? ''],
      cases: model.cases.map(({ id }) => id),
      combinations: model.combinations.map(({ id }) => id),
    };
    return {
      asked: { chapters, outcomes: ids[of], quantities: firstQuantities(model.space), inks: chosen.inks, said: chosen.said },
      as: 'preview',
      at,
      sheared: results?.solution?.isShearKnown ? results.solution.fibres : undefined,
    };
  }, [model, results, acting, chapters, of, chosen, at]);
  const listed = useMemo(() => listedChapters(chapters), [chapters]);
  const shown = listed.find(({ key }) => key === shownKey) ?? listed[0]!;
  const { found, address, isGoing, doing } = useReported(editor, wanted);
  const [saving, setSaving] = useState<string>();
  const save = async (kind: 'pdf' | 'html'): Promise<void> => {
    const made = await editor.files.report({ ...wanted, as: kind }, setSaving);
    setSaving(undefined);
    if ('content' in made) editor.files.keep(made.content, kind);
    say('refused' in made ? { words: made.refused, isFault: true } : { words: WORDS.saved(kind), isFault: false });
  };
  const left = chaptersLeft(chapters);
  const pages = found && 'pages' in found ? found.pages : 0;
  const page = found && 'page' in found ? found.page : 0;
  const trouble = found && 'refused' in found ? found.refused : undefined;
  return (
    <>
      <DialogSide>
        <OrderedList
          label={WORDS.chapters}
          items={listed}
          shown={shown.key}
          onShow={(key) => {
            setShown(key);
            setAt({ chapter: listed.findIndex((one) => one.key === key) });
          }}
          onChange={(keys) => {
            const next = keys.map((key) => listed.find((one) => one.key === key)!.chapter);
            change(next);
            // A chapter of one's own has another key where it stands now.
            const at = next.indexOf(shown.chapter);
            setShown(listedChapters(next)[Math.max(0, at)]!.key);
          }}
        />
        {shown.chapter.chapter === 'text' && (
          <OwnChapter
            key={shown.key}
            chapter={shown.chapter}
            onChange={(own) => {
              change(chapters.map((one) => (one === shown.chapter ? own : one)));
              setAt({ chapter: listed.indexOf(shown) });
            }}
          />
        )}
        {shown.chapter.chapter === 'members' && (
          <ReadMembers
            chapter={shown.chapter}
            onChange={(next) => {
              change(chapters.map((one) => (one === shown.chapter ? next : one)));
              setAt({ chapter: listed.indexOf(shown) });
            }}
          />
        )}
        <Row>
          {left.map((one) => (
            <Button key={one.chapter} onPress={() => change([...chapters, one])}>
              {WORDS.add(chapterTitle(one))}
            </Button>
          ))}
          <Button
            onPress={() => {
              const at = listed.indexOf(shown) + 1;
              const next = [
                ...chapters.slice(0, at),
                { chapter: 'text', title: WORDS.notes, text: '' } as const,
                ...chapters.slice(at),
              ];
              change(next);
              setShown(listedChapters(next)[at]!.key);
              setAt({ chapter: at });
            }}
          >
            {WORDS.addText}
          </Button>
        </Row>
        <Select
          label={WORDS.of}
          value={of}
          choices={Object.entries(WORDS.outcomes)
            .filter(([id]) => id !== 'combinations' || model.combinations.length > 0)
            .map(([id, text]) => ({ id, text }))}
          onChange={(id) => setOf(id as typeof of)}
        />
        <SaidFields title={WORDS.cover} said={chosen.said} onSay={(next) => choose({ said: next })} />
      </DialogSide>
      <Desk>
        <Look
          trouble={trouble}
          address={address}
          name={WORDS.page(page + 1, pages)}
          isGoing={isGoing}
          goesOn={WORDS.doing(doing)}
        />
        <DialogFoot>
          <Row>
            <Button aria-label={WORDS.before} isDisabled={page === 0} onPress={() => setAt(page - 1)}>
              ‹
            </Button>
            <Hint role="status">
              {pages > 0 && WORDS.page(page + 1, pages)}
              {isGoing && doing !== undefined && address !== undefined && ` · ${WORDS.doing(doing)}`}
              {saving !== undefined && ` · ${WORDS.doing(saving)}`}
              {said && !said.isFault && ` · ${said.words}`}
            </Hint>
            <Button aria-label={WORDS.next} isDisabled={page + 1 >= pages} onPress={() => setAt(page + 1)}>
              ›
            </Button>
          </Row>
          {said?.isFault && <Trouble role="alert">{said.words}</Trouble>}
          <Row>
            {(['html', 'pdf'] as const).map((kind) => (
              <Button key={kind} isDisabled={trouble !== undefined} onPress={() => void save(kind)}>
                {WORDS.save(kind)}
              </Button>
            ))}
          </Row>
        </DialogFoot>
      </Desk>
    </>
  );
}
