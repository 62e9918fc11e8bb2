/** Freedoms of a node: ux, uy, uz, rx, ry, rz. A plane structure uses ux, uy, rz (`active`); the others stay 0. */
export const FREEDOMS = 6;

/** Six numbers on some nodes in some cases: those of case c are the rows `first[c]…first[c+1]-1`, each node once. */
export interface NodalTable {
  readonly first: Int32Array;
  readonly nodes: Int32Array;
  /** 6 numbers a row. */
  readonly values: Float64Array;
}

/** A table from numbers that are added case by case. */
export class NodalRows {
  private readonly cases: Map<number, Float64Array>[];

  constructor(cases: number) {
    this.cases = Array.from({ length: cases }, () => new Map());
  }

  add(c: number, node: number, parts: readonly (number | undefined)[]): void {
    const rows = this.cases[c]!;
    let row = rows.get(node);
    if (!row) rows.set(node, (row = new Float64Array(FREEDOMS)));
    for (let k = 0; k < FREEDOMS; k++) row[k]! += parts[k] ?? 0;
  }

  table(): NodalTable {
    const first = Int32Array.from([0, ...this.cases.map(({ size }) => size)]);
    for (let c = 1; c < first.length; c++) first[c]! += first[c - 1]!;
    const nodes = new Int32Array(first.at(-1)!);
    const values = new Float64Array(FREEDOMS * nodes.length);
    let row = 0;
    for (const rows of this.cases)
      for (const [node, parts] of rows) {
        nodes[row] = node;
        values.set(parts, FREEDOMS * row++);
      }
    return { first, nodes, values };
  }
}

/** Whether no node has anything in case c. */
export const isBare = ({ first }: NodalTable, c: number): boolean => first[c] === first[c + 1];

/** Adds what the nodes have in case c to 6 numbers for each node. */
export function addNodal({ first, nodes, values }: NodalTable, c: number, to: Float64Array, at = 0): void {
  for (let row = first[c]!; row < first[c + 1]!; row++)
    for (let k = 0; k < FREEDOMS; k++) to[at + FREEDOMS * nodes[row]! + k]! += values[FREEDOMS * row + k]!;
}

/** Whether two tables hold the same in case c. */
export function sameNodal(a: NodalTable, b: NodalTable, c: number): boolean {
  if (a === b) return true;
  const [i, j] = [a.first[c]!, b.first[c]!];
  const count = a.first[c + 1]! - i;
  if (b.first[c + 1]! - j !== count) return false;
  for (let row = 0; row < count; row++) {
    if (a.nodes[i + row] !== b.nodes[j + row]) return false;
    for (let k = 0; k < FREEDOMS; k++)
      if (a.values[FREEDOMS * (i + row) + k] !== b.values[FREEDOMS * (j + row) + k]) return false;
  }
  return true;
}
