import { spawnSync } from 'node:child_process';
import { rmSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** A small disk in memory, where the system lets one be made; undefined elsewhere. */
export function smallDisk(directory: string, megabytes: number): { readonly release: () => void } | undefined {
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${megabytes}m`, 'tmpfs', directory], { stdio: 'ignore' });
  if (mounted.status !== 0) return undefined;
  return { release: () => void spawnSync('umount', [directory], { stdio: 'ignore' }) };
}

/** Fills the disk of a directory, all but so many bytes; returns what frees it again. */
export function filled(directory: string, left: number): () => void {
  const { bavail, bsize } = statfsSync(directory);
  const file = path.join(directory, 'ballast');
  writeFileSync(file, Buffer.alloc(Math.max(0, bavail * bsize - left)));
  return () => rmSync(file, { force: true });
}
