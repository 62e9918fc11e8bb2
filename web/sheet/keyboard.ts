/** The keyboard while a tool has it: arrow keys and Enter go to the sheet, and afterwards back to the button that took the tool in hand. */
export class Keyboard {
  private before: HTMLElement | undefined;

  constructor(private readonly canvas: HTMLElement) {}

  take(): void {
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
}
