import type { Connection } from '@/data/database';
import { type ImportRow, manyImports, manyMappings, type MappingRow } from '@/data/exchange';

export interface ExchangeView {
  imports: ImportRow[];
  mappings: MappingRow[];
}
/** Lists that came in, and what unknown headers were said to mean. */
export const exchangeView = async (c: Connection): Promise<ExchangeView> => ({
  imports: await manyImports(c),
  mappings: await manyMappings(c),
});
