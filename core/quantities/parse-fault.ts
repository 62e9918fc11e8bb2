/** Why a text cannot be read: what a reader throws, and its door catches. */
export class ParseFault extends Error {}

export const parseFault = (reason: string): ParseFault => new ParseFault(reason);
