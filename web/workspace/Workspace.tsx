'use client';

import { namedBy } from '@rigid-beam/core/model/parameters/evaluate';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { flushSync } from 'react-dom';
import styled from 'styled-components';
import { inverted } from '@rigid-beam/core/model/selecting';
import { ChangeFold } from '../stages/geometry/ChangeFold';
import { Card, useHasCard } from '../cards/Card';
import { SheetMenu } from '../commands/SheetMenu';
import { stepSection } from '../editor/catalogue/step-section';
import { selectChosen } from '../editor/chosen';
import { Editor } from '../editor/editor';
import type { Sent } from '../editor/opened';
import { NARROW } from '../editor/slices/page';
import { firstOpening, openingAgain, type Opening } from '../editor/left';
import { EditorContext, useEditor, useEditorState } from '../editor/use-editor';
import { PaperDialog } from '../paper/PaperDialog';
import type { SheetController } from '../sheet/controller';
import { Sheet } from '../sheet/Sheet';
import { TitleBlock } from '../sheet/TitleBlock';
import { FileDialog } from '../taking/FileDialog';
import { Hold } from '../ui/Hold';
import { trace } from '../workings/trace';
import { ExpressionsContext, type Expressions } from '../ui/expressions';
import { SteppingContext } from '../ui/stepping';
import { Beginnings } from './Beginnings';
import { HeadStrip } from './HeadStrip';
import { meaningOfKey, type KeyMeaning, type KeyPlace } from './key-meaning';
import { LowerPanel } from './LowerPanel';
import { Notices } from './Notices';
import { StoredPicture } from './StoredPicture';
import { stageOf } from './stages';
import { workspace as WORDS } from './words';

/** Head, one side panel, and beside it the sheet with its title block and what lies under that. */
const Grid = styled.div`
  display: grid;
  grid-template:
    'head head' auto 'side sheet' minmax(0, 1fr) 'side below' auto
    'side title' auto 'side lower' auto / 16.5rem minmax(0, 1fr);
  height: 100dvh;
  min-height: 22rem;
  &[data-panel='folded'] {
    grid-template-columns: 0 minmax(0, 1fr);
  }
  /* A small window, or a large zoom: the panel slides over the sheet and away. */
  @media ${NARROW} {
    grid-template-columns: 0 minmax(0, 1fr);
  }
`;

const Side = styled.div`
  grid-area: side;
  z-index: 4;
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: hidden;
  background: var(--panel);
  border-right: 1px solid var(--rule-strong);
  > * {
    padding: 0.55rem 0.75rem;
  }
  @media ${NARROW} {
    width: min(17.5rem, 86vw);
    box-shadow: 0 0 18px rgb(0 0 0 / 25%);
  }
`;

const Bench = styled.section`
  flex: 1;
  min-height: 0;
  overflow-y: auto;
`;

const Looked = styled.div`
  flex: none;
  max-height: 30%;
  overflow-y: auto;
  border-top: 1px solid var(--rule);
  &:empty {
    display: none;
  }
`;

const Below = styled.div`
  grid-area: below;
`;

const SheetPlace = styled.main`
  grid-area: sheet;
  position: relative;
  display: grid;
  min-width: 0;
  min-height: 0;
`;

/** One open model. The editor lives as long as the page. */
export function Workspace({ sent, title, markup }: { readonly sent: Sent; readonly title: string; readonly markup: string }) {
  const [editor, setEditor] = useState<Editor>();
  useEffect(() => {
    let made: Editor | undefined;
    let isWanted = true;
    const open = (opening: Opening): void => {
      if (!isWanted) return;
      made = new Editor(opening, window.location.search);
      if ((opening.sent.pictures ?? []).length > 0) made.refuse(WORDS.pictureMissing);
      setEditor(made);
    };
    const first = firstOpening(sent);
    if (first) open(first);
    else void openingAgain(sent).then(open);
    return () => {
      isWanted = false;
      made?.close();
    };
  }, [sent]);
  if (!editor) return <StoredPicture title={title} projectName={sent.projectName} markup={markup} />;
  return (
    <EditorContext.Provider value={editor}>
      <Stepped />
    </EditorContext.Provider>
  );
}

