import { cellWords, type Table } from '@rigid-beam/core/tables/column';
import { withPowers } from '@rigid-beam/core/quantities/with-powers';
import { escaped, familyStyle, svgFigure, svgPicture } from '../paper/svg-file';
import { mathOf } from '../workings/html-workings';
import type { TypeFamily } from '../paper/type-family';
import type { Block } from './blocks';
import type { Report } from './report';
import { reportWords as WORDS } from './words';

/** A report as one HTML file that needs nothing beside it: its letters and drawings are in it. */
export function htmlReport({ title, facts, blocks }: Report, family: TypeFamily): string[] {
  const entries = blocks.flatMap((block, i) => (block.is === 'heading' ? [{ ...block, id: `part-${i}` }] : []));
  const contents = entries.map(({ level, text, id }) => `<li class="level-${level}"><a href="#${id}">${escaped(text)}</a></li>`);
  return [
    `<!doctype html><html lang="en"><head><meta charset="utf-8"><title>${escaped(title)}</title>`,
    `<style>${familyStyle(family)}${STYLE}</style></head><body>`,
    `<header><p>${WORDS.title}</p><h1>${escaped(title)}</h1>${factsOf(facts)}</header>`,
    `<nav aria-label="${WORDS.contents}"><h2>${WORDS.contents}</h2><ol>${contents.join('')}</ol></nav><main>`,
    ...blocks.map((block, i) => written(block, `part-${i}`, family)),
    '</main></body></html>\n',
  ];
}

/** What the page says in styles; on paper a chapter begins a page, and tables repeat their heads. */
const STYLE =
  'body{font:11pt Sheet,sans-serif;color:#000;background:#fff;max-width:170mm;margin:2rem auto;padding:0 1rem}' +
  'header p,dt,figcaption,.unit{color:#555}h1{font-size:28pt;margin:.2em 0}h2{font-size:17pt;margin-top:2em}h3{font-size:12pt}' +
  'dl{display:grid;grid-template-columns:42mm auto;gap:.2em 0}dd{margin:0}nav ol{list-style:none;padding:0}nav .level-2{padding-left:6mm}' +
  'table{border-collapse:collapse;font-size:8.5pt;margin:1em 0}caption{text-align:left;font-weight:600;color:#555}' +
  'th,td{padding:.1em 1em .1em 0;text-align:left;vertical-align:top}td.number,th.number{text-align:right}thead{border-bottom:.5pt solid #999}.unit{font-weight:400}' +
  '.card{display:flex;gap:6mm;align-items:center;margin:1em 0;break-inside:avoid}.card h4{margin:0 0 .3em}.card dl{grid-template-columns:auto auto;gap:0 1.2em}.card svg{flex:none}' +
  'math{font-size:1.1em}math mtable{border-left:.8pt solid;border-right:.8pt solid;padding:0 .2em}figure{margin:1em 0}svg,img{max-width:100%;height:auto}ul{list-style:none;padding:0}pre{font-size:7pt;white-space:pre-wrap}' +
  '@media print{h2{break-before:page}h2,h3,figure,caption{break-after:avoid}figure{break-inside:avoid}body{margin:0}}';

const factsOf = (facts: Report['facts']): string =>
  `<dl>${facts.map(([name, value]) => `<dt>${escaped(name)}</dt><dd>${escaped(value)}</dd>`).join('')}</dl>`;

function written(block: Block, id: string, family: TypeFamily): string {
  switch (block.is) {
    case 'heading':
      return `<h${block.level + 1} id="${id}">${escaped(block.text)}</h${block.level + 1}>`;
    case 'words':
      return `<p>${escaped(block.text)}</p>`;
    case 'formula':
      return `<p>${mathOf(block.tex, 'displayed')}</p>`;
    case 'list':
      return `<ul>${block.items.map((item) => `<li>${escaped(item)}</li>`).join('')}</ul>`;
    case 'facts':
      return factsOf(block.facts);
    case 'figure':
      return `<figure>${svgFigure(block.figure, family)}<figcaption>${escaped(block.caption)}</figcaption></figure>`;
    case 'picture':
      return `<figure>${svgPicture(block.picture.size, block.picture.paint, family)}<figcaption>${escaped(block.caption)}</figcaption></figure>`;
    case 'image': {
      const { image, width, height, caption = '' } = block.image;
      return `<figure><img src="${escaped(image)}" width="${width}" height="${height}" alt="${escaped(caption)}"><figcaption>${escaped(caption)}</figcaption></figure>`;
    }
    case 'card': {
      const picture = block.picture ? svgPicture(block.picture.size, block.picture.paint, family) : '';
      return `<section class="card">${picture}<div><h4>${escaped(block.title)}</h4>${factsOf(block.facts)}</div></section>`;
    }
    case 'table':
      return tableOf(block.table);
    case 'listing':
      return `<pre>${escaped(block.text)}</pre>`;
  }
}

function tableOf({ title, columns, rows }: Table<never>): string {
  const kind = columns.map((column) =>
    rows.some((row) => !['string', 'undefined'].includes(typeof column.value(row))) ? ' class="number"' : '',
  );
  const heads = columns.map(
    ({ title: name, unit }, c) =>
      `<th scope="col"${kind[c]}>${escaped(name)}${unit ? ` <span class="unit">${escaped(withPowers(unit))}</span>` : ''}</th>`,
  );
  const body = rows.map(
    (row) => `<tr>${columns.map((column, c) => `<td${kind[c]}>${escaped(cellWords(column, row))}</td>`).join('')}</tr>`,
  );
  const caption = title === '' ? '' : `<caption>${escaped(title)}</caption>`;
  return `<table>${caption}<thead><tr>${heads.join('')}</tr></thead><tbody>${body.join('')}</tbody></table>`;
}
