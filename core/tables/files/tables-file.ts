import { solve } from '../../analysis/session';
import type { MadeFile, Refusal, Stage } from '../../formats/made-file';
import type { Model } from '../../model/model';
import type { Results } from '../../results/results';
import { askedTable, isTableName, tableNames, type TableName } from '../asked';
import type { Table } from '../column';
import { tablesFile as WORDS } from '../words';
import { csvParts, type DecimalMark } from './csv';
import { jsonParts } from './json';

export const tableKinds = ['csv', 'xlsx', 'json'] as const;
export type TableKind = (typeof tableKinds)[number];

/** Tables as somebody asks for them, in words. */
export interface TablesAsked {
  /** As they are typed, with commas between several. */
  readonly names: string;
  readonly kind: TableKind;
  readonly outcome?: string | undefined;
  readonly each?: boolean | undefined;
  readonly places: number;
  readonly where?: string | undefined;
  /** A column, with a minus downwards. */
  readonly sort?: string | undefined;
  readonly decimal: DecimalMark;
}

const MEDIA: Readonly<Record<TableKind, string>> = {
  csv: 'text/csv; charset=utf-8',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  json: 'application/json',
};

/** Names of tables as they are typed: memberExtremes is member-extremes. */
const typed = (name: string): string => name.replace(/[A-Z]/gu, (letter) => `-${letter.toLowerCase()}`);
const named = (name: string): string => name.replace(/-([a-z])/gu, (_, letter: string) => letter.toUpperCase());
export const typedTables: readonly string[] = tableNames.map(typed);

/** A file of tables of a model or of its results; several of them are sheets of one file. */
export async function tablesFile(
  model: Model,
  asked: TablesAsked,
  told: (stage: Stage) => void = () => undefined,
): Promise<MadeFile | Refusal> {
  const { kind, places, outcome, where, decimal } = asked;
  const wanted = asked.names.split(',').map((name) => named(name.trim()));
  const unknown = wanted.find((name) => !isTableName(name));
  if (unknown !== undefined) return { words: WORDS.noTable(typed(unknown), typedTables.join(', ')) };
  if (wanted.length > 1 && kind !== 'xlsx') return { words: WORDS.severalAreSheets };
  let results: Results | undefined;
  const solved = (): Results => {
    if (!results) told('solving');
    return (results ??= solve(model));
  };
  const [, sense = '', key] = /^(-?)(.+)$/u.exec(asked.sort ?? '') ?? [];
  const all: Table<never>[] = [];
  for (const name of wanted as TableName[]) {
    const found = askedTable(model, solved, {
      ...{ name, places, of: asked.each ? 'each of its parts' : 'itself' },
      ...(outcome !== undefined && { outcome }),
      ...(where !== undefined && { where }),
      ...(key !== undefined && { sorted: { key, way: sense === '-' ? -1 : 1 } }),
    });
    if (typeof found === 'string') return { words: found };
    all.push(found);
  }
  told('writing');
  // What writes workbooks is large.
  const parts =
    kind === 'xlsx'
      ? [await (await import('./xlsx')).xlsxFile(all)]
      : kind === 'json'
        ? jsonParts(all[0]!)
        : csvParts(all[0]!, decimal);
  return { mediaType: MEDIA[kind], extension: `.${kind}`, parts, notes: [] };
}
