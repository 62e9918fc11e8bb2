import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundle } from './bundle.mjs';
import { install, root } from './steps.mjs';

// `npm run meshed`: solves the torsion and shear of every shape of the catalogue on its mesh, and writes the table of them. Run it after a
// change of a row or of the mesh; a test tells when it was forgotten.

install();
const folder = mkdtempSync(path.join(tmpdir(), 'rigid-beam-meshed-'));
const outfile = path.join(folder, 'meshed.mjs');
const entry = path.join(root, 'core', 'sections', 'catalogue', 'measure.ts');
await bundle(entry, outfile);
const { meshedFile } = await import(pathToFileURL(outfile).href);
writeFileSync(path.join(root, 'core', 'sections', 'catalogue', 'data', 'meshed.csv'), meshedFile());
rmSync(folder, { recursive: true, force: true });
