import { schedules } from '@rigid-beam/core/tables/schedules/lists';
import { writeCells } from '@rigid-beam/core/tables/schedules/write-cells';
import { make, type Command } from './command';
import { chosenOf } from '../editor/chosen';

/** Cells of a schedule by their names: `x of 3, 4 to 4.5`, `section of the selection to tube`. */
export const scheduleCommands: readonly Command[] = (['nodes', 'members'] as const).map((list): Command => ({
  name: `Write into ${list}`,
  changes: true,
  notation:
    list === 'nodes'
      ? '{X} of 3, 4 to 4.5 · support of the selection to pinned'
      : 'section of a, b to tube · behaviour of the selection to truss',
  run: (sheet, text) => {
    const { model, selection } = sheet.editor.state;
    const columns = schedules[list].columns(model).filter(({ computed }) => !computed);
    const [, title, rows, value] = /^(.+?)\s+of\s+(.+?)\s+to\s+(.+)$/i.exec(text) ?? [];
    if (title === undefined || rows === undefined || value === undefined) return 'Write: x of 3, 4 to 4.5';
    const wanted = title.toLowerCase();
    const column =
      columns.find((one) => one.title.toLowerCase() === wanted) ?? columns.find((one) => one.key.toLowerCase() === wanted);
    if (!column) return `There is no column “${title}”. Columns are: ${columns.map((one) => one.title).join(', ')}.`;
    const ids = /^the selection$/i.test(rows) ? chosenOf(selection)[list] : rows.split(',').map((id) => id.trim());
    if (ids.length === 0) return `No ${list} are selected.`;
    const written = writeCells(
      model,
      list,
      ids.map((row) => ({ row, column: column.key, text: value })),
    );
    return written.ok ? make(sheet, written.intent) : written.reason;
  },
}));