/** Values are tried with arrow keys wherever they are typed, and may be expressions of the model’s parameters. */
function Stepped() {
  const editor = useEditor();
  const parameters = useEditorState((state) => state.model.parameters);
  const formulas = useEditorState((state) => state.model.formulas);
  const expressions = useMemo((): Expressions => {
    const texts = new Map(formulas?.map(({ of, is }) => [of, is]));
    return {
      scope: namedBy(parameters ?? [], formulas ?? []).scope,
      textAt: (place) => texts.get(place),
      express: (of, is) =>
        editor.edit(
          is === undefined
            ? { type: 'remove', list: 'formulas', keys: [of] }
            : { type: 'put', list: 'formulas', entry: { of, is } },
        ),
      refusedBy: (edit) => {
        const before = editor.state.refusal;
        edit();
        const { refusal } = editor.state;
        if (refusal === before || refusal.length === 0) return undefined;
        editor.dismissRefusal();
        return refusal.map(({ message }) => message).join(' ');
      },
    };
  }, [editor, parameters, formulas]);
  const stepping = useMemo(
    () => ({ trial: (act: () => void) => editor.trial(act), giveUp: () => editor.endPreview() }),
    [editor],
  );
  return (
    <SteppingContext.Provider value={stepping}>
      <ExpressionsContext.Provider value={expressions}>
        <Benchwork />
      </ExpressionsContext.Provider>
    </SteppingContext.Provider>
  );
}

function Benchwork() {
  const editor = useEditor();
  const stage = useEditorState((state) => state.stage);
  const title = useEditorState((state) => state.model.title);
  const panel = useEditorState((state) => state.panel);
  const [sheet, setSheet] = useState<SheetController>();
  const ready = useCallback((controller: SheetController | undefined) => setSheet(controller), []);

  useEffect(() => {
    document.title = WORDS.titled(title || WORDS.untitled);
  }, [title]);
  useShortcuts(sheet);
  useEffect(() => {
    const follow = (): void => editor.follow(window.location.search);
    const warn = (event: BeforeUnloadEvent): void => {
      if (editor.state.storage.status !== 'stored') event.preventDefault();
    };
    window.addEventListener('popstate', follow);
    window.addEventListener('beforeunload', warn);
    return () => {
      window.removeEventListener('popstate', follow);
      window.removeEventListener('beforeunload', warn);
    };
  }, [editor]);
  // Whatever is pressed or typed meets a page that has followed the last edit.
  useEffect(() => editor.page.beforeInput(window, flushSync), [editor]);
  useEffect(() => {
    const narrow = window.matchMedia(NARROW);
    const follow = ({ matches }: { readonly matches: boolean }): void => editor.show({ panel: matches ? 'folded' : 'open' });
    narrow.addEventListener('change', follow);
    return () => narrow.removeEventListener('change', follow);
  }, [editor]);
  // A tool belongs to its stage: leaving the stage puts it down.
  useEffect(() => sheet?.takeSelect(), [sheet, stage]);

  return (
    <Grid data-panel={panel}>
      <Hold what={WORDS.theHead}>
        <HeadStrip sheet={sheet} />
      </Hold>
      {panel === 'open' ? (
        <Side>
          <SideContent sheet={sheet} />
          <Hold what={WORDS.theNotices}>
            <Notices sheet={sheet} />
          </Hold>
        </Side>
      ) : (
        <Below>
          <Hold what={WORDS.theNotices}>
            <Notices sheet={sheet} />
          </Hold>
        </Below>
      )}
      <SheetPlace>
        <Hold what={WORDS.theSheet}>
          <Sheet onReady={ready} menu={otherChoices} />
        </Hold>
        {sheet && <Beginnings sheet={sheet} />}
      </SheetPlace>
      <Hold what={WORDS.theTitleBlock}>
        <TitleBlock controller={sheet} />
      </Hold>
      <LowerPanel />
      <PaperDialog sheet={sheet} />
      <FileDialog sheet={sheet} />
    </Grid>
  );
}

