import { numberWords } from './number-words';
import type { WorkingsBlock, WorkingsStep } from './blocks';

/** Workings as plain text, numbers under each other. */
export const workingsText = (steps: readonly WorkingsStep[]): string =>
  steps.map(({ title, blocks }, i) => [`${i + 1}  ${title}`, '', ...blocks.flatMap((block) => [...linesOf(block), ''])].join('\n')).join('\n'); // oxfmt-ignore

function linesOf(block: WorkingsBlock): readonly string[] {
  switch (block.is) {
    case 'text':
      return [block.text];
    case 'formula':
      return [`    ${block.plain}`];
    case 'table':
      return inColumns([block.columns, ...block.rows.map((row) => row.map(String))], 'left');
    case 'matrix': {
      const { name, rows, columns, values } = block;
      return inColumns([[name.plain, ...columns], ...values.map((row, i) => [rows[i]!, ...row.map((one) => numberWords(one, block.way))])], 'right'); // oxfmt-ignore
    }
  }
}

function inColumns(rows: readonly (readonly string[])[], side: 'left' | 'right'): readonly string[] {
  const widths = (rows[0] ?? []).map((_, j) => Math.max(...rows.map((row) => [...row[j]!].length)));
  const padded = (text: string, j: number): string => {
    const space = ' '.repeat(widths[j]! - [...text].length);
    return side === 'left' || j === 0 ? text + space : space + text;
  };
  return rows.map((row) => `  ${row.map(padded).join('  ')}`.trimEnd());
}
