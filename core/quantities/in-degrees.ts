/** An angle as the file keeps it: without what the way through radians adds behind the twelfth figure. */
export const inDegrees = (radians: number): number => Number(((radians * 180) / Math.PI).toPrecision(12));
