import { insertEdgeSet, insertEnding } from '@/data/life';
import { inCrib } from '@/core/stock';
import { loadItems, type CribItem } from '@/crib/cutters';
import { defineVerb, field, found, Problem, toNumber, type Moment } from '@/crib/door';
import { nextNumber } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import {
  insertMovement,
  lotOf,
  maybePiece,
  onePlaceOfKind,
  type PieceRow,
  insertMounting,
  insertPiece,
  insertUnmounting,
  manyDamagedSeats,
  maybeLotCode,
  maybeMounted,
} from '@/data/stock';
import { placeInCrib } from './placeInCrib';
import { parcelFields, takeThing } from './things';

const fact = (item: CribItem, symbol: string) => item.facts.find((f) => f.symbol === symbol);

/** The marked body, in the crib; a body from unmarked stock gets its mark here. */
async function bodyPiece(
  c: Connection,
  moment: Moment,
  input: { piece?: string; body?: string; bodyFrom?: string },
): Promise<PieceRow> {
  if (input.piece !== undefined) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    if (!inCrib(piece.placeKind))
      throw new Problem('REFUSED', `${piece.mark} is in ${piece.place ?? 'no place'}, not in the crib`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Take its assembly down first: new edges are a new build.',
      });
    await moment.leansOn(piece.entryId);
    return piece;
  }
  if (input.body === undefined || input.bodyFrom === undefined)
    throw new Problem('INVALID_INPUT', 'Which body? Its mark, or its code and place', {
      field: 'piece',
      limit: 'piece, or body and bodyFrom',
    });
  const thing = await takeThing(c, moment, { item: input.body, from: input.bodyFrom, quantity: 1 });
  const mark = await nextNumber(c, 'piece', 'mark', 'E');
  const id = await insertPiece(c, moment.entryId, { mark, itemId: thing.item.id, lotId: thing.lotId });
  await insertEdgeSet(c, moment.entryId, { pieceId: id, fresh: true });
  // It stays where it lies and is marked from now on: out of the unmarked stock and back as this piece.
  const build = await onePlaceOfKind(c, 'build');
  for (const [from, to] of [
    [thing.from.id, build.id],
    [build.id, thing.from.id],
  ] as const)
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: thing.item.id,
      pieceId: id,
      lotId: thing.lotId,
      from,
      to,
      quantity: 1,
    });
  return (await maybePiece(c, mark))!;
}

export const mountInserts = defineVerb({
  name: 'mountInserts',
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
    const body = (await loadItems(c, [piece.itemId]))[0]!;
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
    const takes = fact(body, 'MIID')?.text ?? null;
    const designation = (
      (await loadItems(c, [thing.item.id]))[0]!.facts.find((f) => f.symbol === 'ISO1832')?.text ?? ''
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

export const unmountInserts = defineVerb({
  name: 'unmountInserts',
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
    await moment.leansOn(mounted.entryId);
    const item = (await loadItems(c, [mounted.itemId]))[0]!;
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
