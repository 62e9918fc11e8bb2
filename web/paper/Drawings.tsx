'use client';

import { useMemo, useState } from 'react';
import type { Model } from '@rigid-beam/core/model/model';
import { ratioWords, readRatio } from '@rigid-beam/drawing/paper/ratios';
import { papers, paperWays, type Paper, type PaperWay } from '@rigid-beam/drawing/paper/sizes';
import { paperInks, paperKinds, type PaperInks, type PaperKind } from '@rigid-beam/drawing/paper/asked';
import { actingIndex } from '../editor/editor-state';
import { useEditor, useEditorState } from '../editor/use-editor';
import type { SheetController } from '../sheet/controller';
import { viewOf } from '../sheet/view-of';
import type { PaperAsked } from '../solver/paper/asked';
import { Button, Columns, Hint, Row, Select } from '../ui/controls';
import { TextLine } from '../ui/TextLine';
import { AddSheets, subjectWords } from './AddSheets';
import { DOTS, withSheets, type ListedSheet } from './chosen';
import { DialogFoot, DialogSide } from '../ui/WideDialog';
import { Desk, Look, Trouble } from './faces';
import { SaidFields } from './SaidFields';
import { OrderedList } from './OrderedList';
import { useChoice } from './use-choice';
import { useDrawn } from './use-drawn';
import { paperDialog as WORDS } from './words';

const SCREEN: ListedSheet = { key: 'screen', is: 'view' };

const sheetName = (one: ListedSheet, model: Model): string =>
  one.is === 'view' ? WORDS.asOnScreen : [subjectWords(one.subject, model), one.outcome].filter(Boolean).join(' · ');

/** Sheets to a true scale: which, on what, and how they look; saved as the files that an office hands on. */
export function Drawings({ sheet }: { readonly sheet: SheetController }) {
  const editor = useEditor();
  const drawn = useEditorState((state) => state.drawn);
  const { chosen, choose: change } = useChoice(editor);
  const [sheets, setSheets] = useState<readonly ListedSheet[]>([SCREEN]);
  const [shown, setShown] = useState(SCREEN.key);
  const [outcome, setOutcome] = useState<{ readonly words: string; readonly isFault: boolean }>();
  const { model, results } = drawn;
  const outcomes = useMemo(() => results?.solution?.outcomes ?? [...model.cases, ...model.combinations], [model, results]);
  const at = Math.max(
    0,
    sheets.findIndex(({ key }) => key === shown),
  );
  const choose: typeof change = (part) => {
    change(part);
    setOutcome(undefined);
  };
  const listed = useMemo(() => sheets.map((one) => ({ key: one.key, name: sheetName(one, model) })), [sheets, model]);
  const asked = useMemo((): PaperAsked => {
    const ratio = chosen.scale === '' ? undefined : readRatio(chosen.scale);
    const seen = sheet.view.seen();
    const view = viewOf(editor.state, seen, undefined, 1, 'still');
    return {
      sheets: sheets.map((one) =>
        one.is === 'view'
          ? { is: 'view', view: { ...view, together: [] } }
          : { is: 'subject', subject: one.subject, outcome: outcomes.findIndex((each) => each.id === one.outcome) },
      ),
      projection: seen.projection,
      asked: {
        ...{ paper: chosen.paper, way: chosen.way, inks: chosen.inks, said: chosen.said },
        ...(typeof ratio === 'number' && { ratio }),
      },
      ...{ as: 'preview', at, dots: chosen.dots },
      sheared: drawn.results?.solution?.isShearKnown ? drawn.results.solution.fibres : undefined,
    };
  }, [editor, sheet, drawn, outcomes, sheets, chosen, at]);
  const { found, address, isGoing } = useDrawn(editor, asked);
  const save = async (kind: PaperKind): Promise<void> => {
    const made = await editor.files.draw({ ...asked, as: kind });
    if ('content' in made) editor.files.keep(made.content, kind);
    setOutcome('refused' in made ? { words: made.refused, isFault: true } : { words: WORDS.saved(kind), isFault: false });
  };
  const trouble = found && 'refused' in found ? found.refused : undefined;
  return (
    <>
      <DialogSide>
        <OrderedList
          label={WORDS.sheets}
          items={listed}
          shown={sheets[at]!.key}
          onShow={setShown}
          onChange={(keys) => setSheets(keys.map((key) => sheets.find((one) => one.key === key)!))}
        />
        <AddSheets
          model={model}
          acting={outcomes[Math.max(0, actingIndex(editor.state))]?.id ?? ''}
          onAdd={(subject, of) => {
            const next = withSheets(sheets, subject, of);
            setSheets(next);
            if (next.length > sheets.length) setShown(next[sheets.length]!.key);
          }}
        />
        <Columns>
          <Select
            label={WORDS.paper}
            value={chosen.paper}
            choices={papers.map((paper) => ({ id: paper, text: paper }))}
            onChange={(paper) => choose({ paper: paper as Paper })}
          />
          <Select
            label={WORDS.lies}
            value={chosen.way}
            choices={paperWays.map((way) => ({ id: way, text: WORDS[way] }))}
            onChange={(way) => choose({ way: way as PaperWay })}
          />
          <TextLine
            label={WORDS.scale}
            value={chosen.scale}
            placeholder={WORDS.fitted}
            understand={(text) => {
              const read = readRatio(text);
              return typeof read === 'number' ? { ok: true, words: ratioWords(read) } : { ok: false, words: read };
            }}
            onCommit={(scale) => choose({ scale: scale.trim() })}
          />
          <Select
            label={WORDS.inks}
            value={chosen.inks}
            choices={paperInks.map((inks) => ({ id: inks, text: WORDS[inks] }))}
            onChange={(inks) => choose({ inks: inks as PaperInks })}
          />
        </Columns>
        <SaidFields title={WORDS.titleBlock} said={chosen.said} onSay={(said) => choose({ said })} />
      </DialogSide>
      <Desk>
        <Look
          trouble={trouble}
          address={address}
          name={WORDS.preview(sheetName(sheets[at]!, model))}
          isGoing={isGoing}
          goesOn={WORDS.goesOn}
        />
        <DialogFoot>
          <Hint role="status">
            {found && 'content' in found && WORDS.at(ratioWords(found.ratio))}
            {found && 'content' in found && found.leftOut > 0 && ` · ${WORDS.leftOut(found.leftOut)}`}
            {outcome && !outcome.isFault && ` · ${outcome.words}`}
          </Hint>
          {outcome?.isFault && <Trouble role="alert">{outcome.words}</Trouble>}
          <Row>
            <Select
              label={WORDS.dots}
              hideLabel
              value={String(chosen.dots)}
              choices={DOTS.map((dots) => ({ id: dots, text: `${dots} dpi` }))}
              onChange={(dots) => choose({ dots: Number(dots) })}
            />
            {paperKinds.toReversed().map((kind) => (
              <Button key={kind} isDisabled={trouble !== undefined} onPress={() => void save(kind)}>
                {`${WORDS.saveAs} ${WORDS.save(kind, sheets.length)}`}
              </Button>
            ))}
          </Row>
        </DialogFoot>
      </Desk>
    </>
  );
}
