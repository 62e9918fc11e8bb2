import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { freePort } from '../free-port';
import { Client } from './client';
import { filled, smallDisk } from './disk';
import { tortureFiles } from './files';
import { hostileRequest } from './hostile';
import { editWalk } from '../../core/test/edit-walk';
import { Random } from '../../core/test/random';
import { HANGS, Tortured } from './server';

type Start = ConstructorParameters<typeof Tortured>[0];

export interface Torture {
  readonly minutes: number;
  readonly seed: number;
  readonly start: Start;
}

/** Bytes of memory that the server may take. */
const MEMORY = 1.2e9;
const DISK = 700;
/** Files, requests and edits that every minute tries at least, and at most in all. */
const A_MINUTE = 1_000;
const AT_MOST = 10_000;
/** Edits of one random model, before another begins. */
const WALK = 50;

/**
 * Two clients edit, a third party sends what nobody should, the server is killed at any moment and its disk runs full; what was acknowledged
 * must be there whenever it starts again. Before, spoiled files are read and solved, and random edits solved as a fresh start solves them.
 * Returns the counts, with all that went wrong among them.
 */
export async function torture({ minutes, seed, start }: Torture): Promise<object> {
  const random = new Random(seed);
  const data = mkdtempSync(path.join(tmpdir(), 'rigid-beam-torture-'));
  const disk = smallDisk(data, DISK);
  const server = new Tortured(start, await freePort(), data);
  const least = Math.min(AT_MOST, Math.ceil(minutes * A_MINUTE));
  const counts = { files: least, solvedEdits: least, kills: 0, fullDisks: 0, hostile: 0 };
  const examples = readdirSync('examples').filter((name) => name.endsWith('.rbm.json'));
  const models = examples.map((name) => readFileSync(path.join('examples', name), 'utf8'));
  server.troubles.push(...tortureFiles(random, counts.files, models, HANGS));
  for (let step = 0; step < counts.solvedEdits; step += WALK) server.troubles.push(...editWalk(random, WALK));
  const end = Date.now() + minutes * 60_000;
  await server.begin();
  const project = await anyProject(server);
  const clients = [new Client(server, random, 'left'), new Client(server, random, 'right')];
  for (const client of clients) await client.open(project);
  const victim = (
    (await server.ask('/api/models', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ project, title: 'victim' }),
    }))!.body as { id: string }
  ).id;

  while (Date.now() < end && server.troubles.length < 20) {
    const rounds = 5 + random.below(30);
    for (let round = 0; round < rounds; round++) {
      await Promise.all(clients.map((client) => client.edit()));
      for (let n = 0; n < 5; n++, counts.hostile++) await hostileRequest(server, random, victim);
    }
    if (disk && random.below(6) === 0) {
      const free = filled(data, 20e6);
      const stored = await Promise.all(clients.map((client) => client.edit('full disk')));
      if (stored.some(Boolean)) server.troubles.push('an edit was acknowledged though the disk was full');
      for (const client of clients) await client.verify();
      free();
      const again = await Promise.all(clients.map((client) => client.edit()));
      if (!again.every(Boolean)) server.troubles.push('no edit was stored after the disk had room again');
      counts.fullDisks++;
    }
    // In the middle of what is on its way.
    const inFlight = clients.map((client) => client.edit());
    await new Promise((resolve) => setTimeout(resolve, random.below(12)));
    await server.end(random.below(8) === 0 ? 'SIGTERM' : 'SIGKILL');
    await Promise.all(inFlight);
    counts.kills++;
    await server.begin();
    for (const client of clients) await client.verify();
  }
  for (; counts.hostile < least && server.troubles.length < 20; counts.hostile++) await hostileRequest(server, random, victim);
  await server.end('SIGTERM');
  disk?.release();
  rmSync(data, { recursive: true, force: true });
  if (server.memory > MEMORY) server.troubles.push(`the server took ${(server.memory / 1e6).toFixed(0)} MB`);
  return {
    ...counts,
    disk: disk ? `${DISK} MB in memory` : 'could not be made small here: no full disk was tried',
    starts: server.starts,
    requests: server.requests,
    acknowledged: clients.reduce((sum, { acknowledged }) => sum + acknowledged, 0),
    slowestStart: `${server.slowestStart.toFixed(0)} ms`,
    slowestRequest: `${server.slowestRequest.toFixed(0)} ms`,
    memory: `${(server.memory / 1e6).toFixed(0)} MB`,
    seed,
    troubles: server.troubles,
  };
}

/** The demo's project. */
async function anyProject(server: Tortured): Promise<string> {
  const answer = await server.ask('/api/projects');
  return (answer!.body as { projects: { id: string }[] }).projects[0]!.id;
}
