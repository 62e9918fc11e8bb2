/** What the command's exit code tells; part of the contract of the results file. */
export const exitCodes = { solved: 0, program: 1, invalid: 2, unstable: 3 } as const;
