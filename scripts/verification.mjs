import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { bundle } from './bundle.mjs';
import { install, root } from './steps.mjs';

// `npm run verification`: writes docs/verification.md from the cases of the tests.

install();
const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-verification-'));
const outfile = path.join(folder, 'verification.mjs');
await bundle(path.join(root, 'bench', 'verification.ts'), outfile);
const { stdout, status, stderr } = spawnSync(process.execPath, [outfile], { encoding: 'utf8' });
rmSync(folder, { recursive: true, force: true });
if (status !== 0) throw new Error(stderr);
writeFileSync(path.join(root, 'docs', 'verification.md'), stdout);
console.log(/\d+ structures.*/.exec(stdout)[0]);
