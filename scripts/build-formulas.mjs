// Sets the formulas of the workings in type and keeps their outlines, for files that letters of mathematics cannot be embedded in. With --check it
// only tells whether the outlines are those of the formulas. They are committed, so that nobody needs the typesetter to write a report.
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { liteAdaptor } from 'mathjax-full/js/adaptors/liteAdaptor.js';
import { RegisterHTMLHandler } from 'mathjax-full/js/handlers/html.js';
import { TeX } from 'mathjax-full/js/input/tex.js';
import { AllPackages } from 'mathjax-full/js/input/tex/AllPackages.js';
import { mathjax } from 'mathjax-full/js/mathjax.js';
import { SVG } from 'mathjax-full/js/output/svg.js';
import { bundle } from './bundle.mjs';
import { root } from './steps.mjs';

const target = path.join(root, 'drawing/workings/formula-outlines.json');
/** Thousandths of the height of the letters by which a curve may be cut short. */
const FLAT = 3;

const adaptor = liteAdaptor();
RegisterHTMLHandler(adaptor);
const page = mathjax.document('', { InputJax: new TeX({ packages: AllPackages }), OutputJax: new SVG({ fontCache: 'none' }) });

const numbers = (text) => (text.match(/-?\d*\.?\d+(?:e-?\d+)?/g) ?? []).map(Number);

/** `translate(3,4) scale(0.7)` … of x, y and a scale. */
function moved({ x, y, s }, transform = '') {
  let now = { x, y, s };
  for (const [, name, values] of transform.matchAll(/(\w+)\(([^)]*)\)/g)) {
    const [a, b = 0] = numbers(values);
    if (name === 'translate') now = { ...now, x: now.x + now.s * a, y: now.y + now.s * b };
    else if (name === 'scale' && (b === 0 || b === a)) now = { ...now, s: now.s * a };
    else if (!(name === 'scale' && a === 1 && b === -1)) throw new Error(`A formula is drawn with ${name}(${values})`);
  }
  return now;
}

/** An outline of straight lines: quadratic curves are divided until they are flat. */
function straight(d) {
  const outlines = [];
  let [at, last, outline] = [[0, 0], undefined, []];
  const curve = ([x0, y0], [x1, y1], [x2, y2]) => {
    const parts = Math.max(1, Math.ceil(Math.sqrt(Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2) / (4 * FLAT))));
    for (let i = 1; i <= parts; i++) {
      const t = i / parts;
      outline.push((1 - t) ** 2 * x0 + 2 * t * (1 - t) * x1 + t * t * x2, (1 - t) ** 2 * y0 + 2 * t * (1 - t) * y1 + t * t * y2);
    }
  };
  for (const [, command, text] of d.matchAll(/([MLHVQTZ])([^MLHVQTZ]*)/g)) {
    const v = numbers(text);
    if (command === 'M') {
      if (outline.length > 0) outlines.push(outline);
      outline = [...v];
      at = v;
    } else if (command === 'L' || command === 'H' || command === 'V') {
      at = command === 'L' ? v : command === 'H' ? [v[0], at[1]] : [at[0], v[0]];
      outline.push(...at);
    } else if (command === 'Q' || command === 'T') {
      const by = command === 'Q' ? [v[0], v[1]] : last ? [2 * at[0] - last[0], 2 * at[1] - last[1]] : at;
      const to = command === 'Q' ? [v[2], v[3]] : v;
      curve(at, by, to);
      [at, last] = [to, by];
      continue;
    }
    last = undefined;
  }
  if (outline.length > 0) outlines.push(outline);
  return outlines.map((one) => one.map(Math.round).join(' ')).join('|');
}

/** Glyphs by their outlines, so that each is kept once. */
const glyphs = new Map();

function outlinesOf(tex) {
  // What draws them on a page puts brackets round matrices by itself.
  const bracketed = tex
    .replaceAll('\\begin{matrix}', '\\left[\\begin{matrix}')
    .replaceAll('\\end{matrix}', '\\end{matrix}\\right]');
  const svg = adaptor.firstChild(page.convert(bracketed, { display: true }));
  const letters = [];
  const bars = [];
  /** The straight piece of a tall bracket: a letter stretched beyond the frame that cuts it off. */
  const stretch = (node, { x, y, s }) => {
    const [left] = numbers(adaptor.getAttribute(node, 'viewBox'));
    const [h, dx = 0, dy = 0] = ['height', 'x', 'y'].map((name) => Number(adaptor.getAttribute(node, name) ?? 0));
    const [piece] = adaptor.childNodes(node);
    const across = straight(adaptor.getAttribute(piece, 'd'))
      .split(/[ |]/)
      .map(Number)
      .filter((_, i) => i % 2 === 0);
    const [from, to] = [Math.min(...across), Math.max(...across)];
    bars.push([x + s * (dx + from - left), y + s * dy, s * (to - from), s * h].map(Math.round).join(' '));
  };
  const walk = (node, where) => {
    const kind = adaptor.kind(node);
    if (kind === 'svg' && node !== svg) return stretch(node, where);
    const of = (name) => adaptor.getAttribute(node, name);
    const here = moved(where, of('transform') ?? '');
    if (kind === 'path') {
      const outline = straight(of('d') ?? '');
      if (outline === '') return;
      if (!glyphs.has(outline)) glyphs.set(outline, glyphs.size);
      letters.push([glyphs.get(outline), Math.round(here.x), Math.round(here.y), Number(here.s.toFixed(3))].join(' '));
    } else if (kind === 'rect') {
      const [w, h, x = 0, y = 0] = ['width', 'height', 'x', 'y'].map((name) => Number(of(name) ?? 0));
      if (w > 0 && h > 0) bars.push([here.x + here.s * x, here.y + here.s * y, here.s * w, here.s * h].map(Math.round).join(' '));
    } else if (kind === 'g' || kind === 'svg') adaptor.childNodes(node).forEach((child) => walk(child, here));
    else if (!['defs', 'title', '#text'].includes(kind)) throw new Error(`A formula has a ${kind} in it: ${tex}`);
  };
  const [, top, width, height] = numbers(adaptor.getAttribute(svg, 'viewBox'));
  adaptor.childNodes(svg).forEach((child) => walk(child, { x: 0, y: 0, s: 1 }));
  return { size: [width, -top, height + top].map(Math.round).join(' '), letters: letters.join('|'), bars: bars.join('|') };
}

const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-formulas-'));
const words = path.join(folder, 'words.mjs');
await bundle(path.join(root, 'core/workings/words.ts'), words);
const { formulas, fixedEndFormulas, chainFormulas, classicFormulas } = await import(pathToFileURL(words));
rmSync(folder, { recursive: true, force: true });
const all = [formulas, fixedEndFormulas, chainFormulas, classicFormulas].flatMap((table) => Object.values(table));
const set = Object.fromEntries([...new Set(all.map(({ tex }) => tex))].map((tex) => [tex, outlinesOf(tex)]));
const text = `${JSON.stringify({ glyphs: [...glyphs.keys()], formulas: set }, null, 2)}\n`;
if (!process.argv.includes('--check')) writeFileSync(target, text);
else if (readFileSync(target, 'utf8') !== text) {
  console.error('The outlines of formulas are not those of core/workings/words.ts: run “node scripts/build-formulas.mjs”.');
  process.exit(1);
}
