const KEY = 'rigid-beam:recent-shapes';
const MOST = 12;

/** Designations that were chosen last, the newest first; none where the browser keeps nothing. */
export function recentShapes(): readonly string[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(KEY) ?? '[]');
    return Array.isArray(found) ? found.filter((one): one is string => typeof one === 'string').slice(0, MOST) : [];
  } catch {
    return [];
  }
}

export function rememberShape(designation: string): void {
  try {
    const others = recentShapes().filter((one) => one !== designation);
    localStorage.setItem(KEY, JSON.stringify([designation, ...others].slice(0, MOST)));
  } catch {
    // A browser that keeps nothing lists the catalogue as it is.
  }
}
