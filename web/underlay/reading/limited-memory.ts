/** Bytes of a page of WebAssembly memory. */
const PAGE = 65_536;
const MEMORY_SECTION = 5;

/** A WebAssembly module whose own memory grows to so many bytes at most; what asks for more fails. Throws where it has none of its own. */
export function limitedMemory(module: Uint8Array, bytes: number): Uint8Array<ArrayBuffer> {
  const parts: Uint8Array[] = [module.subarray(0, 8)];
  let isLimited = false;
  for (let at = 8; at < module.length;) {
    const [size, start] = number(module, at + 1);
    if (module[at] === MEMORY_SECTION) {
      // Of one memory: whether it has a limit, the pages that it begins with, and the limit.
      const [first] = number(module, start + 2);
      const body = [1, 1, ...encoded(first), ...encoded(Math.floor(bytes / PAGE))];
      parts.push(Uint8Array.from([MEMORY_SECTION, ...encoded(body.length), ...body]));
      isLimited = true;
    } else parts.push(module.subarray(at, start + size));
    at = start + size;
  }
  if (!isLimited) throw new Error('The module has no memory of its own.');
  const limited = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    limited.set(part, at);
    at += part.length;
  }
  return limited;
}

/** An unsigned number of seven bits a byte (LEB128), and where what follows it begins. */
function number(bytes: Uint8Array, start: number): [value: number, next: number] {
  let value = 0;
  let at = start;
  for (let shift = 0; ; shift += 7) {
    const byte = bytes[at++]!;
    value |= (byte & 127) << shift;
    if (byte < 128) return [value >>> 0, at];
  }
}

const encoded = (value: number): number[] => (value < 128 ? [value] : [(value & 127) | 128, ...encoded(value >>> 7)]);
