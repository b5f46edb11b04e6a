import { ENDING_NAMES } from '@/core/life';
import { mayDo, whoMay } from '@/core/people';
import { sure } from '@/core/sure';
import { bookEnding, endingFields, fragmentFields, signsField } from '@/crib/breakage';
import { defineVerb, field, type Moment, Problem, toNumber } from '@/crib/door';
import { checkGrade, gradeFields, GRADES, recordGrade } from '@/crib/secondlife';
import { freshInserts, placeInCrib, seatNumbers, takeInsertsOut, turnInserts } from '@/crib/stock';
import type { AssemblyRow } from '@/data/assemblies';
import { maybeItem } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { maybeMounted, maybePiece, onePlaceOfKind, type PlaceRow } from '@/data/stock';
import { dismantle, standing } from '../dismantle';
import { heldBy } from '../taking';

/** How a life ends that is taken down: what is lost is nowhere to be put. */
const ENDS = ENDING_NAMES.filter((e) => e !== 'lost');
const { signs: _signs, ...GRADED } = gradeFields;

/**
 * Takes an assembly down in one step: where everything goes, whether the cutter's life goes on or ended, what it is still good
 * for and where on its flute, and what becomes of a body's inserts. Grade and zone are what `gradePiece` says.
 */
export const takeDown = defineVerb({
  name: 'takeDown',
  may: ['crib', 'operator'],
  path: 'take-downs',
  summary:
    'Take an assembly down: cutter to a place, its life going on or ended, graded with its good zone, a body’s inserts turned or out; holder and parts back where they came from, or elsewhere.',
  properties: {
    tag: field.words(20),
    cutterTo: field.code,
    ended: {
      type: 'object',
      description: 'Left out: its life goes on',
      properties: {
        kind: field.choice(ENDS),
        signs: signsField,
        at: endingFields.at,
        ...fragmentFields,
      },
      required: ['kind'],
      additionalProperties: false,
    },
    ...GRADED,
    inserts: { enum: ['turned', 'out'], description: 'Of a body; left out: they stay in it' },
    broken: field.whole(0, 60),
    seats: { ...seatNumbers, description: 'Which are turned; left out: all' },
    brokenSeats: seatNumbers,
    fresh: freshInserts,
    elsewhere: {
      type: 'array',
      maxItems: 13,
      description: 'What does not go back where it came from',
      items: {
        type: 'object',
        properties: { item: field.words(40), place: field.code },
        required: ['item', 'place'],
        additionalProperties: false,
      },
    },
  },
  required: ['tag', 'cutterTo'],
  async run(c, input, moment) {
    const assembly = await standing(c, moment, input.tag);
    const to = await placeInCrib(c, moment, 'cutterTo', input.cutterTo);
    await mayBeGraded(c, moment, assembly, input);
    const place = input.grade === 'scrap' ? await onePlaceOfKind(c, 'scrap') : to;
    const elsewhere = await placesOf(c, moment, assembly, input.elsewhere ?? []);
    const { ended, inserts } = input;
    const ofTurn = (['seats', 'fresh'] as const).find((name) => input[name] !== undefined);
    if (ofTurn && inserts !== 'turned')
      throw new Problem('INVALID_INPUT', `${ofTurn}: its inserts are not turned`, {
        field: ofTurn,
        value: inserts ?? null,
        limit: 'only where inserts are turned',
        wayOut: 'Say that they are turned, or leave it out.',
      });
    if (ended) await bookEnding(c, moment, assembly, ended);
    await dismantle(c, moment, assembly, place, { elsewhere });
    if (input.grade) await recordGrade(c, moment, assembly.pieceId, { ...input, signs: ended?.signs ?? [] });
    if (inserts) {
      const piece = sure(await maybePiece(c, assembly.mark), 'the body that was just taken down');
      const broken =
        input.brokenSeats?.map(toNumber) ?? (input.broken === undefined ? 0 : toNumber(input.broken));
      if (inserts === 'out') await takeInsertsOut(c, moment, piece, to, broken);
      else
        await turnInserts(c, moment, piece, {
          seats: input.seats?.map(toNumber),
          broken,
          fresh: input.fresh,
        });
    }
    return {
      tag: assembly.tag,
      piece: assembly.mark,
      cutterTo: place.code,
      life: ended || inserts ? 'ended' : 'goes on',
      grade: input.grade ?? null,
      inserts: inserts ?? null,
    };
  },
  says: (a) =>
    [
      `${a.tag} taken down, ${a.piece} to ${a.cutterTo}`,
      // Entries of before answered with fewer words.
      ...(a.grade ? [`good for ${a.grade}`] : []),
      ...(a.inserts ? [`inserts ${a.inserts}`] : []),
    ].join(', '),
});

/** Refuses a grade of a life that goes on, of whoever grades nothing, and one that is no rung for this cutter. */
async function mayBeGraded(
  c: Connection,
  moment: Moment,
  a: AssemblyRow,
  input: {
    grade?: string;
    goodFrom?: unknown;
    goodTo?: unknown;
    goodZone?: string;
    ended?: object;
    inserts?: string;
  },
): Promise<void> {
  if (input.grade === undefined) {
    const zone = (['goodFrom', 'goodTo', 'goodZone'] as const).find((name) => input[name] !== undefined);
    if (zone)
      throw new Problem('INVALID_INPUT', `${zone}: what it is good for is not said`, {
        field: 'grade',
        value: null,
        limit: 'said with a zone',
        wayOut: 'Say what it is good for, or leave the zone out.',
      });
    return;
  }
  if (!input.ended)
    throw new Problem('REFUSED', `The life of ${a.mark} goes on: there is nothing to grade`, {
      field: 'ended',
      value: null,
      limit: 'how it ended',
      wayOut: 'Say how it ended, or leave the grade out.',
    });
  if (!mayDo(moment.role, GRADES))
    throw new Problem('NOT_ALLOWED', `grade: said by ${whoMay(GRADES)}`, {
      field: 'grade',
      value: input.grade,
      limit: whoMay(GRADES),
      wayOut: 'Put it where the crib finds it; it is asked for there.',
    });
  await checkGrade(c, a.cutterItemId, await maybePiece(c, a.mark), input.grade);
  const mounted = input.grade === 'scrap' ? await maybeMounted(c, a.pieceId) : null;
  if (mounted && input.inserts !== 'out')
    throw new Problem('REFUSED', `${mounted.quantity} × ${mounted.item} are still in ${a.mark}`, {
      field: 'inserts',
      value: input.inserts ?? null,
      limit: 'out of a body that is scrapped',
      wayOut: 'Say that they come out.',
    });
}

/** Places by what goes there; a thing that is not in the build is refused. */
async function placesOf(
  c: Connection,
  moment: Moment,
  a: AssemblyRow,
  said: readonly { item: string; place: string }[],
): Promise<Map<number, PlaceRow>> {
  const { parts, itemId } = await heldBy(c, a);
  const inIt = new Set([itemId, ...parts.map((p) => p.itemId)]);
  const places = new Map<number, PlaceRow>();
  for (const [i, { item: code, place }] of said.entries()) {
    const item = await maybeItem(c, code);
    if (!item || !inIt.has(item.id))
      throw new Problem('INVALID_INPUT', `${code} is not in ${a.tag}`, {
        field: `elsewhere/${i}/item`,
        value: code,
        limit: 'its holder or a part of it',
        wayOut: 'Look at the tag: what is in it is listed there.',
      });
    places.set(item.id, await placeInCrib(c, moment, `elsewhere/${i}/place`, place));
  }
  return places;
}
