import type { Intent } from '@rigid-beam/core/model/edits/intent';
import type { Model } from '@rigid-beam/core/model/model';
import type { Notice } from '@rigid-beam/core/model/notice';
import type { RevisionKind } from '@rigid-beam/core/model/edits/revision';
import type { RemediedMechanism } from '@rigid-beam/core/analysis/remedies';
import type { Results } from '@rigid-beam/core/results/results';
import type { Subject } from '@rigid-beam/drawing/display-list';
import type { SheetQuantity } from '@rigid-beam/drawing/view';
import { LIVELY } from '@rigid-beam/drawing/level-of-detail';
import { NOTHING_HIDDEN } from '@rigid-beam/drawing/geometry';
import type { SolveProgress } from '../solver/solver.worker';
import { historyOf, type History, type Step } from './history';
import type { StorageState } from './storage';
import { keptView, type KeptView } from './kept-view';
import type { Brought } from './brought';
import { placeOfAddress, type Place } from './view-state';
import { editorState as WORDS } from './words';

/** The model as the server gave it when the page was opened. */
export interface Opened {
  readonly id: string;
  readonly projectId: string;
  readonly projectName: string;
  readonly projectNumber: string;
  readonly revision: number;
  readonly model: Model;
  readonly history: readonly (Step & { readonly kind: RevisionKind })[];
}

/**
 * A model as it comes to the page: its content is one text (JSON), which a browser reads many times faster than objects in the page's own
 * writing, and which goes on to the solver as it is.
 */
export interface Sent extends Omit<Opened, 'model'> {
  readonly content: string;
  /** Hashes of pictures that the content only names: they are fetched before it is opened. */
  readonly pictures?: readonly string[];
}

/** An edit that was not stored, with why; what it was is kept for copying. */
export interface Clash {
  readonly label: string;
  readonly words: string;
  readonly intent: Intent;
}

/** A model and its own results: what the sheet draws. Results are absent while they are not ready. */
export interface Drawn {
  readonly model: Model;
  readonly results?: Results;
  readonly milliseconds?: number;
}

/** A model that could not be solved for a reason that lies in the program. */
export const unsolved = (model: Model, failure: string): Drawn => ({
  model,
  results: {
    status: 'invalid',
    notices: [{ code: 'program', severity: 'error', message: WORDS.nothingWasSolved(failure), subjects: [] }],
    mechanisms: [],
  },
});

/** An edit that is only kept when someone says so, once the structure turns out to be unstable with it. */
export interface Proposal {
  readonly intent: Intent;
  readonly label: string;
  readonly model: Model;
  readonly isUnstable: boolean;
}

export interface EditorState extends Place {
  readonly projectName: string;
  readonly projectNumber: string;
  readonly model: Model;
  /** The model while something is dragged; not stored yet. */
  readonly preview: Model | undefined;
  /** An edit that waits to be kept: it is shown and solved, and nobody knows yet whether the structure stands with it. */
  readonly proposal: Proposal | undefined;
  readonly drawn: Drawn;
  /** The same for the rest of the page, which follows a drag only in structures small enough. */
  readonly settled: Drawn;
  /** How far the solution is, while it takes its time; `stopped` once it was given up by hand. */
  readonly progress: SolveProgress | 'stopped' | undefined;
  /** How far the reading of the acting envelope is, 0 to 1, while it is read. */
  readonly reading: number | undefined;
  readonly storage: StorageState;
  readonly history: History;
  readonly selection: readonly Subject[];
  /** Why the last edit was refused. */
  readonly refusal: readonly Notice[];
  /** What the last edit left out. */
  readonly remarks: readonly string[];
  /** What the last shape brought with it. */
  readonly brought: Brought | undefined;
  /** Edits that could not be put on top of a newer state: they are told until they have been read. */
  readonly clashes: readonly Clash[];
  readonly diagramFactor: number;
  /** The scale of deflections that holds while something is in hand. */
  readonly heldDeflection: number | undefined;
  /** What the structure suggests to look at: the quantity that it opens on, and how axial forces are drawn. */
  readonly suggestion: Suggestion | undefined;
  /** Keys of the nodes and members that are not shown. */
  readonly hidden: ReadonlySet<string>;
  /** Of several motions that nothing resists, the place of the one that is drawn; the first one otherwise. */
  readonly shownMotion: number | 'held' | undefined;
  /** What would stop the mechanisms of a model, once it is found. */
  readonly remedies: { readonly model: Model; readonly mechanisms: readonly RemediedMechanism[] } | undefined;
  /** What the drawer under the sheet shows. */
  readonly drawer: DrawerContent | undefined;
  /** Whether the side panel and the sketches of the cases are open or folded away. */
  readonly panel: 'open' | 'folded';
  readonly strip: 'open' | 'folded';
  /** While something is selected the panel shows its card; the bench can be called back over it. */
  readonly side: 'card' | 'bench';
  /** The typical structure that is being measured out, to be placed. */
  readonly typical: string | undefined;
}

