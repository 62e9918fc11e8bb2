/** Every buffer behind the typed arrays of a value, once each, for transfer between threads. */
export function buffersOf(value: unknown): ArrayBuffer[] {
  const buffers = new Set<ArrayBuffer>();
  const visit = (part: unknown): void => {
    if (ArrayBuffer.isView(part)) buffers.add(part.buffer as ArrayBuffer);
    else if (typeof part === 'object' && part !== null) Object.values(part).forEach(visit);
  };
  visit(value);
  return [...buffers];
}
