import 'server-only';
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { type Crib, type Keeper, toProblem } from '@/crib/door';
import { handOver } from '@/crib/keeping';
import { codeFromConsole } from '@/crib/people';

/** How often it is looked whether something is asked. */
const LOOK_MS = 500;
/** What is asked: scripts/keep.mjs lays it into the folder `ask` of the data, which only its owner may write to. */
const ASKED = /^(archive|backup|check|recover)-[0-9a-f-]{36}\.json$/;

interface Asked {
  to?: string;
  keep?: number;
  locked?: boolean;
  person?: string;
}

/** Does what is asked from the command line of the server that has the data open, one after the other. */
export function heedAsked(crib: Crib & { keeper: Keeper }): void {
  const { keeper } = crib;
  const asks = join(keeper.facts().folder, 'ask');
  const does: Record<string, (asked: Asked) => Promise<object>> = {
    backup: ({ to, keep, locked }) =>
      keeper.backUp({ folder: String(to), keep: Math.max(1, Number(keep) || 1), locked: locked === true }),
    check: () => keeper.check(),
    recover: async ({ person }) => ({ code: await codeFromConsole(crib, String(person)) }),
    async archive({ to }) {
      const { file } = await keeper.archive();
      handOver(file, String(to));
      return { file: to };
    },
  };
  let busy = false;
  const look = async () => {
    if (busy || !existsSync(asks)) return;
    const name = readdirSync(asks).find((n) => ASKED.test(n));
    const what = name && does[name.slice(0, name.indexOf('-'))];
    if (!name || !what) return;
    busy = true;
    const path = join(asks, name);
    let answer: object;
    try {
      // Written by scripts/keep.mjs; what it holds is looked at by whoever takes it.
      answer = await what(JSON.parse(readFileSync(path, 'utf8')) as Asked);
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
