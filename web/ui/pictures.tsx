'use client';

/** Small drawings of what instruments do: lines of a 24 × 24 sheet, drawn in the ink of their button. */
const PICTURES = {
  select: 'M6 3v15l4.2-3.6 2.6 6 2-.9-2.6-5.8 5.8-.4z',
  draw: 'M4 19 19 6M4 19m-1.6 0a1.6 1.6 0 1 0 3.2 0a1.6 1.6 0 1 0-3.2 0M19 6m-1.6 0a1.6 1.6 0 1 0 3.2 0a1.6 1.6 0 1 0-3.2 0',
  box: 'M4 6h3M10 6h4M17 6h3v3M20 12v3M20 18h-3M14 18h-4M7 18H4v-3M4 12V9M8 14l5-4',
  measure: 'M4 17 20 7M3 14.5l2.2 4M18.8 5.5l2.2 4M9 11l1.2 2M13 8.5l1.2 2',
  grid: 'M6 3v18M12 3v18M18 3v18M3 8h18M3 16h18',
  underlay: 'M4 5h16v14H4zM4 15l5-5 4 4 3-3 4 4',
  parameters: 'M4 18 12 6l8 12M12 18v-7M9.8 13.2 12 11l2.2 2.2M4 21h16',
  tidy: 'M5 19 15 9M13 7l4 4 3-3-4-4zM5 12l2 2M9 18h6',
  groups: 'M4 5h7v6H4zM13 13h7v6h-7zM11 8h5v5',
  space: 'M4 17 12 21 20 17V8L12 4 4 8zM4 8l8 4 8-4M12 12v9',
  settings: 'M4 7h9M17 7h3M4 12h3M11 12h9M4 17h11M19 17h1M13 5v4M9 10v4M17 15v4',
  schedule: 'M4 5h16v14H4zM4 10h16M4 14.5h16M10 5v14',
  pinned: 'M12 5 6 15h12zM4 15h16M6 15l-2 3M11 15l-2 3M16 15l-2 3',
  fixed: 'M12 3v11M5 14h14M7 14l-2.5 4M12 14l-2.5 4M17 14l-2.5 4',
  rollsX: 'M12 4 7 12h10zM9 15a1.8 1.8 0 1 0 .01 0M15 15a1.8 1.8 0 1 0 .01 0M5 19.5h14',
  rollsY: 'M20 12 12 7v10zM9 9a1.8 1.8 0 1 0 .01 0M9 15a1.8 1.8 0 1 0 .01 0M4.5 5v14',
  slides: 'M12 3v8M5 11h14M8 14a1.8 1.8 0 1 0 .01 0M16 14a1.8 1.8 0 1 0 .01 0M5 19h14',
  line: 'M3 18h18M4 6h16M5 6v9M9 6v9M13 6v9M17 6v9M4 13l1 2.5 1-2.5M8 13l1 2.5 1-2.5M12 13l1 2.5 1-2.5M16 13l1 2.5 1-2.5',
  area: 'M3 17 9 10h12l-6 7zM6 3v6M12 3v6M18 3v6M5 6.5l1 2.5 1-2.5M11 6.5l1 2.5 1-2.5M17 6.5l1 2.5 1-2.5',
  plan: 'M3 20 21 10M4 4h16M6 4v12M12 4v9M18 4v5M5 13.5l1 2.5 1-2.5M11 10.5l1 2.5 1-2.5M17 6.5l1 2.5 1-2.5',
  pressure:
    'M3 20 21 10M4.5 8 8 14.5M10 5l3.5 6.5M15.5 2 19 8.5M6.5 13.5 8 14.5l.2-1.8M12 10.5l1.5 1 .2-1.8M17.5 7.5l1.5 1 .2-1.8',
  point: 'M3 18h18M12 4v11M10 12l2 4 2-4',
  node: 'M5 19l7-8 7 8M12 2v6M10.5 6l1.5 3 1.5-3M12 11m-1.5 0a1.5 1.5 0 1 0 3 0a1.5 1.5 0 1 0-3 0',
  couple: 'M12 19V11M7 14a6 6 0 1 1 9.5 1.200M14 13.5l2.300 2 1.5-2.700',
  warmth: 'M3 15h18v3H3zM6 11c0-2 2-2 2-4M11 11c0-2 2-2 2-4M16 11c0-2 2-2 2-4',
  fit: 'M3 14h12v3H3zM15 14h5v3h-5M15 11v9M20 11v9M15.500 8h4.500M18 6l2 2-2 2',
  settlement: 'M4 7h16M12 7 8 13h8zM6 13h12M12 15v6M10 19l2 2.500 2-2.500',
} as const;

export type PictureName = keyof typeof PICTURES;

export function Picture({ name }: { readonly name: PictureName }) {
  return (
    <svg
      viewBox="0 0 24 24"
      width="24"
      height="24"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      strokeLinejoin="round"
      aria-hidden
    >
      <path d={PICTURES[name]} />
    </svg>
  );
}
