import type { Because } from '../because';
import { DEFAULTS } from '../defaults';
import { addDays, daysBetween } from '../units';
import { latestStart, openDayUntil, type ShopCalendar } from './calendar';
import { type ExpectedDay, expectedDay, type OpenOrder } from './expectedDay';
import { chanceOfLasting, chanceWords, enoughFor, isEnough, type Need, needOf, NONE, plus } from './lasting';

/** A booked use of a cutter: an operation of a job that still has parts to make. Days are ISO text. */
export interface BookedUse {
  job: string;
  due: string;
  /** The day its operation is to start, where somebody stated it; null: reckoned from its minutes. */
  start: string | null;
  material: string;
  partsLeft: number;
  minutesPerPart: number;
  /** Minutes the whole operation takes for a part, all tools: what its start is reckoned from. */
  operationMinutes: number;
  /** The program was not read whole: the minutes are at least so many. */
  atLeast?: boolean;
  /** Its T counts it as worn at less than its lives were counted to: it takes more. Left out: it does not. */
  wornSooner?: boolean;
  /** What an edge set does before it is used up in this material; null: cannot say. */
  life: { minutesPerEdge: number; spread: number; basis: string; guess: boolean } | null;
  /** Pieces of what is bought that go with one life: 1 of a solid cutter; seats / edges of inserts. */
  perLife: number;
}

export interface CutterSupply {
  /** Unused pieces on shelves. */
  shelf: number;
  /** What is left on good edge sets, in pieces (0.4 = 40 % of one); null entries cannot say and count as none. */
  edgeSets: { tag: string; left: number | null; why?: string }[];
  openOrders: OpenOrder[];
}

export interface BuyingTerms {
  /** Calendar days; null: not known. */
  leadTimeDays: number | null;
  pack: number;
  minimum: number;
}

/** Everything in pieces of what is bought. */
export interface Balance {
  needed: number;
  /** What counts as enough, with its margin. */
  wanted: number;
  shelf: number;
  onEdgeSets: number;
  onOrder: number;
}

export type OrderProposal =
  | { say: 'enough'; because: Because; balance: Balance; chance: number }
  | { say: 'cannot say'; because: Because }
  | {
      say: 'order';
      /** 0: enough is on order, too late. */
      quantity: number;
      /** Whole pieces short before packs and minimum. */
      short: number;
      firstShort: { job: string; start: string };
      /** Latest day to order, a day the shop works; null: lead time not known. */
      orderBy: string | null;
      /** Days by which that is past; 0 when it is not. */
      daysLate: number;
      because: Because;
      balance: Balance;
      chance: number;
    };

const two = (n: number) => n.toFixed(2);

interface Timed extends BookedUse {
  starts: string;
  need: Need | null;
}

/**
 * What to buy of one thing, how many, by which day and because of what; null when nothing is booked.
 * Need: parts left × minutes / minutes an edge does before it is used up, with the spread of lives; job by job in the
 * order of the days their operations start. Supply: the shelf, what is left on good edge sets, open orders from the day
 * they can be counted on. Short is where what is there by a job's start lasts with less than the chance that counts as
 * enough (DEFAULTS.enoughChance). Order by = the last day the shop works on or before that start, less the supplier's
 * lead time, on a day the shop works. Quantity: whole pieces up to enough for all booked jobs against all supply, up to
 * the minimum, then whole packs. A job without a life makes 'cannot say', never 0, unless the rest already runs short.
 * Source: time-phased netting (material requirements planning) with a safety margin by service level; arithmetic.
 * Example: 100 parts × 1.2 min / 40 min = 3 lives, spread 0.43: 4 are enough; 1 on the shelf, pack 1: order 3.
 */
