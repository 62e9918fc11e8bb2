#!/usr/bin/env node
import { existsSync } from 'node:fs';

const bundle = new URL('../dist/rigid-beam.mjs', import.meta.url);
if (existsSync(bundle)) {
  await import(bundle.href);
} else {
  console.error('The command is not built yet. Run `npm start` or `npm run build` once in the repository, then try again.');
  process.exitCode = 1;
}
