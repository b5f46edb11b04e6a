import { addDays, daysBetween } from '../units';
import type { Because } from '../because';

/** One booked use of a cutter: an operation of a job that still has parts to make. */
export interface BookedUse {
  job: string;
  /** ISO day. */
  due: string;
  material: string;
  partsLeft: number;
  minutesPerPart: number;
  /** The program was not read whole: the minutes are at least so many. */
  atLeast?: boolean;
  /** Expected life in this material, minutes, with its basis; null: cannot say. */
  life: { minutes: number; basis: string } | null;
}

interface OpenOrder {
  number: string;
  quantity: number;
  /** ISO day. */
  promised: string;
}

export interface CutterSupply {
  /** Unused pieces on shelves. */
  shelf: number;
  /** Life left on good edge sets, in lives (0.4 = 40 % of one); null entries cannot say and count as none. */
  edgeSets: { tag: string; livesLeft: number | null }[];
  openOrders: OpenOrder[];
}

export interface BuyingTerms {
  /** Calendar days; null: not known. */
  leadTimeDays: number | null;
  pack: number;
  minimum: number;
}

export type OrderProposal =
  | { say: 'enough'; because: Because; lives: LivesBalance }
  | { say: 'cannot say'; because: Because }
  | {
      say: 'order';
      quantity: number;
      /** Whole cutters short before packs and minimum. */
      short: number;
      firstShort: { job: string; due: string };
      /** Latest day to order, ISO; null: lead time not known. */
      orderBy: string | null;
      /** Days by which that is past; 0 when it is not. */
      daysLate: number;
      because: Because;
      lives: LivesBalance;
    };

/** Everything in lives: one unused cutter is one life. */
interface LivesBalance {
  needed: number;
  shelf: number;
  onEdgeSets: number;
  onOrder: number;
}

const two = (n: number) => n.toFixed(2);

/**
 * What to buy of one cutter, how many, by which day and because of what; null when nothing is booked.
 * Need in lives: parts left x minutes per part / life, job by job in the order of due days. Supply: shelf (a life
 * each), life left on good edge sets, open orders promised by that day. The first job that runs short sets the day:
 * order by = its due day − lead time, calendar days. Quantity: whole cutters short over all booked jobs against all
 * supply, up to the minimum, then whole packs. A job without a life makes 'cannot say', never 0, unless the rest
 * already runs short. Source: the simple form of time-phased netting (material requirements planning); arithmetic.
 * Example: 100 parts x 1.2 min / 40 min = 3 lives, 1 on the shelf, pack 1: 2.
 */
export function proposeOrder(
  uses: readonly BookedUse[],
  supply: CutterSupply,
  terms: BuyingTerms,
  today: string,
): OrderProposal | null {
  const booked = uses.filter((u) => u.partsLeft > 0 && u.minutesPerPart > 0);
  if (booked.length === 0) return null;
  const onEdgeSets = supply.edgeSets.reduce((sum, e) => sum + Math.max(0, e.livesLeft ?? 0), 0);
  const stock = supply.shelf + onEdgeSets;
  const onOrder = supply.openOrders.reduce((sum, o) => sum + o.quantity, 0);
  const because = reasons(booked, supply, terms);
  const known = booked.filter((u) => u.life !== null && u.life.minutes > 0);
  let needed = 0;
  let first: BookedUse | null = null;
  for (const use of [...known].sort((a, b) => a.due.localeCompare(b.due))) {
    // Known are those with a life.
    needed += (use.partsLeft * use.minutesPerPart) / use.life!.minutes;
    const arrived = supply.openOrders
      .filter((o) => o.promised <= use.due)
      .reduce((sum, o) => sum + o.quantity, 0);
    if (!first && needed > stock + arrived + 1e-9) first = use;
  }
  const lives: LivesBalance = { needed, shelf: supply.shelf, onEdgeSets, onOrder };
  const short = Math.ceil(needed - stock - onOrder - 1e-9);
  if (short <= 0 && known.length < booked.length)
    return {
      say: 'cannot say',
      because: {
        ...because,
        words: 'A booked job uses this cutter in a material where no life is known or assumed.',
      },
    };
  if (!first)
    return {
      say: 'enough',
      because: { ...because, words: 'Stock, life left and open orders cover the booked jobs.' },
      lives,
    };
  const orderBy = terms.leadTimeDays === null ? null : addDays(first.due, -terms.leadTimeDays);
  const pack = Math.max(1, terms.pack);
  const quantity = short <= 0 ? 0 : Math.ceil(Math.max(short, terms.minimum) / pack) * pack;
  return {
    say: 'order',
    quantity,
    short: Math.max(0, short),
    firstShort: { job: first.job, due: first.due },
    orderBy,
    daysLate: orderBy === null ? 0 : Math.max(0, daysBetween(orderBy, today)),
    because: {
      ...because,
      words:
        quantity === 0
          ? `Enough is on order, but too late for ${first.job}: hasten the open order.`
          : `${first.job}, due ${first.due}, is the first to run short.`,
    },
    lives,
  };
}

function reasons(booked: readonly BookedUse[], supply: CutterSupply, terms: BuyingTerms): Because {
  return {
    words: '',
    formula:
      'lives needed = parts left × minutes per part / life; short = needed − shelf − life left − on order',
    values: [
      ...booked.map((u) => ({
        name: `${u.job}, due ${u.due}`,
        value: u.life
          ? `${u.atLeast ? 'at least ' : ''}${u.partsLeft} × ${two(u.minutesPerPart)} min / ${two(u.life.minutes)} min = ${two((u.partsLeft * u.minutesPerPart) / u.life.minutes)} lives`
          : `${u.partsLeft} × ${two(u.minutesPerPart)} min: no life known in ${u.material}`,
        source: u.life ? `life in ${u.material}: ${u.life.basis}` : undefined,
      })),
      { name: 'unused on the shelf', value: String(supply.shelf) },
      ...supply.edgeSets.map((e) => ({
        name: `left on ${e.tag}`,
        value:
          e.livesLeft === null ? 'cannot say, counted as none' : `${two(Math.max(0, e.livesLeft))} lives`,
      })),
      ...supply.openOrders.map((o) => ({
        name: `on order ${o.number}`,
        value: `${o.quantity}, promised ${o.promised}`,
      })),
      { name: 'lead time', value: terms.leadTimeDays === null ? 'not known' : `${terms.leadTimeDays} days` },
      { name: 'pack and minimum', value: `${terms.pack} and ${terms.minimum}` },
    ],
  };
}