export function proposeOrder(
  uses: readonly BookedUse[],
  supply: CutterSupply,
  terms: BuyingTerms,
  today: string,
  calendar: ShopCalendar,
): OrderProposal | null {
  const booked = uses
    .filter((u) => u.partsLeft > 0 && u.minutesPerPart > 0)
    .map((u): Timed => ({ ...u, starts: startOf(u, calendar), need: needOfUse(u) }))
    .sort((a, b) => a.starts.localeCompare(b.starts) || a.job.localeCompare(b.job));
  if (booked.length === 0) return null;
  const onEdgeSets = supply.edgeSets.reduce((sum, e) => sum + Math.max(0, e.left ?? 0), 0);
  const stock = supply.shelf + onEdgeSets;
  const orders = supply.openOrders.map((o) => ({ ...o, expected: expectedDay(o, today, calendar) }));
  const onOrder = orders.reduce((sum, o) => sum + o.quantity, 0);
  let need = NONE;
  let first: Timed | null = null;
  let chanceAtFirst = 1;
  // Both in order of their days: each order is looked at once.
  const coming = [...orders].sort((a, b) => a.expected.day.localeCompare(b.expected.day));
  let arrived = 0;
  for (const use of booked) {
    for (let o = coming[0]; o && o.expected.day <= use.starts; o = coming[0]) {
      arrived += o.quantity;
      coming.shift();
    }
    if (!use.need) continue;
    need = plus(need, use.need);
    if (first || isEnough(stock + arrived, need)) continue;
    first = use;
    chanceAtFirst = chanceOfLasting(stock + arrived, need);
  }
  const because = reasons(booked, supply, orders, terms, calendar);
  const wanted = enoughFor(need);
  const balance: Balance = { needed: need.mean, wanted, shelf: supply.shelf, onEdgeSets, onOrder };
  const short = Math.ceil(wanted - stock - onOrder - 1e-6);
  if (short <= 0 && booked.some((u) => u.need === null))
    return {
      say: 'cannot say',
      because: {
        ...because,
        words: 'A booked job uses this in a material where no life is known or assumed.',
      },
    };
  const chance = chanceOfLasting(stock + onOrder, need);
  const caveat = [
    ...(booked.some((u) => u.atLeast) ? ['a program was not read whole, so it takes at least so long'] : []),
    ...(booked.some((u) => u.wornSooner)
      ? ['a T changes it at less wear than its lives were counted to, so it takes more']
      : []),
    ...(booked.some((u) => u.life?.guess) ? ['a life is a guess'] : []),
  ];
  const but = caveat.length ? `; but ${caveat.join(', and ')}` : '';
  if (!first)
    return {
      say: 'enough',
      because: {
        ...because,
        words: `What is there and on order is ${chanceWords(chance)} for the booked jobs${but}.`,
      },
      balance,
      chance,
    };
  const arrival = openDayUntil(calendar, first.starts);
  const orderBy =
    terms.leadTimeDays === null || arrival === null
      ? null
      : openDayUntil(calendar, addDays(arrival, -terms.leadTimeDays));
  const pack = Math.max(1, terms.pack);
  const quantity = short <= 0 ? 0 : Math.ceil(Math.max(short, terms.minimum) / pack) * pack;
  return {
    say: 'order',
    quantity,
    short: Math.max(0, short),
    firstShort: { job: first.job, start: first.starts },
    orderBy,
    daysLate: orderBy === null ? 0 : Math.max(0, daysBetween(orderBy, today)),
    because: {
      ...because,
      words:
        quantity === 0
          ? `Enough is on order, but too late for ${wording(first)}: chase the open order${but}.`
          : `What is there is ${chanceWords(chanceAtFirst)} for ${wording(first)}${but}.`,
    },
    balance,
    chance,
  };
}

/** The day an operation starts: as stated, else as late as its minutes allow; at the latest on its due day. */
const startOf = (u: BookedUse, calendar: ShopCalendar): string =>
  u.start ?? latestStart(calendar, u.due, u.partsLeft * u.operationMinutes) ?? u.due;

const wording = (u: Timed): string => `${u.job}, which ${u.start ? 'starts' : 'must start by'} ${u.starts}`;

const needOfUse = (u: BookedUse): Need | null =>
  u.life && u.life.minutesPerEdge > 0
    ? needOf(u.partsLeft * u.minutesPerPart, u.life.minutesPerEdge, u.life.spread, u.perLife)
    : null;

function reasons(
  booked: readonly Timed[],
  supply: CutterSupply,
  orders: readonly (OpenOrder & { expected: ExpectedDay })[],
  terms: BuyingTerms,
  calendar: ShopCalendar,
): Because {
  return {
    words: '',
    formula: `needed = parts left × minutes per part / minutes an edge; enough = needed + margin, to last with a chance of ${DEFAULTS.enoughChance * 100} %`,
    values: [
      ...booked.map((u) => ({
        name: `${u.job}, ${u.start ? 'starts' : 'must start by'} ${u.starts}, due ${u.due}`,
        value: u.life
          ? `${u.atLeast ? 'at least ' : ''}${u.partsLeft} × ${two(u.minutesPerPart)} min / ${two(u.life.minutesPerEdge)} min${u.perLife === 1 ? '' : ` × ${two(u.perLife)}`} = ${two(u.need?.mean ?? 0)}`
          : `${u.partsLeft} × ${two(u.minutesPerPart)} min: no life known in ${u.material}`,
        source: u.life ? `in ${u.material}: ${u.life.basis}` : undefined,
      })),
      { name: 'unused on the shelf', value: String(supply.shelf) },
      ...supply.edgeSets.map((e) => ({
        name: `left on ${e.tag}`,
        value: e.left === null ? 'cannot say, counted as none' : two(Math.max(0, e.left)),
        source: e.why,
      })),
      ...orders.map((o) => ({
        name: `on order ${o.number}`,
        value: `${o.quantity}, from ${o.expected.day}`,
        source: o.expected.words,
      })),
      { name: 'lead time', value: terms.leadTimeDays === null ? 'not known' : `${terms.leadTimeDays} days` },
      { name: 'pack and minimum', value: `${terms.pack} and ${terms.minimum}` },
      {
        name: 'days the shop works',
        value: calendar.stated ? 'by its calendar' : 'Monday to Friday, eight hours: assumed',
      },
    ],
  };
}
