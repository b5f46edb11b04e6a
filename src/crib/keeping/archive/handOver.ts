import { copyFileSync, rmSync } from 'node:fs';
import { Problem } from '@/crib/door';

/** Puts an archive that was made where it is wanted; what was made goes either way. Throws a Problem where it can't lie there. */
export function handOver(file: string, to: string): void {
  try {
    copyFileSync(file, to);
  } catch {
    throw new Problem('NO_ROOM', `${to} can’t be written`, {
      field: 'file',
      value: to,
      wayOut: 'Name another file, in a folder that is there and has room.',
    });
  } finally {
    rmSync(file, { force: true });
  }
}
