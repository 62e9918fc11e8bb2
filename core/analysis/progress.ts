/** What a long computation tells while it runs: the phase, and how much of it is done, 0 to 1. May throw to give up. */
export type Progress = (phase: Phase, done: number) => void;
export type Phase = 'stiffness' | 'ordering' | 'factorization' | 'cases' | 'combinations';
