import { away } from '../away';

export const scrapStock = away(
  'scrapStock',
  'stock/scrapped',
  'Scrap a piece, or so many of an item, with the reason.',
  'scrap',
  'scrapped',
);
