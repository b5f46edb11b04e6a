import { sure } from '@/core/sure';
import { defineVerb, field, Problem } from '@/crib/door';
import { checkGrade, gradeFields, ladderInForce, recordGrade } from '@/crib/secondlife';
import { moveThing, placeInCrib, takeThing, thingFields } from '@/crib/stock';
import { nextNumber } from '@/data/assemblies';
import type { Connection } from '@/data/database';
import { insertEdgeSet } from '@/data/life';
import { insertPiece, maybePiece, onePlaceOfKind, type PlaceRow } from '@/data/stock';

export const returnStock = defineVerb({
  name: 'returnStock',
  may: ['crib', 'operator'],
  path: 'stock/returned',
  summary:
    'Take a piece, or so many of an item, back into the crib. A used cutter is graded: where may it be used next, what was seen.',
  properties: {
    ...thingFields,
    to: field.code,
    used: field.choice(['yes', 'no']),
    ...gradeFields,
  },
  required: ['to'],
  async run(c, input, moment) {
    const thing = await takeThing(c, moment, input);
    const to = await placeInCrib(c, moment, 'to', input.to);
    if (!['hand', 'machine', 'cart'].includes(thing.from.kind))
      throw new Problem('REFUSED', `${thing.words} lies at ${thing.from.code}: nobody has it`, {
        field: 'from',
        value: thing.from.code,
        limit: 'a hand, a machine or a cart',
        wayOut: 'Move it instead.',
      });
    const cutter = thing.item.kind === 'cutter';
    if (cutter && !thing.piece && input.used === undefined)
      throw new Problem('INVALID_INPUT', 'Was it used?', {
        field: 'used',
        limit: 'yes or no',
        wayOut: 'An unused one is stock again; a used one gets a mark and a grade.',
      });
    const used = thing.piece !== null || input.used === 'yes';
    if (cutter && used && input.grade === undefined && !(thing.piece && thing.piece.endedEntryId === null))
      throw new Problem('INVALID_INPUT', 'A used cutter that comes back is graded', {
        field: 'grade',
        limit: (await ladderInForce(c)).map((r) => r.name).join(', '),
        wayOut: 'Say where it may be used next, or scrap.',
      });
    if (cutter && used && input.grade !== undefined)
      await checkGrade(c, thing.item.id, thing.piece, input.grade);
    if (cutter && used && !thing.piece) {
      const marks: string[] = [];
      // Each used one gets a mark of its own, and a life that is shown apart: nobody counted its minutes.
      for (let i = 0; i < thing.quantity; i += 1) {
        const mark = await nextNumber(c, 'piece', 'mark', 'E');
        const pieceId = await insertPiece(c, moment.entryId, {
          mark,
          itemId: thing.item.id,
          lotId: thing.lotId,
        });
        await insertEdgeSet(c, moment.entryId, { pieceId: pieceId, fresh: false });
        const piece = sure(await maybePiece(c, mark), `the piece just marked ${mark}`);
        await moveThing(c, moment, { ...thing, piece, quantity: 1 }, await landing(c, input.grade, to));
        await recordGrade(c, moment, pieceId, input);
        marks.push(mark);
      }
      return { what: marks.join(', '), item: thing.item.code, quantity: thing.quantity, to: to.code, marks };
    }
    await moveThing(c, moment, thing, cutter && used ? await landing(c, input.grade, to) : to.id);
    if (thing.piece && input.grade !== undefined) await recordGrade(c, moment, thing.piece.id, input);
    return {
      what: thing.words,
      item: thing.item.code,
      quantity: thing.quantity,
      to: to.code,
      marks: thing.piece ? [thing.piece.mark] : [],
    };
  },
  says: (a) => `${a.what} back to ${a.to}`,
});

/** Graded scrap goes into the bin, whatever place was said. */
const landing = async (c: Connection, grade: string | undefined, to: PlaceRow): Promise<number> =>
  grade === 'scrap' ? (await onePlaceOfKind(c, 'scrap')).id : to.id;
