import { againstRegrind } from '@/core/cutters';
import { loadItem, cutterOf } from '@/crib/catalogue';
import { defineVerb, field, foundInUse, Problem } from '@/crib/door';
import { moveThing, takeThing } from '@/crib/stock';
import { manySupplies } from '@/data/catalogue';
import { insertRegrindOut, manyReground, maybePlace } from '@/data/stock';

export const sendToRegrind = defineVerb({
  name: 'sendToRegrind',
  may: ['crib'],
  path: 'regrinds',
  summary: 'Send a marked cutter to be reground, within the limits of its maker or the shop.',
  properties: {
    piece: field.words(20),
    to: field.code,
    due: field.day,
    wanted: field.words(200),
    despite: field.words(200),
  },
  required: ['piece', 'to'],
  async run(c, input, moment) {
    const thing = await takeThing(c, moment, { piece: input.piece });
    const item = await loadItem(c, thing.item.id);
    if (item.kind !== 'cutter')
      throw new Problem('REFUSED', `${thing.words} is no solid cutter: inserts are turned, not reground`, {
        field: 'piece',
        value: thing.words,
      });
    const to = foundInUse(await maybePlace(c, input.to.toUpperCase()), 'to', input.to, 'place');
    if (to.kind !== 'regrind')
      throw new Problem('REFUSED', `to: ${to.name} is no regrind shop`, {
        field: 'to',
        value: to.code,
        wayOut: 'Add the regrind shop as a place of its own kind.',
      });
    // A thing named by its mark is a piece.
    const before = await manyReground(c, [thing.piece!.id]);
    const fact = (symbol: string) => item.facts.find((f) => f.symbol === symbol)?.value ?? null;
    const against = againstRegrind({
      cutter: cutterOf(item),
      regrinds: before.length,
      limit: fact('REGRINDS'),
      dcMin: fact('DC_MIN'),
      dc: before[0]?.dcMm ?? cutterOf(item).DC,
      costCents: before[0]?.costCents ?? null,
      priceCents: (await manySupplies(c, [item.id]))[0]?.priceCents ?? null,
    });
    if (against.length && !input.despite)
      throw new Problem('REFUSED', `Against regrinding ${thing.words}: ${against.join('; ')}`, {
        field: 'piece',
        value: thing.words,
        wayOut: 'Scrap it; or say in ‘despite’ why it is worth it all the same.',
      });
    moment.leansOn(to.entryId);
    await moveThing(c, moment, thing, to.id);
    await insertRegrindOut(c, moment.entryId, {
      // As above.
      pieceId: thing.piece!.id,
      placeId: to.id,
      due: input.due ?? null,
      wanted: input.wanted?.trim() ?? null,
    });
    return { piece: thing.words, to: to.code, due: input.due ?? null };
  },
  says: (a) => `${a.piece} to be reground at ${a.to}`,
});
