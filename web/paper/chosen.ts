import { readRatio } from '@rigid-beam/drawing/paper/ratios';
import { paperInks, type PaperInks, type Said } from '@rigid-beam/drawing/paper/asked';
import { papers, paperWays, type Paper, type PaperWay } from '@rigid-beam/drawing/paper/sizes';
import type { Subject } from '@rigid-beam/drawing/paper/subjects';

/** A sheet in the list: what the screen shows, or something of an outcome, by its id. */
export type ListedSheet =
  | { readonly key: string; readonly is: 'view' }
  | { readonly key: string; readonly is: 'subject'; readonly subject: Subject; readonly outcome: string | undefined };

/** How somebody puts a model on paper; the browser keeps it. */
export interface PaperChosen {
  readonly paper: Paper;
  readonly way: PaperWay;
  readonly inks: PaperInks;
  /** As it is typed; nothing where the largest is wanted that fits. */
  readonly scale: string;
  readonly dots: number;
  readonly said: Said;
}

export const DOTS = ['96', '150', '300'] as const;
const FIRST: PaperChosen = { paper: 'A3', way: 'across', inks: 'colour', scale: '', dots: 150, said: {} };

const keyOf = (model: string): string => `rigid-beam:paper:${model}`;

/** What was kept for a model; what a title block says begins with what its project is called. */
export function keptChoice(model: string, project: Pick<Said, 'project' | 'number'>): PaperChosen {
  const first = { ...FIRST, said: project };
  try {
    const found = JSON.parse(localStorage.getItem(keyOf(model)) ?? '{}') as Partial<Record<keyof PaperChosen, unknown>>;
    const one = <T>(all: readonly T[], value: unknown, otherwise: T): T => all.find((each) => each === value) ?? otherwise;
    const said = typeof found.said === 'object' && found.said !== null ? (found.said as Record<string, unknown>) : {};
    const texts = Object.entries(said).filter(([key, text]) => SAID.includes(key as keyof Said) && typeof text === 'string');
    return {
      paper: one(papers, found.paper, first.paper),
      way: one(paperWays, found.way, first.way),
      inks: one(paperInks, found.inks, first.inks),
      scale: typeof found.scale === 'string' && typeof readRatio(found.scale) === 'number' ? found.scale : first.scale,
      dots: one(DOTS.map(Number), found.dots, first.dots),
      said: { ...project, ...Object.fromEntries(texts) },
    };
  } catch {
    return first;
  }
}
const SAID: readonly (keyof Said)[] = ['project', 'number', 'date', 'revision'];

export function keepChoice(model: string, chosen: PaperChosen): void {
  try {
    localStorage.setItem(keyOf(model), JSON.stringify(chosen));
  } catch {
    // A browser that keeps nothing begins anew.
  }
}

/** Further sheets behind those that are there; what is there already stays once. */
export function withSheets(
  sheets: readonly ListedSheet[],
  subject: Subject,
  outcomes: readonly (string | undefined)[],
): readonly ListedSheet[] {
  const known = new Set(sheets.map(({ key }) => key));
  const more = outcomes.map((outcome): ListedSheet => ({ key: `${subject} ${outcome ?? ''}`, is: 'subject', subject, outcome }));
  return [...sheets, ...more.filter(({ key }) => !known.has(key))];
}
