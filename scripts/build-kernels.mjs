// Compiles the AssemblyScript kernels into core/linear-algebra/kernels-bytes.ts. With --check it only tells whether that file is what
// the source gives. The result is committed, so that nobody needs the compiler to run or to bundle the core.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import asc from 'assemblyscript/asc';

const root = new URL('..', import.meta.url).pathname;
const source = 'core/linear-algebra/wasm/kernels.ts';
const target = join(root, 'core/linear-algebra/kernels-bytes.ts');

let bytes;
const { error, stderr } = await asc.main(
  [
    'kernels.ts',
    '--outFile',
    'kernels.wasm',
    '-O3',
    '--noAssert',
    '--runtime',
    'stub',
    '--enable',
    'simd',
    '--importMemory',
    '--initialMemory',
    '1',
  ],
  {
    readFile: (name) => (name === 'kernels.ts' ? readFileSync(join(root, source), 'utf8') : null),
    writeFile: (name, contents) => {
      if (name === 'kernels.wasm') bytes = contents;
    },
    listFiles: () => [],
  },
);
if (error || !bytes) {
  console.error(stderr.toString() || error);
  process.exit(1);
}
const lines = Buffer.from(bytes)
  .toString('base64')
  .match(/.{1,120}/g)
  .map((line) => `  '${line}'`)
  .join(' +\n');
const text = `/** The compiled kernels (WebAssembly, base64), written by \`node scripts/build-kernels.mjs\` from wasm/kernels.ts. */\nexport const kernelBytes =\n${lines};\n`;
if (process.argv.includes('--check')) {
  if (readFileSync(target, 'utf8') !== text) {
    console.error('core/linear-algebra/kernels-bytes.ts is not what wasm/kernels.ts gives: run node scripts/build-kernels.mjs');
    process.exit(1);
  }
  console.log('kernels-bytes.ts is up to date');
} else {
  writeFileSync(target, text);
  console.log(`${bytes.length} bytes`);
}
