import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { perform } from '@/crib/door';
import { OWNER } from '@/crib/testing';
import { openEmpty } from '@/data/testing';
import { verbNamed } from '@/crib/verbs';
import { VIEWS } from '@/crib/views';
import { enterKindWords } from '@/data/catalogue';
import { plainDamage } from '@/data/database';
import { sumFaults } from '@/data/keeping';
import { bringIn, openArchive } from './archive/readArchive';

/**
 * A small shop under each schema that was ever released, as its own program wrote it: a job under way, parts logged, a life
 * that ended, an order half received, an entry taken back. Each comes along to the schema of now, with all that follows from
 * it. A new release lays down the next (bench/released.ts), and none is ever written anew.
 */
const RELEASED = join(process.cwd(), 'src', 'crib', 'keeping', 'released');
const NEWEST = Math.max(
  ...readdirSync(join(process.cwd(), 'src', 'data', 'migrations')).map((f) => Number(f.slice(0, 4))),
);
const now = () => new Date('2027-01-06T09:00:00Z');
const zone = 'Europe/Oslo';

it.each(readdirSync(RELEASED))('%s comes along', async (file) => {
  const path = join(RELEASED, file);
  const db = await openEmpty();
  const archive = await openArchive(path);
  const schema = Number(file.slice(0, 4));
  expect(await bringIn(db, archive, path)).toBe(NEWEST - schema);
  archive.close();
  await enterKindWords(db);
  expect(await plainDamage(db)).toEqual([]);
  expect(await sumFaults(db)).toEqual([]);
  const crib = { db, now, zone };
  const asked: Record<string, string> = {
    job: 'number=J-1',
    item: 'code=EM10',
    life: 'item=EM10&material=C45',
    run: 'operation=1',
  };
  const shown = Object.fromEntries(
    await Promise.all(
      VIEWS.filter((v) => !['assembly', 'count', 'place'].includes(v.path)).map(
        async (v) =>
          [v.path, await v.read(crib, new URLSearchParams(asked[v.path]), undefined, OWNER)] as const,
      ),
    ),
  ) as Record<string, never>;
  expect(shown).toMatchObject({
    // Received 3 and 6 (and 20 of a lot, which the first release did not know of) and 2 of an order; two were built.
    stock: {
      lines: expect.arrayContaining([
        expect.objectContaining({ item: 'EM10', place: 'S1', quantity: 9, lot: null }),
      ]),
    },
    jobs: {
      open: [
        expect.objectContaining({
          operation: expect.objectContaining({ job: 'J-1', partsMade: 10, quantity: 40 }),
        }),
      ],
    },
    orders: { orders: [expect.objectContaining({ number: 'O-0001', quantity: 6, received: 2 })] },
    life: { records: expect.arrayContaining([expect.objectContaining({ ended: null })]) },
  });
  // And it goes on: the same verbs write on what came along.
  const { entry } = await perform(crib, verbNamed('logParts')!, { who: 'IK', operation: 1, parts: 1 });
  expect(entry).toBeGreaterThan(archive.stable.lastEntry);
  await expect(
    perform(crib, verbNamed('moveStock')!, {
      who: 'IK',
      item: 'EM10',
      from: 'S1',
      to: 'USED',
      quantity: 10,
    }),
  ).rejects.toMatchObject({ code: 'CONFLICT' });
  expect(await sumFaults(db)).toEqual([]);
  await db.close();
});
