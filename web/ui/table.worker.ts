import * as Comlink from 'comlink';
import type { CellValue, Column } from '@rigid-beam/core/tables/column';
import { csvParts } from '@rigid-beam/core/tables/files/csv';

// Writes a table as a file away from the page, which gives it the rows as it reads them.

type Cells = readonly CellValue[];
export type TableKind = 'csv' | 'xlsx';
export type Head = Pick<Column<never>, 'key' | 'title' | 'unit'>;

let table: { readonly title: string; readonly columns: readonly Column<Cells>[]; readonly rows: Cells[] };
let written: string[] = [];
let as: TableKind;

const writer = {
  begin(title: string, heads: readonly Head[], kind: TableKind): void {
    table = { title, columns: heads.map((head, i) => ({ ...head, value: (cells) => cells[i] })), rows: [] };
    [written, as] = [[], kind];
  },

  add(rows: readonly Cells[]): void {
    if (as === 'xlsx') for (const row of rows) table.rows.push(row);
    else {
      const [head, ...body] = csvParts({ ...table, rows }, 'point');
      written.push(...(written.length === 0 ? [head!] : []), ...body);
    }
  },

  async file(): Promise<Blob> {
    if (as === 'csv') {
      if (written.length === 0) writer.add([]);
      return new Blob(written, { type: 'text/csv;charset=utf-8' });
    }
    const { xlsxFile } = await import('@rigid-beam/core/tables/files/xlsx');
    const type = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
    return new Blob([(await xlsxFile([table as never])) as BlobPart], { type });
  },
};

export type TableWriter = typeof writer;
Comlink.expose(writer);
