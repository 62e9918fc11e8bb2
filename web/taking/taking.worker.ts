import { membersOfLines } from '@rigid-beam/core/formats/dxf/members-of-lines';
import { readDxf, type Drawing } from '@rigid-beam/core/formats/dxf/read-dxf';
import { listed } from '@rigid-beam/core/sections/catalogue/listed';
import { shapeCalled } from '@rigid-beam/core/sections/catalogue/search';
import { readCsv } from '@rigid-beam/core/tables/files/read-csv';
import { understand, understoodAs } from '@rigid-beam/core/tables/taking/heads';
import { takeTables } from '@rigid-beam/core/tables/taking/take-tables';
import type { AskedTaking, TakingAnswers } from './asked';

// Reads files of tables and drawings, and says what becomes of their rows and lines, away from the page.

const catalogue = { listed, shapeCalled };
let last: Drawing | undefined;

async function read(file: File): Promise<ReturnType<typeof readCsv>> {
  if (!file.name.toLowerCase().endsWith('.xlsx')) return readCsv(await file.text(), file.name.replace(/\.[^.]*$/u, ''));
  const { readXlsx } = await import('@rigid-beam/core/tables/files/read-xlsx');
  return readXlsx(new Uint8Array(await file.arrayBuffer()));
}

async function answer(asked: AskedTaking): Promise<TakingAnswers[AskedTaking['do']]> {
  switch (asked.do) {
    case 'read': {
      const grids = await read(asked.file);
      return typeof grids === 'string' ? grids : grids.map((grid) => understand(grid, asked.model, catalogue));
    }
    case 'understand':
      return understoodAs(asked.table, asked.kind, asked.model, catalogue);
    case 'take':
      return takeTables(asked.model, asked.tables, asked.label, catalogue);
    case 'readDrawing': {
      const drawing = readDxf(await asked.file.text(), asked.part);
      last = typeof drawing === 'string' ? undefined : drawing;
      return drawing;
    }
    case 'members': {
      const layers = new Set(asked.layers);
      const lines = last?.lines.filter(({ layer }) => layers.has(layer)) ?? [];
      return membersOfLines(lines, asked.space, asked.asked);
    }
  }
}

self.addEventListener('message', ({ data }: MessageEvent<Partial<{ id: number; asked: AskedTaking }>>) => {
  if (data.asked)
    void answer(data.asked).then(
      (found) => self.postMessage({ id: data.id, found }),
      (fault: unknown) => self.postMessage({ id: data.id, fault: fault instanceof Error ? fault.message : String(fault) }),
    );
});
