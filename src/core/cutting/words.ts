import { type FeedAs, FEEDS, type Range, type Recipe, SPEEDS } from './recipe';

const short = (n: number, places: number) => String(Number(n.toFixed(places)));
const between = ({ least, most }: Range, text: (n: number) => string) =>
  least === most ? text(least) : `${text(least)} to ${text(most)}`;

/** 'Vc 120 m/min', 'n 4800 rev/min'; null where none is stated. */
export const speedWords = ({ speed }: Pick<Recipe, 'speed'>): string | null =>
  speed && `${speed.as === 'n' ? 'n' : 'Vc'} ${between(speed, (n) => short(n, 1))} ${SPEEDS[speed.as]}`;

/** '0.05 mm a tooth' with lengths as `show` gives them; null where none is stated. */
export const feedWords = (
  { feed }: Pick<Recipe, 'feed'>,
  show: (mm: number) => string,
  unit: string,
): string | null => feed && `${between(feed, show)} ${unit} ${FEEDS[feed.as]}`;

/** A way in a feed's measure. Example: (0.05, 'tooth') -> '0.05 mm a tooth'. */
export const feedText = (mm: number, as: FeedAs): string =>
  `${short(mm, as === 'minute' ? 0 : 4)} mm ${FEEDS[as]}`;
export const feedRange = (range: Range, as: FeedAs): string =>
  `${between(range, (n) => short(n, as === 'minute' ? 0 : 4))} mm ${FEEDS[as]}`;
