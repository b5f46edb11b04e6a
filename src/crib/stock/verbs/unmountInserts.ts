import { loadItem } from '@/crib/catalogue';
import { defineVerb, field, Problem, toNumber } from '@/crib/door';
import { insertEnding } from '@/data/life';
import {
  insertMovement,
  insertUnmounting,
  lotOf,
  maybeLotCode,
  maybeMounted,
  onePlaceOfKind,
} from '@/data/stock';
import { bodyPiece, fact } from '../bodies';
import { placeInCrib } from '../placeInCrib';

export const unmountInserts = defineVerb({
  name: 'unmountInserts',
  may: ['crib', 'operator'],
  path: 'inserts/taken-out',
  summary:
    'Take the inserts out of a body: whole ones come back with one edge less, those on their last edge and broken ones are scrap.',
  properties: { piece: field.words(20), to: field.code, broken: field.whole(0, 60) },
  required: ['piece', 'to'],
  async run(c, input, moment) {
    const piece = await bodyPiece(c, moment, { piece: input.piece });
    const mounted = await maybeMounted(c, piece.id);
    if (!mounted)
      throw new Problem('CONFLICT', `No inserts are in ${piece.mark}`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Somebody may have taken them out already: look at its history.',
      });
    const broken = input.broken === undefined ? 0 : toNumber(input.broken);
    if (broken > mounted.quantity)
      throw new Problem('INVALID_INPUT', `${broken} broken of ${mounted.quantity}`, {
        field: 'broken',
        value: broken,
        limit: `at most ${mounted.quantity}`,
      });
    const to = await placeInCrib(c, moment, 'to', input.to);
    moment.leansOn(mounted.entryId);
    const item = await loadItem(c, mounted.itemId);
    const whole = fact(item, 'EDGES')?.value ?? fact(item, 'CEDC')?.value ?? null;
    if (whole === null)
      throw new Problem('REFUSED', `How many edges ${item.code} has is not known`, {
        field: 'piece',
        value: item.code,
        limit: 'EDGES or CEDC stated',
        wayOut: 'State the edges that can be used first: then what comes back is counted.',
      });
    const left = (mounted.edgesLeft ?? whole) - 1;
    const build = await onePlaceOfKind(c, 'build');
    const scrap = await onePlaceOfKind(c, 'scrap');
    const move = (from: number | null, toId: number | null, lotId: number | null, quantity: number) =>
      quantity > 0
        ? insertMovement(c, { entryId: moment.entryId, itemId: item.id, lotId, from, to: toId, quantity })
        : Promise.resolve(0);
    const good = left > 0 ? mounted.quantity - broken : 0;
    await move(build.id, scrap.id, mounted.lotId, mounted.quantity - good);
    if (good > 0) {
      // They come back as another parcel: of the same lot, with one edge less, and used: ours, whoever's they were.
      await move(build.id, null, mounted.lotId, good);
      await move(
        null,
        to.id,
        await lotOf(c, moment.entryId, item.id, {
          code: await maybeLotCode(c, mounted.lotId),
          ownerId: null,
          edgesLeft: left,
        }),
        good,
      );
    }
    if (piece.endedEntryId === null && piece.edgeSetId === mounted.edgeSetId)
      await insertEnding(c, moment.entryId, {
        edgeSetId: mounted.edgeSetId,
        kind: 'preventive',
        signs: '[]',
        costCents: null,
      });
    await insertUnmounting(c, moment.entryId, { edgeSetId: mounted.edgeSetId, broken });
    return {
      piece: piece.mark,
      item: item.code,
      back: good,
      edgesLeft: left,
      scrapped: mounted.quantity - good,
    };
  },
  says: (a) => `${a.back} × ${a.item} out of ${a.piece}, ${a.edgesLeft} edges left, ${a.scrapped} scrapped`,
});
