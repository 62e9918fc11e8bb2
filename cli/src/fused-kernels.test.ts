import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { fusedKernelBytes } from '@rigid-beam/core/linear-algebra/fused-kernels-bytes';
import { kernelBytes } from '@rigid-beam/core/linear-algebra/kernels-bytes';

/** Factors one panel of a symmetric matrix and takes its border off, in both compiled forms; prints the largest difference beside the largest entry. */
const SCRIPT = `
const [front, pivots, P, B, S, T] = [45, 37, 0, 4096, 8192, 6144];
const run = (base64) => {
  const memory = new WebAssembly.Memory({ initial: 8 });
  const module = new WebAssembly.Module(Buffer.from(base64, 'base64'));
  const { factorPanel, updateBorder } = new WebAssembly.Instance(module, { env: { memory } }).exports;
  const numbers = new Float64Array(memory.buffer);
  const entry = (i, j) => (i === j ? front : Math.sin(3 * i + 5 * j) + Math.sin(3 * j + 5 * i)) / 3;
  for (let j = 0; j < pivots; j++) for (let i = j; i < front; i++) numbers[P + j * front + i] = entry(i, j);
  for (let j = 0; j < front; j++) numbers[T + j] = entry(j, j);
  factorPanel(8 * P, front, pivots, 8 * T, 1e-12, 8 * S);
  updateBorder(8 * P, front, pivots, 8 * B, 8 * S);
  return numbers.slice(0, B + (front - pivots) ** 2);
};
const [plain, fused] = process.env.KERNELS.split(' ').map(run);
let [largest, apart, differ] = [0, 0, 0];
plain.forEach((value, i) => {
  largest = Math.max(largest, Math.abs(value));
  apart = Math.max(apart, Math.abs(value - fused[i]));
  if (value !== fused[i]) differ++;
});
console.log(JSON.stringify({ largest, apart, differ }));
`;

test('kernels that add a product in one step give what the others give, but for rounding', () => {
  // Node 20 has these vectors behind a switch; browsers and later ones have them at hand.
  const isAtHand = WebAssembly.validate(Buffer.from(fusedKernelBytes, 'base64'));
  const { stdout, stderr } = spawnSync(
    process.execPath,
    [...(isAtHand ? [] : ['--experimental-wasm-relaxed-simd']), '-e', SCRIPT],
    {
      encoding: 'utf8',
      env: { ...process.env, KERNELS: `${kernelBytes} ${fusedKernelBytes}` },
    },
  );
  expect(stderr).toBe('');
  const { largest, apart } = JSON.parse(stdout) as { largest: number; apart: number };
  expect(largest).toBeGreaterThan(10);
  expect(apart).toBeLessThan(1e-13 * largest);
});
