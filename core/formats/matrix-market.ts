import type { SparseSymmetric } from '../linear-algebra/sparse-symmetric';

const comments = (lines: readonly string[]): string => lines.map((line) => `% ${line.replace(/[\r\n]/g, ' ')}\n`).join('');

/** A symmetric matrix in Matrix Market coordinate form: the lower triangle, counted from 1. */
export function symmetricMatrixMarket(a: SparseSymmetric, notes: readonly string[]): string {
  const lines: string[] = [];
  for (let j = 0; j < a.size; j++)
    for (let k = a.pointers[j]!; k < a.pointers[j + 1]!; k++) lines.push(`${j + 1} ${a.rows[k]! + 1} ${a.values[k]}`);
  return `%%MatrixMarket matrix coordinate real symmetric\n${comments(notes)}${a.size} ${a.size} ${lines.length}\n${lines.join('\n')}\n`;
}

/** Columns of equal length in Matrix Market array form. */
export function denseMatrixMarket(columns: readonly Float64Array[], notes: readonly string[]): string {
  const rows = columns[0]?.length ?? 0;
  return `%%MatrixMarket matrix array real general\n${comments(notes)}${rows} ${columns.length}\n${columns.map((column) => column.join('\n')).join('\n')}\n`;
}