/** Whether what is in hand is put on what one selects. */
function useToolKeepsBench(sheet: SheetController | undefined): boolean {
  const follow = useCallback((changed: () => void) => sheet?.store.subscribe(changed) ?? (() => undefined), [sheet]);
  return useSyncExternalStore(
    follow,
    () => sheet?.store.getState().tool.keepsBench ?? false,
    () => false,
  );
}

/** The card of what is selected, else the bench of the stage: never both. */
function SideContent({ sheet }: { readonly sheet: SheetController | undefined }) {
  const stage = useEditorState((state) => state.stage);
  const selection = useEditorState((state) => state.selection);
  const { words, bench, checks } = stageOf(stage);
  const isBusy = useToolKeepsBench(sheet);
  if (useHasCard() && !isBusy)
    return (
      <Hold what={WORDS.theCard} again={[selection]}>
        <Card back={words} sheet={sheet}>
          {sheet && <ChangeFold sheet={sheet} />}
        </Card>
      </Hold>
    );
  return (
    <>
      <Bench aria-label={words}>
        <Hold what={WORDS.theBench} again={[stage]}>
          {bench(sheet)}
        </Hold>
      </Bench>
      {checks && (
        <Looked>
          <Hold what={WORDS.theBench} again={[stage]}>
            {checks()}
          </Hold>
        </Looked>
      )}
    </>
  );
}

const otherChoices = (controller: SheetController) => <SheetMenu controller={controller} />;

/** Where on the page a key was pressed. */
function placeOf(target: EventTarget | null): KeyPlace {
  if (target instanceof HTMLInputElement && target.type === 'text') return 'text';
  const isOnSheet =
    target === document.body || (target instanceof HTMLElement && target.closest('[aria-label="Sheet"]') !== null);
  if (isOnSheet) return 'sheet';
  return target instanceof HTMLButtonElement && !target.closest(OWN_ALL) ? 'button' : 'elsewhere';
}

/** What has rows of its own that all can be meant of, or stands over the page. */
const OWN_ALL = '[role=grid], [role=treegrid], [role=listbox], [role=menu], [role=dialog], table';

/** Does what a key means; returns whether nobody else has a use for it. */
function act(meaning: KeyMeaning, event: KeyboardEvent, editor: Editor, sheet: SheetController | undefined): boolean {
  switch (meaning) {
    case 'undo':
      editor.undo();
      return true;
    case 'redo':
      editor.redo();
      return true;
    case 'all': {
      const { tool } = sheet?.store.getState() ?? {};
      if (tool?.all) tool.all();
      else selectChosen(editor, inverted(editor.state.model, { nodes: [], members: [] }));
      return true;
    }
    case 'fold the panel':
      editor.show({ panel: editor.state.panel === 'open' ? 'folded' : 'open' });
      return true;
    case 'trace': {
      const refused = trace(editor);
      if (refused !== undefined) editor.refuse(refused);
      return false;
    }
    case 'next plane':
    case 'previous plane':
      sheet?.view.nextPlane(meaning === 'next plane' ? 1 : -1);
      return false;
    case 'heavier section':
    case 'lighter section':
      return stepSection(editor, meaning === 'heavier section' ? 'heavier' : 'lighter') === undefined;
    case 'for the tool':
      return sheet?.key(event) ?? false;
    case 'nothing':
      return false;
  }
}

/** Keys of the page, wherever the focus is. */
function useShortcuts(sheet: SheetController | undefined): void {
  const editor = useEditor();
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const { dialog, stage } = editor.state;
      // What lies over the page keeps all keys.
      if (dialog) return;
      const { key, ctrlKey, metaKey, altKey, shiftKey } = event;
      const pressed = { key, ctrlKey, metaKey, altKey, shiftKey, at: placeOf(event.target), stage };
      const meaning = meaningOfKey({ ...pressed, takesPlaces: sheet?.store.getState().tool.takesPlaces ?? false });
      if (act(meaning, event, editor, sheet)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [editor, sheet]);
}
