import { createGlobalStyle, css } from 'styled-components';

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
  --draw-member: #1f2933;
  --draw-faint: #6a7480;
  --draw-grid: #efeadd;
  --draw-gridStrong: #e2dccb;
  --draw-dimension: #5d6670;
  --draw-support: #2f3a45;
  --draw-load: #7c4a1e;
  --draw-load-olive: #585e0c;
  --draw-load-slate: #465a75;
  --draw-load-plum: #7d2b55;
  --draw-load-indigo: #43388f;
  --draw-reaction: #3b4652;
  --draw-tension: #1b7837;
  --draw-compression: #762a83;
  --draw-shear: #0b6b7a;
  --draw-moment: #1d4ed8;
  --draw-deflection: #b0185a;
  --draw-text: #1f2933;
  --draw-selection: #b37a00;
  --draw-fault: #b3261e;
  --draw-paper: #fdfcf8;
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
  --draw-member: #eef5fb;
  --draw-faint: #93abc2;
  --draw-grid: #15314e;
  --draw-gridStrong: #1b3c5d;
  --draw-dimension: #a9bfd3;
  --draw-support: #d5e3ef;
  --draw-load: #e8b283;
  --draw-load-olive: #cdd17c;
  --draw-load-slate: #b4c6dc;
  --draw-load-plum: #eaa6c8;
  --draw-load-indigo: #bcb3ff;
  --draw-reaction: #c5d5e4;
  --draw-tension: #74d391;
  --draw-compression: #d9a3e6;
  --draw-shear: #5fd0de;
  --draw-moment: #8fb4ff;
  --draw-deflection: #ff8fbb;
  --draw-text: #eef5fb;
  --draw-selection: #ffd45c;
  --draw-fault: #ff9a90;
  --draw-paper: #0f2740;
`;

export const GlobalStyle = createGlobalStyle`
  :root { ${day} }
  @media (prefers-color-scheme: dark) { :root:not([data-appearance='day']) { ${night} } }
  :root[data-appearance='night'] { ${night} }
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
