import { proposeOrder, type BookedUse, type BuyingTerms, type CutterSupply } from '@/core/buying';
import { computation, part, type Computation } from '@/crib/door';

interface ProposeInput {
  uses: BookedUse[];
  supply: CutterSupply;
  terms: BuyingTerms;
  today: string;
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
              material: part.text,
              partsLeft: { type: 'number', minimum: 0 },
              minutesPerPart: { type: 'number', minimum: 0 },
              atLeast: { type: 'boolean' },
              life: {
                anyOf: [
                  part.shape({ minutes: part.positive, basis: part.text }, ['minutes', 'basis']),
                  { type: 'null' },
                ],
              },
            },
            ['job', 'due', 'material', 'partsLeft', 'minutesPerPart', 'life'],
          ),
        ),
        supply: part.shape(
          {
            shelf: { type: 'integer', minimum: 0 },
            edgeSets: part.list(part.shape({ tag: part.text, livesLeft: part.orNull }, ['tag', 'livesLeft'])),
            openOrders: part.list(
              part.shape(
                { number: part.text, quantity: { type: 'integer', minimum: 0 }, promised: part.day },
                ['number', 'quantity', 'promised'],
              ),
            ),
          },
          ['shelf', 'edgeSets', 'openOrders'],
        ),
        terms: part.shape(
          {
            leadTimeDays: part.orNull,
            pack: { type: 'integer', minimum: 1 },
            minimum: { type: 'integer', minimum: 1 },
          },
          ['leadTimeDays', 'pack', 'minimum'],
        ),
        today: part.day,
      },
      ['uses', 'supply', 'terms', 'today'],
    ),
    (i) => ({ proposal: proposeOrder(i.uses, i.supply, i.terms, i.today) }),
  ),
];
