/** Bytes from which an array counts. */
const LARGE = 65_536;

/**
 * Counts the bytes of all large arrays that are made from now on in this thread, whether still used or not, and calls `over` before one would
 * go beyond `most`. Only for a thread that does one piece of work and ends.
 */
export function countMemory(most: number, over: () => never): void {
  let sum = 0;
  const counted = <T extends object>(type: new (...given: never[]) => T, bytes: number): void => {
    const counting: typeof type = new Proxy(type, {
      construct(target, given: never[], made: new () => T): T {
        const length: unknown = given[0];
        if (typeof length === 'number' && length * bytes >= LARGE && (sum += length * bytes) > most) over();
        return Reflect.construct(target, given, made === counting ? target : made) as T;
      },
    });
    Object.defineProperty(globalThis, type.name, { value: counting, configurable: true, writable: true });
  };
  counted(ArrayBuffer, 1);
  counted(Uint8Array, 1);
  counted(Uint8ClampedArray, 1);
  counted(Uint16Array, 2);
  counted(Int32Array, 4);
  counted(Uint32Array, 4);
  counted(Float32Array, 4);
}
