/** What all charts have in common: drawn once, as large as their frame, of points that are in order, and without the pointer. */
export const STILL = {
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  parsing: false,
  normalized: true,
  events: [] as never[],
} as const;
