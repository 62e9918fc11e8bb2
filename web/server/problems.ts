/** Every status with which something is refused: its name in the reference, and what it says of all its cases. */
export const problems = {
  400: { name: 'not-taken', title: 'What was sent cannot be taken' },
  401: { name: 'no-access', title: 'A token is needed' },
  403: { name: 'refused', title: 'Not answered from there' },
  404: { name: 'not-found', title: 'There is nothing' },
  405: { name: 'wrong-method', title: 'Not at this address' },
  409: { name: 'changed-meanwhile', title: 'Changed meanwhile' },
  412: { name: 'other-revision', title: 'Another revision' },
  413: { name: 'too-large', title: 'Too large' },
  422: { name: 'no-answer', title: 'There is no such file of this model' },
  429: { name: 'too-many', title: 'Too much at once' },
  500: { name: 'failed', title: 'The server failed' },
  503: { name: 'unavailable', title: 'Not for the time being' },
} as const;

export type ProblemStatus = keyof typeof problems;
