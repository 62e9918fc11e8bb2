/** What the page says of its workers. */
export const solvingClient = {
  died: (why: string): string => `The solver stopped (${why}) and was started again`,
  startedAgain: 'the solver stopped on it, and was started again. Change the model, or solve it again',
};

export const sectionClient = {
  died: 'The section could not be looked at: what does it stopped, and is started again when it is asked next.',
};
