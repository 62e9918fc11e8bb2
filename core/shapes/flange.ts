/** Thickness of a flange at its toe and where its inner face meets the web, of which tf is measured `back` from the toe. */
export function flange(
  tf: number,
  slope: number,
  overhang: number,
  back: number,
): { readonly toe: number; readonly root: number } {
  const toe = tf - slope * back;
  return { toe, root: toe + slope * overhang };
}
