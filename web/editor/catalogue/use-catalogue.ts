import { useEffect, useState } from 'react';

export type Catalogue = typeof import('./all');

let loading: Promise<Catalogue> | undefined;
let loaded: Catalogue | undefined;

/** The catalogue of standard shapes; the first who asks has it fetched. */
export function loadCatalogue(): Promise<Catalogue> {
  loading ??= import('./all').then((found) => {
    loaded = found;
    void readAhead(found);
    return found;
  });
  return loading;
}

/** Milliseconds at a time that may go into reading ahead. */
const AT_ONCE = 6;

/** All properties, a few at a time: whoever asks for “I > 5000 cm4” then need not wait for 1,500 of them. */
async function readAhead({ catalogue, listed }: Catalogue): Promise<void> {
  let begun = performance.now();
  for (const one of catalogue()) {
    listed(one);
    if (performance.now() - begun < AT_ONCE) continue;
    await new Promise((resolve) => setTimeout(resolve, AT_ONCE));
    begun = performance.now();
  }
}

/** The catalogue where it is here already. */
export const theCatalogue = (): Catalogue | undefined => loaded;

/** The catalogue once it is wanted and there; undefined until then. */
export function useCatalogue(when: 'wanted' | 'not yet'): Catalogue | undefined {
  const [found, setFound] = useState(loaded);
  useEffect(() => {
    if (when === 'not yet' || found) return;
    let isGone = false;
    void loadCatalogue().then((one) => {
      if (!isGone) setFound(one);
    });
    return () => {
      isGone = true;
    };
  }, [when, found]);
  return found;
}
