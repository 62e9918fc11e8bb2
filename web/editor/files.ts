import type { Format } from '@rigid-beam/core/formats/format';
import { fileNameOf } from '@rigid-beam/core/formats/registry';
import { keepFile } from '../browser/keep-file';
import type { PaperAsked, PaperFound, ReportFound, ReportWanted } from '../solver/paper/asked';
import type { SolvingClient } from '../solver/solving-client';
import type { EditorState } from './editor-state';
import { files as WORDS } from './words';

interface Desk {
  readonly state: () => EditorState;
  readonly refuse: (message: string) => void;
  readonly remark: (words: readonly string[]) => void;
}

/** Files that take an analysis: they are made by the worker that has it. */
export class Files {
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly client: SolvingClient,
    private readonly desk: Desk,
  ) {}

  /** Writes a file of the model and lets the browser keep it. */
  async save(format: Format): Promise<void> {
    const file = await this.made(() => this.client.write(format.id));
    if ('refused' in file) return this.desk.refuse(file.refused);
    keepFile(fileNameOf(this.desk.state().model, format), file.content, format.mediaType);
    if (file.notes.length > 0) this.desk.remark([WORDS.saved(format.words), ...file.notes]);
  }

  /** The model on paper, or why it is not. */
  readonly draw = (asked: PaperAsked): Promise<PaperFound> => this.made(() => this.client.draw(asked));

  /** A calculation report, or why there is none; `told` hears what is being drawn. */
  readonly report = (wanted: ReportWanted, told: (what: string) => void): Promise<ReportFound> =>
    this.made(() => this.client.calculationReport(wanted, told));

  /** One after the other, and after the model is solved: what is asked for meanwhile waits, for so long as one would. */
  private made<T>(work: () => Promise<T | undefined>): Promise<T | { readonly refused: string }> {
    const now = this.last.then(() => patiently(work));
    this.last = now;
    return now;
  }

  /** Lets the browser keep a drawing or a report of the model. */
  keep(content: Blob, kind: string): void {
    keepFile(fileNameOf(this.desk.state().model, { extension: `.${kind}` }), content, content.type);
  }
}

/** Tries, and milliseconds between them, while the model is being solved. */
const TRIES = 30;
const PAUSE = 300;

async function patiently<T>(work: () => Promise<T | undefined>): Promise<T | { readonly refused: string }> {
  try {
    for (let i = 0; i < TRIES; i++) {
      const found = await work();
      if (found !== undefined) return found;
      await new Promise((resolve) => setTimeout(resolve, PAUSE));
    }
    return { refused: WORDS.stillSolving };
  } catch (error) {
    return { refused: WORDS.notWritten((error as Error).message) };
  }
}
