import { perform } from '@/crib/door';
import { furnish, openOwn } from '@/crib/testing';
import { verbNamed } from '@/crib/verbs';
import { beginSession } from './sessions';
import { whoSigns } from './whoSigns';

/** Sign-ins while something long is written, on a database with transactions of its own. */
it('who only reads is let in while a list is entered; that they were here is written down after it, once', async () => {
  let clock = new Date('2027-01-05T08:00:00Z');
  const db = await openOwn();
  const crib = { db, now: () => clock, zone: 'Europe/Oslo' };
  const act = (name: string, input: Record<string, unknown>) =>
    perform(crib, verbNamed(name)!, { who: 'IK', ...input });
  await furnish({ do: act });
  await act('setRole', { person: 'IK', role: 'owner' });
  const token = await db.transaction((c) => beginSession(c, clock, 'IK', 'Firefox'));
  const used = async () =>
    (await db.query<{ usedAt: Date }>('select used_at from session'))[0]!.usedAt.toISOString();

  // So long after its last use each request would write it down anew.
  clock = new Date('2027-01-05T08:05:00Z');
  const order: string[] = [];
  const long = db
    .longTransaction(async (c) => {
      for (let step = 1; step <= 40; step += 1) {
        await c.query('select pg_sleep(0.03)');
        await c.letReadersIn();
      }
    })
    .then(() => order.push('all of the list'));
  for (const who of ['first', 'second'])
    expect([who, (await whoSigns(crib, { token }))?.who]).toEqual([who, 'IK']);
  order.push('both');
  expect(await used()).toBe('2027-01-05T08:00:00.000Z');
  await long;
  expect(order).toEqual(['both', 'all of the list']);
  // Reads are let in no more: this one comes after what was to be written.
  expect(await used()).toBe('2027-01-05T08:05:00.000Z');

  // With nothing long under way it is there at once.
  clock = new Date('2027-01-05T08:10:00Z');
  await whoSigns(crib, { token });
  expect(await used()).toBe('2027-01-05T08:10:00.000Z');
  await db.close();
});
