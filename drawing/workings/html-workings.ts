import type { WorkingsBlock, WorkingsStep } from '@rigid-beam/core/workings/blocks';
import { numberWords, type NumbersWay } from '@rigid-beam/core/workings/number-words';
import katex from 'katex';
import { escaped } from '../paper/svg-file';

interface Page {
  readonly title: string;
  readonly numbers: NumbersWay;
}

/** Whether a formula stands by itself or among words. */
export type MathWay = 'displayed' | 'in a line';

/** A formula as MathML, which browsers set by themselves. */
export const mathOf = (tex: string, way: MathWay = 'displayed'): string =>
  katex.renderToString(tex, { output: 'mathml', displayMode: way === 'displayed', throwOnError: true });

/** Workings as one page that needs nothing else: formulas in mathematical type, matrices with what stands at their rows and columns. */
export function workingsPage(steps: readonly WorkingsStep[], { title, numbers }: Page): string {
  const part = (way: 'written' | 'blank'): string =>
    steps.map(({ title: name, blocks }, i) => `<section><h2>${i + 1} ${escaped(name)}</h2>${blocks.map((block) => htmlOf(block, way)).join('')}</section>`).join(''); // oxfmt-ignore
  const ways = numbers === 'both' ? (['blank', 'written'] as const) : [numbers];
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escaped(title)}</title><style>${STYLE}</style></head><body><h1>${escaped(title)}</h1>${ways.map(part).join('<hr>')}</body></html>\n`;
}

/** A block as it stands on a page; blank ones have room where numbers would stand. */
export function htmlOf(block: WorkingsBlock, way: 'written' | 'blank'): string {
  switch (block.is) {
    case 'text':
      return `<p>${escaped(block.text)}</p>`;
    case 'formula':
      return `<div class="formula">${mathOf(block.tex)}</div>`;
    case 'table': {
      const head = block.columns.map((one) => `<th scope="col">${escaped(one)}</th>`).join('');
      const rows = block.rows.map((row) => `<tr>${row.map((cell, j) => `<td>${way === 'blank' && j > 0 && isSum(cell) ? '' : escaped(String(cell))}</td>`).join('')}</tr>`); // oxfmt-ignore
      return `<table class="list"><thead><tr>${head}</tr></thead><tbody>${rows.join('')}</tbody></table>`;
    }
    case 'matrix': {
      const head = block.columns.map((one) => `<th scope="col">${escaped(one)}</th>`).join('');
      const rows = block.values.map((row, i) => `<tr><th scope="row">${escaped(block.rows[i]!)}</th>${row.map((one) => `<td>${way === 'blank' ? '' : escaped(numberWords(one, block.way))}</td>`).join('')}</tr>`); // oxfmt-ignore
      return `<div class="matrix"><table><thead><tr><th>${mathOf(block.name.tex, 'in a line')}</th>${head}</tr></thead><tbody>${rows.join('')}</tbody></table></div>`;
    }
  }
}

/** What has to be worked out, of the cells of a list. */
const isSum = (cell: string | number): boolean => typeof cell === 'string' && cell.includes(' = ');

const STYLE = `
body { font: 15px/1.45 'IBM Plex Sans', sans-serif; color: #1d2730; max-width: 72rem; margin: 2rem auto; padding: 0 1rem }
h1 { font-size: 1.4rem } h2 { font-size: 1.1rem; margin-top: 2rem; border-bottom: 1px solid #c9c4b5 }
.formula { margin: .6rem 0; overflow-x: auto } .formula math { display: inline math } .formula mtable { border-left: 2px solid; border-right: 2px solid; padding: 0 .2rem } .matrix { overflow-x: auto; margin: .6rem 0 }
table { border-collapse: collapse; font-variant-numeric: tabular-nums } th { font-weight: 600; color: #56616a }
.matrix td { border: 1px solid #ddd8c9; padding: .15rem .5rem; text-align: right; min-width: 4.2rem; height: 1.4rem }
.matrix tbody { border-left: 2px solid #1d2730; border-right: 2px solid #1d2730 } .matrix th { padding: .15rem .5rem; text-align: right }
.list th, .list td { border-bottom: 1px solid #ddd8c9; padding: .15rem .8rem .15rem 0; text-align: left; vertical-align: top }
@media print { section { break-inside: auto } .matrix, .formula { break-inside: avoid } hr { break-after: page; border: 0 } }
`;
