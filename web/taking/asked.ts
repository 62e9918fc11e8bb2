import type { LinesAsked, MembersOfLines } from '@rigid-beam/core/formats/dxf/members-of-lines';
import type { Drawing } from '@rigid-beam/core/formats/dxf/read-dxf';
import type { Model } from '@rigid-beam/core/model/model';
import type { Taken } from '@rigid-beam/core/tables/taking/take-tables';
import type { Understood } from '@rigid-beam/core/tables/taking/heads';
import type { TakableKind } from '@rigid-beam/core/tables/taking/takable';

/** What is asked of the worker that reads files of tables and drawings. */
export type AskedTaking =
  | { readonly do: 'read'; readonly file: File; readonly model: Model }
  | { readonly do: 'understand'; readonly table: Understood; readonly kind: TakableKind | undefined; readonly model: Model }
  | { readonly do: 'take'; readonly tables: readonly Understood[]; readonly label: string; readonly model: Model }
  | { readonly do: 'readDrawing'; readonly file: File; readonly part: number }
  /** Of the drawing that was read last, what stands on these layers. */
  | { readonly do: 'members'; readonly layers: readonly string[]; readonly space: Model['space']; readonly asked: LinesAsked };

/** What it answers to each: tables as they are understood, or why there are none; one table anew; what becomes of them. */
export interface TakingAnswers {
  readonly read: readonly Understood[] | string;
  readonly understand: Understood;
  readonly take: Taken;
  readonly readDrawing: Drawing | string;
  readonly members: MembersOfLines;
}
