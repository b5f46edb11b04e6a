import { away } from '../away';

export const loseStock = away(
  'loseStock',
  'stock/lost',
  'Say that a piece, or so many of an item, can’t be found; found again, it comes back.',
  'lost',
  'lost',
);
