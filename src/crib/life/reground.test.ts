import { furnish, oneToolProgram, openTestCrib, type TestCrib } from '@/crib/testing';
import { lifeSheet } from './index';
import { regrindCost } from './views/regroundView';

/** Whether grinding again pays: lives after it beside fresh ones, and what each costs. */
let crib: TestCrib;
let operation: number;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
  await crib.do('addPlace', { code: 'GRIND', name: 'Grinder', kind: 'regrind' });
  await crib.do('receiveStock', { item: 'EM10', place: 'S1', quantity: 20 });
  ({ operation } = (await crib.do('addJob', {
    ...{ number: 'J-1', part: 'Block', material: 'C45', quantity: 9000, due: '2027-02-01', machine: 'M2' },
  })) as unknown as { operation: number });
  await crib.do('storeProgram', { operation, text: oneToolProgram(7, 1) });
});
afterAll(() => crib.db.close());

const later = () => crib.at(new Date(crib.now().getTime() + 600_000).toISOString());
/** A life of a fresh one or of a piece; gives back its mark. */
async function live(parts: number, piece?: string): Promise<string> {
  later();
  const { tag } = await crib.do('buildAssembly', {
    cutter: piece ? { piece } : { item: 'EM10', place: 'S1' },
    ...{ holder: { item: 'SL10', place: 'S1' }, stickout: 34, for: { operation, t: 7 } },
  });
  await crib.do('logParts', { operation, parts, confirmed: true });
  await crib.do('endLife', { tag, kind: 'worn' });
  const down = await crib.db.query<{ mark: string }>(
    'select p.mark from assembly a join piece p on p.id = a.piece_id where a.tag = $1',
    [String(tag)],
  );
  return down[0]!.mark;
}
async function grind(piece: string, costCents: number): Promise<void> {
  later();
  await crib.do('sendToRegrind', { piece, to: 'GRIND' });
  await crib.do('takeFromRegrind', { piece, place: 'S1', dc: '9.8', lcf: '21', costCents });
}
const sheet = async () => (await lifeSheet(crib.db, 'EM10', 'C45'))!;

it('a reground edge of 12.00 that lasts half as long as a new one of 31.50 costs three quarters of it a minute', async () => {
  const marks: string[] = [];
  for (const parts of [38, 42, 40, 44]) marks.push(await live(parts));
  expect((await sheet()).reground).toBeNull();
  for (const [i, parts] of [19, 21, 20, 22].entries()) {
    await grind(marks[i]!, 1200);
    await live(parts, marks[i]);
  }
  const { reground, lives } = await sheet();
  // A reground life is told apart: it is none of the fresh ones.
  expect(lives).toBe(4);
  expect(reground).toMatchObject({
    lives: 4,
    sent: 4,
    lost: 0,
    compared: { longer: 'first' },
    cheaper: 'second',
  });
  expect(reground!.compared.times?.value).toBeCloseTo(2, 1);
  const { first, second } = reground!.rates;
  expect(first.edge.cents).toBe(3150);
  expect(second.edge).toEqual({ cents: 1200, of: 'a regrind, by 4 that were paid for' });
  // (12 / 20.5) / (31.5 / 41) = 0.762, whatever law the means are of.
  expect(second.aMinute!.cents / first.aMinute!.cents).toBeCloseTo(0.762, 2);
});

it('what is lost at the grinder’s is paid by those that come back; what nobody paid for has no cost', () => {
  const row = (costCents: number | null, lost = false) => ({ costCents, lost });
  expect(regrindCost([row(1000), row(1400), row(1200), row(null, true)]).cents).toBe(1600);
  expect(regrindCost([row(null), row(null)]).cents).toBeNull();
});
