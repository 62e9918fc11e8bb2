import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { root } from './steps.mjs';

// Runs a script of one's own that uses the core: npm run script -- examples/truss.ts 8

const [file, ...rest] = process.argv.slice(2);
if (!file) {
  console.error('Name a script: npm run script -- examples/truss.ts 8');
  process.exit(2);
}
const { bundle } = await import('./bundle.mjs');
const folder = path.join(root, '.cache', 'scripts');
mkdirSync(folder, { recursive: true });
const outfile = path.join(folder, `${path.basename(file).replace(/\.[a-z]+$/, '')}.mjs`);
// What it reads and writes is named from where it was called.
process.chdir(process.env.INIT_CWD ?? process.cwd());
await bundle(path.resolve(file), outfile);
process.argv = [process.argv[0], outfile, ...rest];
await import(pathToFileURL(outfile).href);
