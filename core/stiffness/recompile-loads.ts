import { expandLoads, sameSolvedCases, solvedCasesOf } from '../model/loads/expand';
import { isNotional } from '../model/loads/notional';
import type { MemberLoad, PrimitiveLoad } from '../model/loads/primitive';
import type { Model } from '../model/model';
import { tableOf, valuesOf, weightValues, type LoadFrame, type Loads, type TableName } from './compile-loads';
import { originOf } from './member-rows';
import { LOAD_TABLES, type MemberLoadTable, type Structure } from './structure';

/** What was compiled before. */
interface Former {
  readonly model: Model;
  readonly structure: Structure;
}

/** A row of a table to be written anew; `load` is -1 for self weight. */
interface Row {
  readonly name: TableName;
  readonly member: number;
  readonly row: number;
  readonly load: number;
}

/**
 * The tables of `former` with only those rows written anew whose load changed, or whose member did (`changed`); undefined where more
 * is different than the sizes and places of loads on members, and where members lie. `reloaded`: the members of those rows. `weightOf`: N/m of a member for a self-weight
 * factor of 1.
 */
export function recompileLoads(
  model: Model,
  former: Former,
  frame: LoadFrame,
  changed: readonly number[],
  weightOf: (m: number) => number,
): { readonly loads: Loads; readonly reloaded: readonly number[] } | undefined {
  const before = former.model;
  if (model.gravity !== before.gravity || !sameSolvedCases(model, before)) return undefined;
  // Rows of weight that is put sideways are not told from those of weight.
  if (model.loads.some(isNotional) || before.loads.some(isNotional)) return undefined;
  const { loads } = expandLoads(model);
  const edited = editedRows(loads, former);
  if (!edited || changed.some((m) => isReplaced(model, before, m))) return undefined;
  const { nodeLoads, settlements, lineLoads, pointLoads, strains } = former.structure;
  const tables = { lineLoads, pointLoads, strains };
  const rows = [...edited, ...rowsOn(changed, tables)];
  if (rows.length === 0) return { loads: { nodeLoads, settlements, ...tables }, reloaded: [] };
  const solved = solvedCasesOf(model);
  const alphas = new Map(model.materials.map((material) => [material.id, material.alpha ?? 0]));
  for (const { name, member, row, load } of rows) {
    if (tables[name] === former.structure[name]) tables[name] = withOwnValues(tables[name]);
    const { values, width, cases } = tables[name];
    const written =
      load < 0
        ? weightValues(frame, member, (solved[cases[row]!]!.selfWeight ?? 0) * weightOf(member))
        : valuesOf(model, frame, alphas, member, loads[load] as MemberLoad);
    values.set(written, row * width);
  }
  return { loads: { nodeLoads, settlements, ...tables }, reloaded: [...new Set(rows.map(({ member }) => member))] };
}

/** Whether a member weighs or expands differently. */
function isReplaced(model: Model, before: Model, m: number): boolean {
  const [member, old] = [model.members[m]!, before.members[m]!];
  return member.section !== old.section || member.material !== old.material;
}

/** The rows of the loads that were edited; undefined where one is not what it was on the same member in the same case. */
function editedRows(loads: readonly PrimitiveLoad[], { model, structure }: Former): Row[] | undefined {
  const { loads: before } = expandLoads(model);
  if (loads === before) return [];
  if (loads.length !== before.length) return undefined;
  const rows: Row[] = [];
  let members: Map<string, number> | undefined;
  for (let i = 0; i < loads.length; i++) {
    const load = loads[i]!;
    const old = before[i]!;
    if (load === old) continue;
    if (!('member' in load) || !('member' in old)) return undefined;
    const name = tableOf(load);
    if (load.member !== old.member || load.case !== old.case || name !== tableOf(old)) return undefined;
    members ??= new Map(structure.names.members.map((id, m) => [id, m]));
    rows.push({ name, member: members.get(load.member)!, row: originOf.get(structure[name])!.rows[i]!, load: i });
  }
  return rows;
}

/** All rows on some members. */
function rowsOn(members: readonly number[], tables: Readonly<Record<TableName, MemberLoadTable>>): Row[] {
  const rows: Row[] = [];
  for (const name of LOAD_TABLES) {
    const { first } = tables[name];
    const { loads } = originOf.get(tables[name])!;
    for (const member of members)
      for (let row = first[member]!; row < first[member + 1]!; row++) rows.push({ name, member, row, load: loads[row]! });
  }
  return rows;
}

function withOwnValues(table: MemberLoadTable): MemberLoadTable {
  const copy = { ...table, values: table.values.slice() };
  originOf.set(copy, originOf.get(table)!);
  return copy;
}
