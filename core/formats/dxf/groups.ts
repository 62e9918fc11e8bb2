/** A code and its value, as they stand in two lines of the file; `line`: that of the code, counted from 1. */
export interface Group {
  readonly code: number;
  readonly value: string;
  readonly line: number;
}

/** What stands between two codes 0: its kind, and its groups. */
export interface Entity {
  readonly kind: string;
  readonly line: number;
  readonly groups: readonly Group[];
}

/**
 * The entities of a file in text form, one after the other; sections, blocks and their ends are such as well. Stops at what is no code, and says at
 * which line.
 */
export function entitiesOf(text: string): { readonly entities: readonly Entity[]; readonly brokenAt?: number } {
  const entities: { kind: string; line: number; groups: Group[] }[] = [];
  const lines = text.split(/\r\n|\r|\n/u);
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const said = lines[i]!.trim();
    if (!/^\d{1,4}$/u.test(said)) return { entities, brokenAt: i + 1 };
    const group = { code: Number(said), value: lines[i + 1]!.trim(), line: i + 1 };
    if (group.code === 0) entities.push({ kind: group.value, line: group.line, groups: [] });
    else entities.at(-1)?.groups.push(group);
    if (group.code === 0 && group.value === 'EOF') break;
  }
  return { entities };
}

/** The value of a code as a number; what is none is NaN, and what does not stand there is `otherwise`. */
export function numberOf({ groups }: Entity, code: number, otherwise = 0): number {
  const found = groups.find((group) => group.code === code);
  return found === undefined ? otherwise : found.value === '' ? NaN : Number(found.value);
}

export const textOf = ({ groups }: Entity, code: number): string | undefined =>
  groups.find((group) => group.code === code)?.value;
