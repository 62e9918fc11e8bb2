/** What is worked out in steps, so that whoever waits for something else meanwhile waits for one step only. */
export type Steps<T> = Generator<void, T, void>;

/** All steps at once. */
export function finished<T>(steps: Steps<T>): T {
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
}

/** What many of something make one after the other, so many of them at a step. */
export function* inSteps<One, Made>(all: readonly One[], atOnce: number, make: (one: One) => readonly Made[]): Steps<Made[]> {
  const made: Made[] = [];
  for (const [i, one] of all.entries()) {
    if (i % atOnce === atOnce - 1) yield;
    for (const each of make(one)) made.push(each);
  }
  return made;
}
