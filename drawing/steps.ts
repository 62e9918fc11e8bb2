/** What is worked out in steps, so that whoever waits for something else meanwhile waits for one step only. */
export type Steps<T> = Generator<void, T, void>;

/** All steps at once. */
export function finished<T>(steps: Steps<T>): T {
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}
