import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { furnish, oneReceived } from './shop';
import { PASSWORD, startStable } from './server';

/** What happened on a disk that filled up; null where this machine lets nobody make one. */
export interface FullDisk {
  nearlyFull: { write: number; read: number };
  /** Somebody who was signed out signs in and reads. */
  full: { write: number; read: number; signIn: number; seconds: number };
  /** Killed and started again on the full disk. */
  anew: { read: number; write: number };
  again: number;
}

/** A small disk of its own, filled to the last byte under a running server and made room on again. */
export async function fullDisk(): Promise<FullDisk | null> {
  const disk = mkdtempSync(join(tmpdir(), 'stable-disk-'));
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=700m', 'tmpfs', disk]).status !== 0) return null;
  let stable = await startStable(join(disk, 'data'));
  try {
    await furnish(stable);
    const write = async () => (await stable.post('stock/received', oneReceived())).status;
    const read = async () => (await stable.get('/api/v1/items')).status;
    const fill = (name: string, leave: number) => {
      const { bavail, bsize } = statfsSync(disk);
      writeFileSync(join(disk, name), Buffer.alloc(Math.max(0, bavail * bsize - leave)));
    };
    fill('some', 150_000_000);
    const nearlyFull = { write: await write(), read: await read() };
    fill('rest', 0);
    const begun = Date.now();
    const signIn = await stable.post('sign-in', { who: 'IK', password: PASSWORD });
    const full = {
      write: await write(),
      read: await read(),
      signIn: signIn.status,
      seconds: (Date.now() - begun) / 1000,
    };
    await stable.end('SIGKILL');
    // Nothing is left of what the end let go of either.
    fill('last', 0);
    stable = await startStable(join(disk, 'data'));
    const anew = { read: await read(), write: await write() };
    rmSync(join(disk, 'some'));
    rmSync(join(disk, 'rest'));
    rmSync(join(disk, 'last'));
    return { nearlyFull, full, anew, again: await write() };
  } finally {
    await stable.end('SIGKILL');
    spawnSync('umount', [disk]);
  }
}
