import { useSyncExternalStore } from 'react';

/** How often the theme has changed. */
let appearances = 0;
function followAppearance(tell: () => void): () => void {
  const changed = (): void => {
    appearances++;
    tell();
  };
  const theme = new MutationObserver(changed);
  theme.observe(document.documentElement, { attributes: true, attributeFilter: ['data-appearance'] });
  const dark = window.matchMedia('(prefers-color-scheme: dark)');
  dark.addEventListener('change', changed);
  return () => {
    theme.disconnect();
    dark.removeEventListener('change', changed);
  };
}

/** Changes when the theme does: who draws on a canvas draws it anew. */
export const useAppearance = (): number => useSyncExternalStore(followAppearance, () => appearances, () => 0); // oxfmt-ignore
