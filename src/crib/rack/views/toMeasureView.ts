import { manyToMeasure } from '@/data/assemblies';
import type { Connection } from '@/data/database';

/** So many are named; whoever measures works through them from the newest. */
const MOST = 60;

export interface ToMeasure {
  tag: string;
  /** Codes of cutter and holder. */
  item: string;
  holder: string;
  why: 'not measured' | 'in question';
}
export interface ToMeasureView {
  lines: ToMeasure[];
  more: boolean;
}

/** What stands and has no length that counts: never measured, or its newest in question. */
export async function toMeasureView(c: Connection): Promise<ToMeasureView> {
  const rows = await manyToMeasure(c, MOST + 1);
  return {
    lines: rows
      .slice(0, MOST)
      .map(({ measured, ...x }) => ({ ...x, why: measured ? 'in question' : 'not measured' })),
    more: rows.length > MOST,
  };
}
