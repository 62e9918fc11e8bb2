import { expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { buildSync } from 'esbuild';

test('the log says when and how grave, and cuts what is long', () => {
  const outfile = path.join(mkdtempSync(path.join(tmpdir(), 'rigid-beam-log-')), 'log.cjs');
  const text = `
    import { log } from './log';
    log.error({ number: 'a1', method: 'POST', path: '/api/models', err: new Error('insert failed\\nparams: ' + 'x'.repeat(5e6)) }, 'A request failed');
    log.info('not shown');`;
  buildSync({
    stdin: { contents: text, resolveDir: __dirname, loader: 'ts' },
    ...{ outfile, bundle: true, platform: 'node', logLevel: 'error' },
  });
  const { stderr } = spawnSync(process.execPath, [outfile], {
    encoding: 'utf8',
    env: { ...process.env, RIGID_BEAM_LOG: 'warn' },
  });
  const lines = stderr.trim().split('\n');
  expect(lines).toHaveLength(1);
  const entry = JSON.parse(lines[0]!) as { time: string; err: { message: string; stack: string } };
  expect(entry).toMatchObject({ level: 'error', number: 'a1', method: 'POST', path: '/api/models', msg: 'A request failed' });
  expect(Date.parse(entry.time)).toBeGreaterThan(Date.now() - 60_000);
  expect(entry.err.message).toBe('insert failed\nparams: …');
  expect(lines[0]!.length).toBeLessThan(5000);
});
