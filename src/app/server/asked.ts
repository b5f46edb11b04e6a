import 'server-only';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Beside, toProblem } from '@/crib/door';
import { backUp } from '@/crib/keeping';
import type { FolderDatabase } from '@/data/database';

/** How often it is looked whether something is asked. */
const LOOK_MS = 500;
/** An asked backup: `npm run backup` lays it into the folder `ask` of the data, which only its owner may write to. */
const ASKED = /^backup-[0-9a-f-]{36}\.json$/;

/** Does what is asked from the command line of the server that has the data open, one after the other. */
export function heedAsked(db: FolderDatabase, data: string, beside: Beside): void {
  const asks = join(data, 'ask');
  let busy = false;
  const look = async () => {
    if (busy || !existsSync(asks)) return;
    const name = readdirSync(asks).find((n) => ASKED.test(n));
    if (!name) return;
    busy = true;
    const path = join(asks, name);
    let answer: object;
    try {
      // Written by scripts/keep.mjs; what it holds is looked at by whoever takes it.
      const asked = JSON.parse(readFileSync(path, 'utf8')) as { to: string; keep: number };
      const { folder, backup } = await backUp(db, {
        data,
        to: String(asked.to),
        now: new Date(),
        keep: Math.max(1, Number(asked.keep) || 1),
        beside,
      });
      answer = { folder, lastEntry: backup.lastEntry };
    } catch (error) {
      const { message, wayOut } = toProblem(error);
      answer = { wrong: message, wayOut };
    }
    rmSync(path, { force: true });
    writeFileSync(path.replace(/json$/, 'done'), JSON.stringify(answer));
    busy = false;
  };
  // A disk that takes no file keeps no server from serving.
  setInterval(() => void look().catch(() => (busy = false)), LOOK_MS).unref();
}
