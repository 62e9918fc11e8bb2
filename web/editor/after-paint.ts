/** Behind the next frame; at once where there are no frames, as in a window that nobody sees. */
export function afterPaint(work: () => void): void {
  if (typeof requestAnimationFrame === 'undefined' || document.hidden) return work();
  requestAnimationFrame(() => setTimeout(work));
}
