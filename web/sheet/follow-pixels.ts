/** Tells whenever a pixel of ours is another number of the screen's: a window is taken to another monitor, and its size stays. Returns what ends it. */
export function followPixels(changed: () => void): () => void {
  let ratio: MediaQueryList | undefined;
  const leave = (): void => ratio?.removeEventListener('change', again);
  const follow = (): void => {
    leave();
    ratio = window.matchMedia(`(resolution: ${window.devicePixelRatio}dppx)`);
    ratio.addEventListener('change', again);
  };
  function again(): void {
    changed();
    follow();
  }
  follow();
  return leave;
}
