/** Ends what `ready.ts` has started. */
export default async function done(): Promise<void> {
  await (globalThis as typeof globalThis & { rigidBeamEnds?: () => Promise<void> }).rigidBeamEnds?.();
}
