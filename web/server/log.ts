import pino from 'pino';

/** The server's own log, on standard error. */
export const log = pino(
  { level: process.env.RIGID_BEAM_LOG ?? 'warn', base: undefined },
  pino.destination({ fd: 2, sync: true }),
);
