import { itemView } from '@/crib/catalogue';
import { standingCards } from '@/crib/rack';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { takeableView } from './views/takeableView';

/** Three hundred random acts against a model kept by hand: every count on every screen must agree at every step. */
let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
});
afterAll(() => crib.db.close());

it('random acts and their counter-entries leave every count as a model in memory has it', async () => {
  let seed = 12_345;
  const random = () => (seed = (seed * 1_103_515_245 + 12_345) & 0x7fffffff) / 0x7fffffff;
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  await furnish(crib);
  interface Model {
    unused: number;
    holders: number;
    built: Map<string, string>;
    loose: string[];
    ended: string[];
    scrap: number;
  }
  let model: Model = { unused: 3, holders: 2, built: new Map(), loose: [], ended: [], scrap: 0 };
  const copy = (m: Model): Model => ({
    ...m,
    built: new Map(m.built),
    loose: [...m.loose],
    ended: [...m.ended],
  });
  const done: { entry: number; before: Model }[] = [];
  let refused = 0;
  let countered = 0;

  for (let step = 0; step < 300; step += 1) {
    const before = copy(model);
    const act = pick(['receive', 'build', 'build', 'rebuild', 'down', 'end', 'grade', 'undo'] as const);
    const tag = pick([...model.built.keys()]);
    const piece = pick(model.loose);
    const ended = pick(model.ended);
    const place = pick(['S1', 'USED']);
    try {
      let answer: { entry: number } & Record<string, unknown>;
      if (act === 'receive') {
        const item = pick(['EM10', 'SL10']);
        answer = await crib.do('receiveStock', { item, place: 'S1', quantity: 2 });
        if (item === 'EM10') model.unused += 2;
        else model.holders += 2;
      } else if (act === 'build') {
        answer = await crib.do('buildAssembly', {
          cutter: { item: 'EM10', place: 'S1' },
          holder: { item: 'SL10', place: 'S1' },
          stickout: 34,
        });
        expect(model.unused > 0 && model.holders > 0).toBe(true);
        const mark = (await standingCards(crib.db)).find((a) => a.tag === answer.tag)!.mark;
        model.built.set(String(answer.tag), mark);
        model.unused -= 1;
        model.holders -= 1;
      } else if (act === 'rebuild' && piece) {
        answer = await crib.do('buildAssembly', {
          cutter: { piece },
          holder: { item: 'SL10', place: 'S1' },
          stickout: 34,
        });
        model.built.set(String(answer.tag), piece);
        model.loose = model.loose.filter((p) => p !== piece);
        model.holders -= 1;
      } else if (act === 'down' && tag) {
        answer = await crib.do('takeDown', { tag, cutterTo: place });
        model.loose.push(model.built.get(tag)!);
        model.built.delete(tag);
        model.holders += 1;
      } else if (act === 'end' && tag) {
        const scrap = random() < 0.5;
        answer = await crib.do('endLife', { tag, kind: 'worn', ...(scrap ? {} : { cutterTo: place }) });
        if (scrap) model.scrap += 1;
        else model.ended.push(model.built.get(tag)!);
        model.built.delete(tag);
        model.holders += 1;
      } else if (act === 'grade' && ended) {
        const grade = pick(['aluminium', 'scrap']);
        answer = await crib.do('gradePiece', { piece: ended, grade });
        model.ended = model.ended.filter((p) => p !== ended);
        if (grade === 'scrap') model.scrap += 1;
        else model.loose.push(ended);
      } else if (act === 'undo' && done.length) {
        // Only the newest can be sure to be taken back; then the model is what it was before it.
        const last = done.pop()!;
        await crib.do('counterEntry', { counters: last.entry });
        model = copy(last.before);
        countered += 1;
        continue;
      } else continue;
      done.push({ entry: answer.entry, before });
    } catch (error) {
      expect((error as { code: string }).code).toBe('CONFLICT');
      expect(model.holders === 0 || model.unused === 0).toBe(true);
      model = before;
      refused += 1;
    }
    if (step % 10 === 0) await agree();
  }
  await agree();
  expect(refused).toBeGreaterThan(3);
  expect(countered).toBeGreaterThan(15);

  async function agree(): Promise<void> {
    const cutter = (await itemView(crib.db, 'EM10')).item!;
    const holder = (await itemView(crib.db, 'SL10')).item!;
    // What can be taken is what lies there, less what ended and is not graded.
    const takes = (await takeableView(crib.db, {}, '2027-01-05')).sources.map((s) => s.value);
    expect(takes.filter((v) => v === 'EM10|S1').length).toBe(model.unused > 0 ? 1 : 0);
    expect(takes.filter((v) => v.startsWith('E-')).sort()).toEqual(
      cutter.pieces
        .filter((p) => p.endedEntryId === null || p.grade !== null)
        .map((p) => p.mark)
        .sort(),
    );
    expect(cutter).toMatchObject({ unused: model.unused, inBuilds: model.built.size });
    expect(holder).toMatchObject({ unused: model.holders, inBuilds: model.built.size });
    expect(cutter.pieces.map((p) => p.mark).sort()).toEqual([...model.loose, ...model.ended].sort());
    expect(
      cutter.pieces
        .filter((p) => p.endedEntryId !== null && p.grade === null)
        .map((p) => p.mark)
        .sort(),
    ).toEqual([...model.ended].sort());
    const standing = new Map((await standingCards(crib.db)).map((a) => [a.tag, a.mark]));
    expect([...standing].sort()).toEqual([...model.built].sort());
    const [scrap] = await crib.db.query<{ n: number }>(
      "select coalesce(sum(quantity), 0)::int as n from balance b join place p on p.id = b.place_id where p.kind = 'scrap'",
    );
    expect(scrap!.n).toBe(model.scrap);
  }
});
