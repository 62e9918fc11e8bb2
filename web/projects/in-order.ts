/** Answers may come in another order than they were asked for in: an older one must not take the place of a newer. */
export class InOrder {
  private asked = 0;
  private shown = 0;

  /** The number of a question, told before it is asked. */
  begin(): number {
    return ++this.asked;
  }

  /** Whether the answer to a question may be shown: none that was asked later was shown already. */
  takes(question: number): boolean {
    if (question < this.shown) return false;
    this.shown = question;
    return true;
  }
}
