import { loadItem } from '@/crib/catalogue';
import { defineVerb, field, Problem } from '@/crib/door';
import { insertEdgeSet } from '@/data/life';
import { insertMounting, insertMovement, manyDamagedSeats, maybeMounted, onePlaceOfKind } from '@/data/stock';
import { bodyPiece, fact } from '../bodies';
import { mustBeInCrib } from '../placeInCrib';
import { parcelFields, takeThing } from '../things';

export const mountInserts = defineVerb({
  name: 'mountInserts',
  may: ['crib', 'operator'],
  path: 'inserts/mounted',
  summary:
    'Put inserts into a body: one item for all its good seats, so that grades are never mixed. New edges are a new life.',
  properties: {
    piece: field.words(20),
    body: field.words(40),
    bodyFrom: field.code,
    item: field.words(40),
    from: field.code,
    ...parcelFields,
  },
  required: ['item', 'from'],
  async run(c, input, moment) {
    const piece = await bodyPiece(c, moment, input);
    const body = await loadItem(c, piece.itemId);
    if (body.kind !== 'body')
      throw new Problem('REFUSED', `${body.code} is no cutter body`, { field: 'piece', value: piece.mark });
    const mounted = await maybeMounted(c, piece.id);
    if (mounted)
      throw new Problem(
        'REFUSED',
        `${piece.mark} holds ${mounted.quantity} × ${mounted.item}: grades are never mixed`,
        {
          field: 'piece',
          value: piece.mark,
          wayOut: 'Take those out first.',
        },
      );
    const seats = fact(body, 'CICT')?.value ?? null;
    if (seats === null)
      throw new Problem('REFUSED', `How many seats ${body.code} has is not known`, {
        field: 'piece',
        value: body.code,
        limit: 'CICT stated',
        wayOut: 'State its insert seats (CICT) first.',
      });
    const damaged = (await manyDamagedSeats(c, body.id)).filter((s) => s.pieceId === piece.id).length;
    const quantity = seats - damaged;
    if (quantity < 1)
      throw new Problem('REFUSED', `No seat of ${piece.mark} is good`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Scrap the body.',
      });
    const thing = await takeThing(c, moment, { ...input, piece: undefined, quantity });
    mustBeInCrib(thing.from, 'from');
    const takes = fact(body, 'MIID')?.text ?? null;
    const designation = (
      (await loadItem(c, thing.item.id)).facts.find((f) => f.symbol === 'ISO1832')?.text ?? ''
    )
      .replace(/\s/g, '')
      .toUpperCase();
    if (thing.item.kind !== 'insert')
      throw new Problem('REFUSED', `${thing.item.code} is no insert`, {
        field: 'item',
        value: thing.item.code,
      });
    if (takes !== null && designation && !designation.startsWith(takes.replace(/\s/g, '').toUpperCase()))
      throw new Problem('REFUSED', `${body.code} takes ${takes}, not ${designation}`, {
        field: 'item',
        value: thing.item.code,
        limit: takes,
        wayOut: 'Choose inserts that fit its seats.',
      });
    const build = await onePlaceOfKind(c, 'build');
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: thing.item.id,
      lotId: thing.lotId,
      from: thing.from.id,
      to: build.id,
      quantity,
    });
    const edgeSetId =
      piece.entryId === moment.entryId
        ? piece.edgeSetId
        : await insertEdgeSet(c, moment.entryId, { pieceId: piece.id, fresh: true });
    await insertMounting(c, moment.entryId, {
      edgeSetId: edgeSetId,
      itemId: thing.item.id,
      lotId: thing.lotId,
      quantity,
    });
    return { piece: piece.mark, item: thing.item.code, quantity, damaged };
  },
  says: (a) => `${a.quantity} × ${a.item} into ${a.piece}`,
});
