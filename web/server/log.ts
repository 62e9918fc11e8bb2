import pino from 'pino';

/** An error as pino tells it, without the parameters of a query, and no longer than can be read. */
function bounded(error: Error): object {
  const { type, message, stack } = pino.stdSerializers.err(error);
  const cut = (text = '', length: number): string => (text.length > length ? `${text.slice(0, length)}…` : text);
  return { type, message: cut(message.replace(/params:[^]*/, 'params: …'), 500), stack: cut(stack, 2000) };
}

/** The server's own log, on standard error. */
export const log = pino(
  {
    level: process.env.RIGID_BEAM_LOG ?? 'warn',
    base: undefined,
    timestamp: pino.stdTimeFunctions.isoTime,
    formatters: { level: (label) => ({ level: label }) },
    serializers: { err: bounded },
  },
  pino.destination({ fd: 2, sync: true }),
);
