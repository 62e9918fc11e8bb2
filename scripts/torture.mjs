import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundle } from './bundle.mjs';
import { startServer } from './server.mjs';
import { build, install } from './steps.mjs';

// `npm run torture -- --minutes 10 [--seed N]`: edits, hostile requests, kill -9 and a full disk; nothing acknowledged may be lost.

const option = (name, otherwise) => {
  const place = process.argv.indexOf(name);
  const value = place < 0 ? otherwise : Number(process.argv[place + 1]);
  if (!(value > 0)) throw new Error(`${name} is followed by a number greater than 0.`);
  return value;
};

const minutes = option('--minutes', 10);
const seed = option('--seed', 1 + Math.floor(Math.random() * 1e6));
install();
build();
const outfile = path.join(mkdtempSync(path.join(tmpdir(), 'rigid-beam-torture-')), 'torture.mjs');
await bundle('e2e/torture/main.ts', outfile);
const { torture } = await import(pathToFileURL(outfile).href);
const { troubles, ...counts } = await torture({ minutes, seed, start: startServer });
for (const [what, count] of Object.entries(counts)) console.log(`${what}: ${count}`);
for (const trouble of troubles) console.log(`TROUBLE ${trouble}`);
process.exit(troubles.length === 0 ? 0 : 1);
