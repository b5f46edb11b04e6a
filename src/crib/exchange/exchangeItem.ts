import type { Family, HolderSegment, ItemKind, Origin } from '@/core/cutters';
import type { Fact } from '@/crib/catalogue';
import type { Standing } from '@/data/catalogue';

/** An item as it goes in and out: what the catalogue says of it, without its stock. */
export interface ExchangeItem {
  code: string;
  kind: ItemKind;
  family: Family | null;
  maker: string | null;
  facts: Fact[];
  segments: HolderSegment[];
  supply: {
    supplier: string;
    orderCode: string;
    priceCents: number | null;
    pack: number;
    minimum: number;
  } | null;
  life: { minutes: number; origin: Origin } | null;
  standing: { standing: Standing; reason: string } | null;
  links: { earlier: string; relation: 'version' | 'substitute'; reason: string }[];
}
