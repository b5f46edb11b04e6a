import { coatingNow, rungsFor } from '@/core/life';
import type { May } from '@/core/people';
import { sure } from '@/core/sure';
import { factText, loadItem } from '@/crib/catalogue';
import { field, maybeLength, type Moment, Problem } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertGrade } from '@/data/life';
import type { PieceRow } from '@/data/stock';
import { ladderInForce } from './ladder';

/** What is said of a used cutter: where it may be used next, which part of the flute is still good, what was seen. */
export const gradeFields = {
  grade: { ...field.words(60), description: 'A rung of the ladder in force' },
  goodZone: field.words(200),
  goodFrom: field.length(0, 500, 'Still good from so far above the tip.'),
  goodTo: field.length(0.1, 500, 'Still good up to so far above the tip.'),
  signs: { type: 'array', maxItems: 20, items: field.words(80) },
} as const;

interface GradeInput {
  grade?: string;
  goodZone?: string;
  goodFrom?: string | number;
  goodTo?: string | number;
  signs?: string[];
}

/** Who says what a used cutter is still good for. */
export const GRADES: May = ['crib'];

/** The rungs a cutter may go to, by its coating and substrate as they are now. */
export async function gradesFor(c: Connection, itemId: number, piece: PieceRow | null): Promise<string[]> {
  return (await rungsOf(c, itemId, piece)).rungs.filter((r) => r.not === null).map((r) => r.rung.name);
}

async function rungsOf(c: Connection, itemId: number, piece: PieceRow | null) {
  const item = await loadItem(c, itemId);
  const coating = coatingNow(factText(item, 'COATING'), piece);
  return { item, rungs: rungsFor(await ladderInForce(c), { coating, substrate: item.substrate }) };
}

/** Refuses a grade that is no rung here, or that coating and substrate of the cutter don't allow. */
export async function checkGrade(
  c: Connection,
  itemId: number,
  piece: PieceRow | null,
  grade: string,
): Promise<void> {
  const { item, rungs } = await rungsOf(c, itemId, piece);
  const found = rungs.find((r) => r.rung.name === grade);
  const open = rungs.filter((r) => r.not === null).map((r) => r.rung.name);
  if (!found)
    throw new Problem('INVALID_INPUT', `grade: “${grade}” is no rung of the ladder here`, {
      field: 'grade',
      value: grade,
      limit: open.join(', '),
    });
  if (found.not)
    throw new Problem('REFUSED', `${item.code} does not go to ${grade}: ${found.not}`, {
      field: 'grade',
      value: grade,
      limit: open.join(', '),
      wayOut: 'Choose another rung; or state its coating anew if that is wrong.',
    });
}

/** Writes the grade of one piece. A good zone that ends where it begins, or before, is refused. */
export async function recordGrade(
  c: Connection,
  moment: Moment,
  pieceId: number,
  g: GradeInput,
): Promise<void> {
  const [from, to] = [maybeLength(g.goodFrom), maybeLength(g.goodTo)];
  if (to && to.mm <= (from?.mm ?? 0))
    throw new Problem('INVALID_INPUT', `goodTo: ${to.entered} is not above ${from?.entered ?? 'the tip'}`, {
      field: 'goodTo',
      value: to.entered,
      limit: `more than ${from?.entered ?? '0'}`,
    });
  await insertGrade(c, moment.entryId, {
    pieceId: pieceId,
    grade: sure(g.grade, 'the grade it is given'),
    goodZone: g.goodZone ?? null,
    goodFromMm: to ? (from?.mm ?? 0) : null,
    goodToMm: to?.mm ?? null,
    signs: JSON.stringify(g.signs ?? []),
  });
}