/** Lists of the model that have a schedule. */
export const scheduleLists = ['nodes', 'members', 'sections', 'materials', 'supports', 'loads'] as const;
export type ScheduleList = (typeof scheduleLists)[number];

/** A schedule, or the diagrams of a member at a size that can be read. */
export type DrawerContent = ScheduleList | 'charts';

export interface Suggestion {
  readonly quantity: SheetQuantity;
  readonly axial: 'bars' | 'diagrams';
}

/** The quantity that is looked at: the chosen one, or what the structure suggests. */
export const quantityOf = ({ quantity, suggestion }: Pick<EditorState, 'quantity' | 'suggestion'>): SheetQuantity =>
  quantity ?? suggestion?.quantity ?? 'Mz';

/** What of the state only switches the view. */
export type Shown = Pick<
  EditorState,
  'diagramFactor' | 'hidden' | 'drawer' | 'panel' | 'strip' | 'side' | 'typical' | 'projectNumber'
>;

/** Whether a part of a large structure is being dragged: then only members and diagrams move along, and the page waits. */
export const isHeld = ({ preview, proposal, model }: EditorState): boolean =>
  preview !== undefined && !proposal && model.members.length > LIVELY;

/** Index of what acts: the outcome that the address names, or else the first one. */
export function actingIndex({ drawn, acting }: Pick<EditorState, 'drawn' | 'acting'>): number {
  const all = drawn.results?.solution?.outcomes ?? [...drawn.model.cases, ...drawn.model.combinations];
  return Math.max(
    0,
    all.findIndex(({ id }) => id === acting),
  );
}

/** What an address does not say is as it was when the model was looked at last. */
export const withKept = (place: Place, { quantity, stages }: KeptView): Place => ({
  ...place,
  quantity: place.quantity ?? quantity,
  switches: { ...stages?.[place.stage], ...place.switches },
});

/** A window in which the panel would lie over the sheet: there it comes when it is called. */
export const NARROW = '(max-width: 52rem)';
const isNarrow = (): boolean => typeof window !== 'undefined' && window.matchMedia(NARROW).matches;

/** What a page begins with: the stored model, at the place that the address names. */
export const beginning = (opened: Opened, search: string): EditorState => ({
  ...withKept(placeOfAddress(search), keptView(opened.id)),
  projectName: opened.projectName,
  projectNumber: opened.projectNumber,
  model: opened.model,
  preview: undefined,
  proposal: undefined,
  drawn: { model: opened.model },
  settled: { model: opened.model },
  progress: undefined,
  reading: undefined,
  storage: { status: 'stored' },
  history: historyOf(opened.history),
  selection: [],
  refusal: [],
  clashes: [],
  remarks: [],
  brought: undefined,
  diagramFactor: 1,
  heldDeflection: undefined,
  suggestion: undefined,
  hidden: NOTHING_HIDDEN,
  drawer: undefined,
  panel: isNarrow() ? 'folded' : 'open',
  strip: 'open',
  side: 'card',
  typical: undefined,
  shownMotion: undefined,
  remedies: undefined,
});
