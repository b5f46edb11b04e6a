import { randomUUID } from 'node:crypto';
import { letOthersIn, perform } from '@/crib/door';
import { furnish, openOwn, OWNER } from '@/crib/testing';
import { verbNamed } from '@/crib/verbs';
import { VIEWS } from '@/crib/views';
import { previewImport } from './preview';

/** Of the views that show one thing, what they are asked; the others are asked without words. */
const ASKED: Record<string, string[]> = {
  items: ['', 'q=square', 'q=S-NEW77', 'sort=dc', 'sort=-unused', 'place=S1'],
  item: ['code=EM10', 'code=OLD1', 'code=NEW1'],
  stock: ['', 'q=square'],
  choose: ['feature=pocket&depth=10&corner=6'],
  takeable: ['what=cutter&q=square', 'what=cutter&q=NEW'],
  movements: ['item=EM10', 'item=OLD1'],
  place: ['code=S1'],
};

it('while a list comes in every view answers, as if nothing of it were there; then it is there at once', async () => {
  const now = () => new Date('2027-01-05T09:00:00Z');
  const db = await openOwn();
  const crib = { db, zone: 'Europe/Oslo', now };
  const act = (name: string, input: Record<string, unknown>) =>
    perform(crib, verbNamed(name)!, { who: 'IK', formId: randomUUID(), ...input });
  await furnish({ do: act });
  const bring = async (rows: readonly string[]) => {
    const list = Buffer.from(
      `code,kind,family,DC,LCF,OAL,segments,LF,supplier,order_code,price,pack,life_minutes,life_origin,standing,standing_reason,links\n${rows.join('\n')}`,
    );
    const { digest, refused, unknown } = await previewImport(crib.db, list);
    expect([refused, unknown]).toEqual([[], []]);
    return act('importItems', { name: 'list.csv', content: list.toString('base64'), accepted: digest });
  };
  const cutter = (code: string, length: number, supplier: string, price: number) =>
    `${code},cutter,square,10,22,${length},,,${supplier},S-${code},${price}.50,1,40,guess,,,`;
  const old = (length: number, price: number) =>
    Array.from({ length: 60 }, (_, i) => cutter(`OLD${i}`, length, 'NORD', price));
  await bring(old(70, 10));
  const [newest] = await db.query<{ id: number }>('select max(id) as id from item');

  const asked = VIEWS.flatMap((view) =>
    (ASKED[view.path] ?? ['']).map((words) => ({ view, words, name: `${view.path}?${words}` })),
  );
  /** What a view answers: what it shows, or why not. */
  const answer = async ({ view, words }: (typeof asked)[number]) =>
    JSON.stringify(
      await view
        .read({ ...crib, db }, new URLSearchParams(words), undefined, OWNER)
        .catch((e: unknown) => String(e)),
    );
  const before = new Map<string, string>();
  for (const ask of asked) before.set(ask.name, await answer(ask));

  const news = Array.from({ length: 300 }, (_, i) => cutter(`NEW${i}`, 66, 'FRESH', 12));
  const holder = 'HOLD1,holder,,,,,40:50:40; 20:40:30,60,,,,,,,,,';
  /** What was asked after each step, and how many rows of the list were written by then. */
  const steps: number[] = [];
  crib.db = {
    ...db,
    longTransaction: (work) =>
      db.longTransaction((c) =>
        work({
          ...c,
          letReadersIn: async () => {
            const [written] = await c.query<{ n: number }>(
              'select (select count(*) from item where id > $1)::int + (select count(*) from fact where item_id > $1)::int as n',
              [newest!.id],
            );
            steps.push(written!.n);
            // Every fifth of them: what was there to be seen after one step is there after the next.
            const now = asked.filter((_, i) => i % 5 === steps.length % 5);
            let all = false;
            const answering = (async () => {
              for (const ask of now)
                expect([steps.length, ask.name, await answer(ask)]).toEqual([
                  ...[steps.length, ask.name],
                  before.get(ask.name),
                ]);
            })().finally(() => void (all = true));
            for (; !all; await letOthersIn()) await c.letReadersIn();
            await answering;
          },
        }),
      ),
  };
  expect(await bring([...news, holder, ...old(72, 11)])).toMatchObject({ added: 301, changed: 60 });
  // More and more of it was written meanwhile, in the end all of it.
  expect(steps.length).toBeGreaterThan(5);
  expect(steps.at(-5)).toBeGreaterThan(0);
  expect(steps.at(-1)).toBe(301 + 3 * 300 + 1);

  // And all of it is there, with what is derived of it, as if it had been entered without a list.
  const after = new Map<string, string>();
  for (const ask of asked) after.set(ask.name, await answer(ask));
  expect(after.get('item?code=NEW1')).toContain('FRESH');
  expect(after.get('item?code=OLD1')).toContain('72');
  expect(after.get('items?q=S-NEW77')).toContain('NEW77');
  const [differing] = await crib.db.query<{ items: number; facts: number }>(`
    with said as (
      select * from said_of_items(array(select i.id from item i join live_entry e on e.id = i.entry_id))),
    latest as (
      select distinct on (f.item_id, f.symbol) f.item_id, f.symbol, f.entry_id, f.text, f.unit, f.value, f.origin
      from fact f join live_entry e on e.id = f.entry_id order by f.item_id, f.symbol, e.happened_at desc, e.id desc)
    select
      (select count(*)::int from said s full join item_now n on n.item_id = s.item_id
       where (n.sort_code, n.kind, n.family, n.dc, n.reach, n.search) is distinct from (s.sort_code, s.kind, s.family, s.dc, s.reach, s.search)) as items,
      (select count(*)::int from latest l full join fact_now n on n.item_id = l.item_id and n.symbol = l.symbol
       where (n.entry_id, n.text, n.unit, n.value, n.origin) is distinct from (l.entry_id, l.text, l.unit, l.value, l.origin)) as facts`);
  expect(differing).toEqual({ items: 0, facts: 0 });
  await crib.db.close();
}, 120_000);
