import type { Table } from '@rigid-beam/core/tables/column';
import type { ReportPicture } from '@rigid-beam/core/model/report';
import type { Figure } from '../paper/figure';
import type { Picture } from './picture';

export type Facts = readonly (readonly [name: string, value: string])[];

/** What a report is made of, whatever file it is put into. A table is of rows that only it knows. */
export type Block =
  | { readonly is: 'heading'; readonly level: 1 | 2; readonly text: string }
  | { readonly is: 'words'; readonly text: string }
  /** A formula in the notation of TeX, and as it is written in one line of text. */
  | { readonly is: 'formula'; readonly tex: string; readonly plain: string }
  | { readonly is: 'list'; readonly items: readonly string[] }
  | { readonly is: 'facts'; readonly facts: Facts }
  | { readonly is: 'table'; readonly table: Table<never> }
  | { readonly is: 'figure'; readonly figure: Figure; readonly caption: string }
  | { readonly is: 'picture'; readonly picture: Picture; readonly caption: string }
  /** A picture of the user's own, with its size in pixels. */
  | { readonly is: 'image'; readonly image: ReportPicture }
  /** A picture with facts beside it. */
  | { readonly is: 'card'; readonly title: string; readonly picture?: Picture; readonly facts: Facts }
  | { readonly is: 'listing'; readonly text: string };

export const heading = (level: 1 | 2, text: string): Block => ({ is: 'heading', level, text });
export const words = (text: string): Block => ({ is: 'words', text });
/** A table, or nothing where it has no rows. */
export const table = <R>(one: Table<R> | undefined): Block[] =>
  one && one.rows.length > 0 ? [{ is: 'table', table: one as unknown as Table<never> }] : [];
