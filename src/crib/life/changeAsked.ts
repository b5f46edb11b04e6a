import { type ChangeCosts } from '@/core/life';
import { A_LIFE, type Question } from '@/core/questions';
import { parseNumber, readCents } from '@/core/units';
import { Problem } from '@/crib/door';

/** What a change and a failure cost, in the shop's currency, and minutes in the cut of a part where they are known. */
export interface ChangeAsked {
  /** null: what they are here. */
  costs: ChangeCosts | null;
  partMinutes: number | null;
}

/** Minutes in the cut of one part: more is a slip of the hand. */
const PART_AT_MOST = 10_000;

/** The costs as they stand in an address, or what they are here where it says minutes of a part alone; null: nothing was asked. Throws a Problem that names what can't be read. */
export function changeAsked({ planned, failed, part }: Question<typeof A_LIFE>): ChangeAsked | null {
  const said = planned !== undefined || failed !== undefined;
  if (!said && part === undefined) return null;
  const partMinutes = part === undefined ? null : parseNumber(part);
  if (part !== undefined && !(partMinutes !== null && partMinutes > 0 && partMinutes <= PART_AT_MOST))
    throw cantRead('part', part, `more than 0, at most ${PART_AT_MOST} min`);
  return {
    costs: said ? { planned: cost('planned', planned), failure: cost('failed', failed) } : null,
    partMinutes,
  };
}

function cost(field: 'planned' | 'failed', text: string | undefined): number {
  const cents = text === undefined ? null : readCents(text);
  if (cents === null || cents <= 0 || cents > 100_000_000)
    throw cantRead(field, text ?? '', 'an amount over 0, at most 1000000.00');
  return cents / 100;
}

const cantRead = (field: string, value: string, limit: string) =>
  new Problem('INVALID_INPUT', `${field}: “${value}” is not ${limit}`, {
    field,
    value,
    limit,
    wayOut: 'Say what a planned change costs (edge and minutes) and what a failure in the cut costs.',
  });
