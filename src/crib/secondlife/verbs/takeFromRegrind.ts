import { loadItem, cutterOf } from '@/crib/catalogue';
import { defineVerb, field, found, maybeNumber, Problem, toLength } from '@/crib/door';
import { placeInCrib } from '@/crib/stock';
import { insertEdgeSet } from '@/data/life';
import {
  insertMovement,
  insertRegrindBack,
  manyReground,
  maybePiece,
  maybeRegrindOut,
  onePlaceOfKind,
} from '@/data/stock';

export const takeFromRegrind = defineVerb({
  name: 'takeFromRegrind',
  may: ['crib'],
  path: 'regrinds/back',
  summary:
    'Take a reground cutter back: diameter and flute length as measured now, coating, cost; or that it was lost.',
  properties: {
    piece: field.words(20),
    place: field.code,
    dc: field.length(0.05, 500, 'Measured cutting diameter.'),
    lcf: field.length(0.05, 500, 'Measured flute length.'),
    recoated: field.words(),
    costCents: field.cents,
    lost: field.choice(['yes', 'no']),
  },
  required: ['piece'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    const out = await maybeRegrindOut(c, piece.id);
    if (!out)
      throw new Problem('CONFLICT', `${piece.mark} is not out to be reground`, {
        field: 'piece',
        value: piece.mark,
        wayOut: 'Look up where it is; somebody may have taken it back already.',
      });
    moment.leansOn(out.entryId);
    const lost = input.lost === 'yes';
    const needs = ['place', 'dc', 'lcf'] as const;
    const missing = lost ? undefined : needs.find((n) => input[n] === undefined);
    if (missing)
      throw new Problem('INVALID_INPUT', `${missing} is needed: a reground cutter is measured on return`, {
        field: missing,
        limit: 'needed',
      });
    // All are there unless it was lost: refused above.
    const dc = lost ? null : toLength(input.dc!);
    const lcf = lost ? null : toLength(input.lcf!);
    const item = await loadItem(c, piece.itemId);
    const largest = (await manyReground(c, [piece.id]))[0]?.dcMm ?? cutterOf(item).DC;
    if (dc && dc.mm > largest + 0.05)
      throw new Problem('INVALID_INPUT', `${dc.entered} is more than it was: grinding takes away`, {
        field: 'dc',
        value: dc.entered,
        limit: `at most ${largest} mm`,
        wayOut: 'Is it another cutter? Look at the mark.',
      });
    const least = item.facts.find((f) => f.symbol === 'DC_MIN')?.value ?? null;
    // There unless it was lost, as above.
    const to = lost ? await onePlaceOfKind(c, 'lost') : await placeInCrib(c, moment, 'place', input.place!);
    await insertMovement(c, {
      entryId: moment.entryId,
      itemId: piece.itemId,
      pieceId: piece.id,
      lotId: piece.lotId,
      from: piece.placeId,
      to: to.id,
      quantity: 1,
    });
    const edgeSetId = lost
      ? null
      : await insertEdgeSet(c, moment.entryId, { pieceId: piece.id, fresh: false });
    await insertRegrindBack(c, moment.entryId, {
      outEntryId: out.entryId,
      edgeSetId: edgeSetId,
      dcMm: dc?.mm ?? null,
      dcEntered: dc?.entered ?? null,
      lcfMm: lcf?.mm ?? null,
      lcfEntered: lcf?.entered ?? null,
      recoated: input.recoated?.trim() ?? null,
      costCents: maybeNumber(input.costCents),
      lost,
    });
    return {
      piece: piece.mark,
      lost,
      place: to.code,
      tooSmall:
        dc !== null && least !== null && dc.mm < least
          ? `${dc.entered} is below the least of ${least} mm`
          : null,
    };
  },
  says: (a) => (a.lost ? `${a.piece} lost at regrinding` : `${a.piece} back, reground`),
});
