import {
  type BookedUse,
  type BuyingTerms,
  type CutterSupply,
  proposeOrder,
  type ShopCalendar,
  USUAL_CALENDAR,
} from '@/core/buying';
import { LIMITS } from '@/core/limits';
import { computation, part, type Computation } from '@/crib/door';

interface ProposeInput {
  uses: BookedUse[];
  supply: CutterSupply;
  terms: BuyingTerms;
  today: string;
  /** Left out: the usual week. */
  calendar?: { week: ShopCalendar['week']; closed: string[] };
}

/** What is reckoned of what to buy. */
export const BUYING_COMPUTATIONS: readonly Computation[] = [
  computation<ProposeInput>(
    'buying/propose',
    'What to buy, how many, by which day and because of what; null: nothing is booked.',
    part.shape(
      {
        uses: part.list(
          part.shape(
            {
              job: part.text,
              due: part.day,
              start: { anyOf: [part.day, { type: 'null' }] },
              material: part.text,
              partsLeft: part.amount,
              minutesPerPart: part.amount,
              operationMinutes: part.amount,
              perLife: part.positive,
              atLeast: { type: 'boolean' },
              wornSooner: { type: 'boolean' },
              life: {
                anyOf: [
                  part.shape(
                    {
                      minutesPerEdge: part.positive,
                      spread: { type: 'number', minimum: 0, maximum: 5 },
                      basis: part.text,
                      guess: { type: 'boolean' },
                    },
                    ['minutesPerEdge', 'spread', 'basis', 'guess'],
                  ),
                  { type: 'null' },
                ],
              },
            },
            [
              'job',
              'due',
              'start',
              'material',
              'partsLeft',
              'minutesPerPart',
              'operationMinutes',
              'perLife',
              'life',
            ],
          ),
          LIMITS.bookedUses.most,
        ),
        supply: part.shape(
          {
            shelf: part.count,
            edgeSets: part.list(
              part.shape({ tag: part.text, left: part.orNull, why: part.text }, ['tag', 'left']),
              LIMITS.bookedUses.most,
            ),
            openOrders: part.list(
              part.shape(
                {
                  number: part.text,
                  quantity: part.count,
                  promised: part.day,
                  supplier: part.text,
                  late: {
                    anyOf: [
                      part.shape({ days: part.amount, of: part.count }, ['days', 'of']),
                      { type: 'null' },
                    ],
                  },
                },
                ['number', 'quantity', 'promised', 'supplier', 'late'],
              ),
              LIMITS.bookedUses.most,
            ),
          },
          ['shelf', 'edgeSets', 'openOrders'],
        ),
        terms: part.shape(
          {
            leadTimeDays: part.orNull,
            pack: { ...part.count, minimum: 1 },
            minimum: { ...part.count, minimum: 1 },
          },
          ['leadTimeDays', 'pack', 'minimum'],
        ),
        today: part.day,
        calendar: part.shape(
          {
            week: { ...part.list({ type: 'integer', minimum: 0, maximum: 1440 }), minItems: 7, maxItems: 7 },
            closed: part.list(part.day),
          },
          ['week', 'closed'],
        ),
      },
      ['uses', 'supply', 'terms', 'today'],
    ),
    (i) => ({
      proposal: proposeOrder(
        i.uses,
        i.supply,
        i.terms,
        i.today,
        i.calendar
          ? { week: i.calendar.week, closed: new Set(i.calendar.closed), stated: true }
          : USUAL_CALENDAR,
      ),
    }),
  ),
];
