/** What all charts have in common: drawn once, as large as their frame, of points that are in order, and without the pointer. */
export const STILL = {
  animation: false,
  responsive: true,
  maintainAspectRatio: false,
  parsing: false,
  normalized: true,
  events: [] as never[],
} as const;

/** The inks of the appearance in which a canvas stands, by the names of their properties. */
export function inkOf(canvas: HTMLCanvasElement): (name: string) => string {
  const style = getComputedStyle(canvas);
  return (name) => style.getPropertyValue(name).trim();
}

/** An axis with its unit, and few numbers on it. */
export function stillScale(canvas: HTMLCanvasElement, title: string, shown: (value: number) => string) {
  const ink = inkOf(canvas);
  const font = { family: getComputedStyle(canvas).fontFamily, size: 11 };
  const color = ink('--soft');
  return {
    title: { display: true, text: title, color, font },
    ticks: { color, font, maxTicksLimit: 5, callback: (value: number | string) => shown(Number(value)) },
    border: { color: ink('--rule') },
  };
}
