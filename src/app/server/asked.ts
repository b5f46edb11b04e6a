import 'server-only';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Beside, type Crib, toProblem } from '@/crib/door';
import { backUp } from '@/crib/keeping';
import { codeFromConsole } from '@/crib/people';
import type { FolderDatabase } from '@/data/database';

/** How often it is looked whether something is asked. */
const LOOK_MS = 500;
/** What is asked: scripts/keep.mjs lays it into the folder `ask` of the data, which only its owner may write to. */
const ASKED = /^(backup|recover)-[0-9a-f-]{36}\.json$/;

/** Does what is asked from the command line of the server that has the data open, one after the other. */
export function heedAsked(crib: Crib & { db: FolderDatabase }, data: string, beside: Beside): void {
  const asks = join(data, 'ask');
  let busy = false;
  const backedUp = async (to: string, keep: number) => {
    const { folder, backup } = await backUp(crib.db, {
      data,
      to,
      now: new Date(),
      keep: Math.max(1, keep || 1),
      beside,
    });
    return { folder, lastEntry: backup.lastEntry };
  };
  const look = async () => {
    if (busy || !existsSync(asks)) return;
    const name = readdirSync(asks).find((n) => ASKED.test(n));
    if (!name) return;
    busy = true;
    const path = join(asks, name);
    let answer: object;
    try {
      // Written by scripts/keep.mjs; what it holds is looked at by whoever takes it.
      const asked = JSON.parse(readFileSync(path, 'utf8')) as { to?: string; keep?: number; person?: string };
      answer = name.startsWith('recover')
        ? { code: await codeFromConsole(crib, String(asked.person)) }
        : await backedUp(String(asked.to), Number(asked.keep));
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
