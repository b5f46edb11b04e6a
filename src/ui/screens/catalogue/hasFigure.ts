import type { ItemLine } from '@/crib/catalogue';

/** Whether an item has a figure: cutters, bodies and holders have. */
export const hasFigure = (item: ItemLine): boolean => item.cutter !== null || item.holder !== null;
