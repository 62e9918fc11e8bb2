'use client';

import { PlainButton } from './controls';
import { appearanceButton as WORDS } from './words';

/** Changes between day and night; the choice is kept for a year. */
export function AppearanceButton() {
  const turn = (): void => {
    const root = document.documentElement;
    const dark = root.dataset.appearance
      ? root.dataset.appearance === 'night'
      : window.matchMedia('(prefers-color-scheme: dark)').matches;
    const next = dark ? 'day' : 'night';
    root.dataset.appearance = next;
    document.cookie = `appearance=${next}; path=/; max-age=31536000; samesite=strict`;
  };
  return (
    <PlainButton onPress={turn} aria-label={WORDS.changeBetweenDayAndNight}>
      ◐
    </PlainButton>
  );
}
