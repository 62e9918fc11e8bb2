/** The keyboard while a tool has it: arrow keys and Enter go to the sheet, and afterwards back to the button that took the tool in hand. */
export class Keyboard {
  private before: HTMLElement | undefined;
  private due: ReturnType<typeof setTimeout> | undefined;

  constructor(private readonly canvas: HTMLElement) {}

  take(): void {
    // Whoever takes it now is not undone by what was due before: a busy page hears its timers late.
    this.forget();
    const { activeElement } = document;
    if (activeElement instanceof HTMLButtonElement) this.before = activeElement;
    this.canvas.focus({ preventScroll: true });
  }

  /** Unless something else has been taken up since. */
  giveBack(): void {
    const { activeElement } = document;
    if (activeElement === this.canvas || activeElement === document.body) this.before?.focus({ preventScroll: true });
    this.before = undefined;
  }

  /** Moves it once all that happens now is done, unless it is taken before. */
  soon(move: () => void): void {
    this.forget();
    this.due = setTimeout(move);
  }

  forget(): void {
    clearTimeout(this.due);
  }
}
