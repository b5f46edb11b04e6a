import { readInsertCode } from '@/core/cutters';
import { type CribItem, factNumber, factText } from './loadItems';

/** Edges an insert can be turned to: as stated, by the catalogue's count, or by its designation; null: not known. */
export const edgesOf = (insert: CribItem): number | null => {
  const code = factText(insert, 'ISO1832');
  return (
    factNumber(insert, 'EDGES') ??
    factNumber(insert, 'CEDC') ??
    (code === null ? null : (readInsertCode(code)?.edges ?? null))
  );
};
