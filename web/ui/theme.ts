import { createGlobalStyle, css } from 'styled-components';
import { inks, type Theme } from '@rigid-beam/drawing/inks';

/** The inks of the drawing as variables of the page. */
const drawn = (theme: Theme): string =>
  Object.entries(inks[theme])
    .map(([ink, colour]) => `--draw-${ink}: ${colour};`)
    .join('\n  ');

/** Paper and ink by day. Every pair of text and ground keeps WCAG AA. */
export const day = css`
  color-scheme: light;
  --paper: #fdfcf8;
  --desk: #efebe1;
  --panel: #f8f5ed;
  --ink: #1f2933;
  --soft: #56606b;
  --rule: #cfc8b8;
  --rule-strong: #8f8877;
  --hover: #e6e0d2;
  --pressed: #1f2933;
  --on-pressed: #fdfcf8;
  --focus: #0b5cad;
  --attention: #8a5300;
  --attention-ground: #fdf0d5;
  --fault: #b3261e;
  --fault-ground: #fdeceb;
  --good: #1b6e3c;
  ${drawn('day')}
`;

/** Blueprint by night. */
export const night = css`
  color-scheme: dark;
  --paper: #0f2740;
  --desk: #0a1c30;
  --panel: #12304d;
  --ink: #e9f1f8;
  --soft: #a9bfd3;
  --rule: #2a4a6b;
  --rule-strong: #6c8fb0;
  --hover: #1c4060;
  --pressed: #e9f1f8;
  --on-pressed: #0f2740;
  --focus: #8cc8ff;
  --attention: #ffc56b;
  --attention-ground: #3a2c10;
  --fault: #ff9a90;
  --fault-ground: #4a1d1d;
  --good: #7fd6a0;
  ${drawn('night')}
`;

export const GlobalStyle = createGlobalStyle`
  :root { ${day} }
  @media (prefers-color-scheme: dark) { :root:not([data-appearance='day']) { ${night} } }
  :root[data-appearance='night'] { ${night} }
  @media print { :root:root { ${drawn('print')} } }
  *, *::before, *::after { box-sizing: border-box; }
  html { font-size: 100%; }
  body {
    margin: 0;
    background: var(--desk);
    color: var(--ink);
    font-family: 'IBM Plex Sans', system-ui, sans-serif;
    font-size: 0.8125rem;
    line-height: 1.4;
  }
  h1, h2, h3, h4, p, ul, ol, dl, dd, figure { margin: 0; padding: 0; }
  ul, ol { list-style: none; }
  button, input, select { font: inherit; color: inherit; }
  a { color: var(--focus); }
  :focus-visible { outline: 2px solid var(--focus); outline-offset: 1px; }
  .number { font-family: 'IBM Plex Sans Condensed', 'IBM Plex Sans', sans-serif; font-variant-numeric: tabular-nums; }
  @media (prefers-reduced-motion: reduce) { * { transition: none !important; animation: none !important; } }
`;

/** Text that only a screen reader reads. */
export const unseen = css`
  position: absolute;
  width: 1px;
  height: 1px;
  margin: -1px;
  overflow: hidden;
  clip-path: inset(50%);
  white-space: nowrap;
`;
