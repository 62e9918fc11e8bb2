import * as Comlink from 'comlink';
import { membersOfLines, type LinesAsked, type MembersOfLines } from '@rigid-beam/core/formats/dxf/members-of-lines';
import { readDxf, type Drawing } from '@rigid-beam/core/formats/dxf/read-dxf';
import type { Model } from '@rigid-beam/core/model/model';
import { listed } from '@rigid-beam/core/sections/catalogue/listed';
import { shapeCalled } from '@rigid-beam/core/sections/catalogue/search';
import { readCsv } from '@rigid-beam/core/tables/files/read-csv';
import type { Grids } from '@rigid-beam/core/tables/taking/grid';
import { understand, understoodAs, type Understood } from '@rigid-beam/core/tables/taking/heads';
import type { TakableKind } from '@rigid-beam/core/tables/taking/takable';
import { takeTables, type Taken } from '@rigid-beam/core/tables/taking/take-tables';

// Reads files of tables and drawings, and says what becomes of their rows and lines, away from the page.

const catalogue = { listed, shapeCalled };
let last: Drawing | undefined;

async function gridsOf(file: File): Promise<Grids> {
  if (!file.name.toLowerCase().endsWith('.xlsx')) return readCsv(await file.text(), file.name.replace(/\.[^.]*$/u, ''));
  const { readXlsx } = await import('@rigid-beam/core/tables/files/read-xlsx');
  return readXlsx(new Uint8Array(await file.arrayBuffer()));
}

const reader = {
  /** The tables of a file as they are understood, or why there are none. */
  async tables(file: File, model: Model): Promise<readonly Understood[] | string> {
    const grids = await gridsOf(file);
    return typeof grids === 'string' ? grids : grids.map((grid) => understand(grid, model, catalogue));
  },

  /** A table once more, as another kind. */
  understoodAs: (table: Understood, kind: TakableKind | undefined, model: Model): Understood =>
    understoodAs(table, kind, model, catalogue),

  /** What becomes of tables. */
  taken: (tables: readonly Understood[], label: string, model: Model): Taken => takeTables(model, tables, label, catalogue),

  /** A drawing, or why there is none. */
  async drawing(file: File, part: number): Promise<Drawing | string> {
    const drawing = readDxf(await file.text(), part);
    last = typeof drawing === 'string' ? undefined : drawing;
    return drawing;
  },

  /** Of the drawing that was read last, what becomes of the lines on these layers. */
  members(layers: readonly string[], space: Model['space'], asked: LinesAsked): MembersOfLines {
    const wanted = new Set(layers);
    return membersOfLines(last?.lines.filter(({ layer }) => wanted.has(layer)) ?? [], space, asked);
  },
};

export type TakingReader = typeof reader;
Comlink.expose(reader);
