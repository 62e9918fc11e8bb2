import type { KeyboardEvent } from 'react';

/**
 * What Escape does in a field: what was typed is given up first, then the field; in a dialog the second closes it. The caller forgets what
 * was typed.
 */
export function giveUp(event: KeyboardEvent<HTMLElement>, draft: string | undefined): void {
  const field = event.currentTarget;
  if (draft === undefined && field.closest('[role=dialog]')) return;
  event.stopPropagation();
  if (draft === undefined) field.blur();
}
