// Compiles the AssemblyScript kernels of the core into base64 in TypeScript. With --check it only tells whether those files are what
// the sources give. The results are committed, so that nobody needs the compiler to run or to bundle the core.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import asc from 'assemblyscript/asc';

const root = new URL('..', import.meta.url).pathname;
const units = [
  { source: 'core/linear-algebra/wasm/kernels.ts', target: 'core/linear-algebra/kernels-bytes.ts', name: 'kernelBytes' },
  // The same with products that are added in one step, for platforms that have them.
  {
    source: 'core/linear-algebra/wasm/kernels.ts',
    target: 'core/linear-algebra/fused-kernels-bytes.ts',
    name: 'fusedKernelBytes',
    features: ['relaxed-simd'],
  },
  { source: 'core/results/wasm/recovery.ts', target: 'core/results/recovery-bytes.ts', name: 'recoveryBytes' },
];

/** The module compiled from one file and what it imports from beside it, as bytes. */
async function compiled(source, features = []) {
  const read = (name) => {
    const file = join(root, dirname(source), name);
    return existsSync(file) ? readFileSync(file, 'utf8') : null;
  };
  const main = source.split('/').at(-1);
  let bytes;
  const { error, stderr } = await asc.main(
    [
      main,
      '--outFile',
      'unit.wasm',
      '-O3',
      '--noAssert',
      '--runtime',
      'stub',
      '--enable',
      'simd',
      ...features.flatMap((feature) => ['--enable', feature]),
      '--importMemory',
      '--initialMemory',
      '1',
    ],
    {
      readFile: read,
      writeFile: (name, contents) => {
        if (name === 'unit.wasm') bytes = contents;
      },
      listFiles: () => [],
    },
  );
  if (!error && bytes) return bytes;
  console.error(stderr.toString() || error);
  process.exit(1);
}

for (const { source, target, name, features } of units) {
  const bytes = await compiled(source, features);
  const lines = Buffer.from(bytes)
    .toString('base64')
    .match(/.{1,120}/g)
    .map((line) => `  '${line}'`)
    .join(' +\n');
  const origin = source.split('/').slice(-2).join('/');
  const text = `/** A compiled module (WebAssembly, base64), written by \`node scripts/build-kernels.mjs\` from ${origin}. */\nexport const ${name} =\n${lines};\n`;
  if (!process.argv.includes('--check')) {
    writeFileSync(join(root, target), text);
    console.log(`${target}: ${bytes.length} bytes`);
  } else if (readFileSync(join(root, target), 'utf8') !== text) {
    console.error(`${target} is not what ${origin} gives: run node scripts/build-kernels.mjs`);
    process.exit(1);
  } else console.log(`${target} is up to date`);
}
