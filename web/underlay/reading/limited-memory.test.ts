import { expect, test } from '@jest/globals';
import { limitedMemory } from './limited-memory';

const PAGE = 65_536;
const head = [0, 0x61, 0x73, 0x6d, 1, 0, 0, 0];
/** One memory of a page, given out as `m`. */
const growing = Uint8Array.from([...head, 5, 3, 1, 0, 1, 7, 5, 1, 1, 0x6d, 2, 0]);

test('the memory of a module grows to its limit and no further', () => {
  const { exports } = new WebAssembly.Instance(new WebAssembly.Module(limitedMemory(growing, 300 * PAGE)));
  const memory = exports.m as WebAssembly.Memory;
  memory.grow(299);
  expect(memory.buffer.byteLength).toBe(300 * PAGE);
  expect(() => memory.grow(1)).toThrow(RangeError);
});

test('a module without memory of its own is refused', () => {
  expect(() => limitedMemory(Uint8Array.from(head), PAGE)).toThrow('no memory of its own');
});
