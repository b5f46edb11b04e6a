import {
  BACK,
  build,
  type CutterSource,
  cutterSourceSchema,
  dismantle,
  heldBy,
  standing,
} from '@/crib/assemblies';
import { leavesFragments } from '@/core/breakage';
import { bookEnding, endingFields, mustBeClear } from '@/crib/breakage';
import { defineVerb, field, foundInUse, Problem, toNumber } from '@/crib/door';
import { bookParts } from '@/crib/work';
import { insertTie, manyOperationsById, manyTiesOfAssemblies } from '@/data/jobs';
import { freshInserts, seatNumbers, turnInserts } from '@/crib/stock';
import { maybeMounted, maybePiece, maybePlace, onePlaceById, onePlaceOfKind } from '@/data/stock';
import { sure } from '@/core/sure';

/**
 * Ends a life: books the parts made since the last log first, so that its minutes are whole, then the ending, then
 * where the cutter goes (scrap unless said, the lost to 'lost'), and takes the assembly down or builds it anew with
 * another cutter in the same holder; the T it was tied to follow the new build.
 */
export const endLife = defineVerb({
  name: 'endLife',
  may: ['crib', 'operator'],
  path: 'endings',
  summary:
    'End a life: parts since the last log, how it ended, signs, cost, where the cutter goes, and what becomes of the build.',
  properties: {
    tag: field.words(20),
    ...endingFields,
    materialLot: { ...field.words(40), description: 'The lot of material those parts were made of' },
    partsSince: {
      type: 'array',
      maxItems: 50,
      items: {
        type: 'object',
        properties: { operation: field.number, parts: field.whole(0, 100_000) },
        required: ['operation', 'parts'],
        additionalProperties: false,
      },
    },
    confirmed: { type: 'boolean', description: 'A count of parts was asked about, and is right.' },
    cutterTo: field.code,
    rebuild: {
      type: 'object',
      properties: {
        cutter: cutterSourceSchema,
        turned: {
          type: 'object',
          description: 'Instead of a cutter: the same body, its inserts turned, all or some seats',
          properties: { seats: seatNumbers, brokenSeats: seatNumbers, fresh: freshInserts },
          additionalProperties: false,
        },
        stickout: field.length(0.5, 800, 'Tip to holder face.'),
        despite: field.words(200),
      },
      required: ['stickout'],
      additionalProperties: false,
    },
  },
  required: ['tag', 'kind'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    for (const since of input.partsSince ?? [])
      if (toNumber(since.parts) > 0)
        await bookParts(c, moment, since.operation, toNumber(since.parts), {
          confirmed: input.confirmed,
          lot: input.materialLot,
        });
    const turned = input.rebuild?.turned;
    if (input.rebuild) mustBeOne(assembly.mark, input);
    const to = turned
      ? // It is put down there and taken up again at once.
        await onePlaceById(c, assembly.holderPlaceId)
      : input.kind === 'lost'
        ? await onePlaceOfKind(c, 'lost')
        : input.cutterTo === undefined
          ? await onePlaceOfKind(c, 'scrap')
          : foundInUse(
              await maybePlace(c, input.cutterTo.toUpperCase()),
              'cutterTo',
              input.cutterTo,
              'place',
            );
    if (to.kind === 'build')
      throw new Problem('REFUSED', 'A cutter that ended leaves the assembly', {
        field: 'cutterTo',
        value: to.code,
        wayOut: 'Scrap, or a place in the crib until it is graded.',
      });
    const mounted = to.kind === 'scrap' ? await maybeMounted(c, assembly.pieceId) : null;
    if (mounted)
      throw new Problem('REFUSED', `${mounted.quantity} × ${mounted.item} are still in ${assembly.mark}`, {
        field: 'cutterTo',
        value: to.code,
        limit: 'inserts out of a body that is scrapped',
        wayOut: 'Turn its inserts and go on with it; or put it into the crib, and take them out there first.',
      });
    const at = await bookEnding(c, moment, assembly, input);
    await dismantle(c, moment, assembly, to, input.rebuild ? 'stays' : BACK);
    if (turned)
      await turnInserts(c, moment, sure(await maybePiece(c, assembly.mark), 'the body just put down'), {
        seats: turned.seats?.map(toNumber),
        broken: turned.brokenSeats?.map(toNumber),
        fresh: turned.fresh,
      });
    if (!input.rebuild)
      return { tag: assembly.tag, piece: assembly.mark, cutterTo: to.code, newTag: null, at };
    const ties = await manyTiesOfAssemblies(c, [assembly.id]);
    const built = await build(
      c,
      moment,
      // The schema of a cutter’s source has three forms, which its type can’t say.
      turned ? { piece: assembly.mark } : (input.rebuild.cutter as CutterSource),
      await heldBy(c, assembly),
      input.rebuild.stickout,
      input.rebuild.despite,
      {
        jobs: (await manyOperationsById(c, [...new Set(ties.map((t) => t.operationId))])).map((o) => o.job),
      },
    );
    // Before the next cutter goes in: what became of the fragments of this one, and of what broke there before.
    if (leavesFragments(input.kind) && input.fragments === undefined && ties.length)
      throw new Problem(
        'REFUSED',
        'What became of its fragments? A shard left in the cut breaks the next cutter',
        {
          field: 'fragments',
          value: null,
          limit: 'all found, or the spot recut',
          wayOut: 'Find all of them, or say by what the spot was recut; or take it down for now.',
        },
      );
    for (const tie of ties) await mustBeClear(c, moment, tie.operationId, tie.t, 'fragments');
    for (const tie of ties)
      await insertTie(c, moment.entryId, {
        operationId: tie.operationId,
        t: tie.t,
        assemblyId: built.assemblyId,
      });
    return { tag: assembly.tag, piece: assembly.mark, cutterTo: to.code, newTag: built.tag, at };
  },
  says: (a) => `${a.piece} of ${a.tag} ended${a.newTag ? `, now ${a.newTag}` : ''}`,
});

/** Refuses a rebuild of nothing, or of two; and where the body goes that is built with again. */
function mustBeOne(
  mark: string,
  {
    kind,
    cutterTo,
    rebuild,
  }: { kind: string; cutterTo?: string; rebuild?: { cutter?: object; turned?: object } },
): void {
  if (!rebuild?.cutter === !rebuild?.turned)
    throw new Problem(
      'INVALID_INPUT',
      'rebuild.cutter: another cutter, or the same body with its inserts turned',
      {
        field: 'rebuild.cutter',
        value: null,
        limit: 'needed, or turned',
        wayOut: 'Say one of them.',
      },
    );
  if (rebuild?.turned && (cutterTo !== undefined || kind === 'lost'))
    throw new Problem('INVALID_INPUT', `cutterTo: ${mark} is built with again`, {
      field: kind === 'lost' ? 'kind' : 'cutterTo',
      value: cutterTo ?? kind,
      limit: 'left out, where its inserts are turned',
      wayOut: 'Leave it out; or put another cutter in.',
    });
}
