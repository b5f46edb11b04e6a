import { explainDifference, type DifferenceFacts } from '@/core/stock';
import { computation, part, type Computation } from '@/crib/door';

/** What is reckoned of a count. */
export const PLACES_COMPUTATIONS: readonly Computation[] = [
  computation<DifferenceFacts>(
    'stock/explain',
    'What may explain a difference between a count and the books, the likeliest first.',
    part.shape(
      {
        counted: part.number,
        expected: part.number,
        elsewhere: part.list(
          part.shape({ place: part.text, difference: part.number }, ['place', 'difference']),
        ),
        alike: part.list(part.shape({ item: part.text, difference: part.number }, ['item', 'difference'])),
        hands: part.list(part.shape({ person: part.text, quantity: part.number }, ['person', 'quantity'])),
        recent: part.list(
          part.shape({ words: part.text, quantity: part.number, out: { type: 'boolean' } }, [
            'words',
            'quantity',
            'out',
          ]),
        ),
        pack: part.orNull,
      },
      ['counted', 'expected', 'elsewhere', 'alike', 'hands', 'recent', 'pack'],
    ),
    (i) => ({ explanations: explainDifference(i) }),
  ),
];
