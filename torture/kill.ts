import { randomUUID } from 'node:crypto';
import { rmSync } from 'node:fs';
import { furnish, oneList, oneReceived, pieces } from './shop';
import { newFolder, startStable } from './server';

/**
 * Kills a first start while it makes its database; started again it must become somebody's, as if nothing had been. A
 * process that was making one for it may go on for a while.
 */
export async function killedFirstStarts(
  rounds: number,
  random: () => number,
): Promise<{ rounds: number; begun: number }> {
  let begun = 0;
  for (let round = 0; round < rounds; round += 1) {
    const first = await startStable(newFolder(), 'begun');
    await new Promise((resolve) => setTimeout(resolve, 300 + random() * 12_000));
    await first.end('SIGKILL');
    const next = await startStable(first.folder);
    await furnish(next);
    if ((await next.post('stock/received', oneReceived())).status === 201) begun += 1;
    await next.end();
    rmSync(first.folder, { recursive: true });
  }
  return { rounds, begun };
}

/**
 * Kills the server while a list comes in: laid down, entered, or just after. Started again either nothing of it is there or
 * all of it; and what was not acknowledged comes in when it is sent again.
 */
export async function killedLists(
  rounds: number,
  rows: number,
  random: () => number,
): Promise<{ rounds: number; none: number; whole: number; half: number; again: number }> {
  const out = { rounds, none: 0, whole: 0, half: 0, again: 0 };
  let stable = await startStable();
  await furnish(stable);
  for (let round = 0; round < rounds; round += 1) {
    const content = oneList(rows, `N${round}-`);
    const see = async (): Promise<{ digest: string; of: { added: number }; same: number }> =>
      JSON.parse((await stable.post('items/import-preview', { content })).text);
    const bring = async () =>
      stable.post('items/imported', { who: 'IK', name: 'list.csv', content, accepted: (await see()).digest });
    const coming = bring().catch(() => undefined);
    await new Promise((resolve) => setTimeout(resolve, random() * rows * KILLED_WITHIN_MS));
    await stable.end('SIGKILL');
    await coming;
    stable = await startStable(stable.folder);
    const { of, same } = await see();
    if (same === rows) out.whole += 1;
    else if (of.added === rows && same === 0) {
      out.none += 1;
      if ((await bring()).status === 201 && (await see()).same === rows) out.again += 1;
    } else out.half += 1;
  }
  await stable.end();
  rmSync(stable.folder, { recursive: true });
  return out;
}
/** About as long as a row of a list takes to be read and to come in, ms. */
const KILLED_WITHIN_MS = 3;

export interface Killed {
  rounds: number;
  acknowledged: number;
  lost: number;
  /** Pieces in the books that no form stands for: doubled, or half written. */
  tooMany: number;
  errors: number;
}

/**
 * Kills the server with SIGKILL while it starts, while it is written to and just after, round by round. What was
 * acknowledged must be there: sent again, its form answers with its first entry.
 */
export async function kills(rounds: number, random: () => number): Promise<Killed> {
  const first = await startStable();
  await furnish(first);
  await first.end();
  const { folder } = first;
  const acknowledged = new Map<string, number>();
  const sent = new Set<string>();
  const out: Killed = { rounds, acknowledged: 0, lost: 0, tooMany: 0, errors: 0 };
  for (let round = 0; round < rounds; round += 1) {
    if (round % 4 === 3) {
      // While it opens the database, and mends what the last kill left.
      const starting = await startStable(folder, 'begun');
      await new Promise((resolve) => setTimeout(resolve, 300 + random() * 2500));
      await starting.end('SIGKILL');
      continue;
    }
    const stable = await startStable(folder);
    let on = true;
    const writer = async () => {
      while (on) {
        const form = oneReceived(randomUUID());
        sent.add(form.formId);
        try {
          const reply = await stable.post('stock/received', form);
          if (reply.status === 201)
            acknowledged.set(form.formId, (JSON.parse(reply.text) as { entry: number }).entry);
          else if (reply.status >= 500) out.errors += 1;
        } catch {
          return;
        }
      }
    };
    const writers = [writer(), writer(), writer(), writer()];
    await new Promise((resolve) => setTimeout(resolve, 300 + random() * 3500));
    on = random() < 0.5;
    await stable.end('SIGKILL');
    on = false;
    await Promise.all(writers);
  }
  const last = await startStable(folder);
  const recorded = new Set<number>();
  const there = await pieces(last);
  for (const formId of sent) {
    const reply = await last.post('stock/received', oneReceived(formId));
    const { entry, again } = JSON.parse(reply.text) as { entry: number; again?: true };
    const before = acknowledged.get(formId);
    if (again) recorded.add(entry);
    if (before !== undefined && (!again || entry !== before)) out.lost += 1;
  }
  out.acknowledged = acknowledged.size;
  out.tooMany = there - recorded.size;
  await last.end();
  return out;
}
