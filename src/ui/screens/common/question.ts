import { addressOf } from '@/core/links';

/** The question to the catalogue as the address holds it; what is open beside is no part of it. */
export const OF_CATALOGUE = ['q', 'kind', 'place', 'sort', 'after', 'before', 'unit'] as const;
/** The question to all that lies somewhere. */
export const OF_STOCK = [...OF_CATALOGUE, 'lies', 'owner'] as const;

/** The question of an address in one order of its names; of a file without the page. */
export const questionOf = (
  asked: Readonly<Record<string, string | number | undefined>>,
  names: readonly string[] = OF_CATALOGUE,
  paged = true,
): string =>
  addressOf(
    '',
    Object.fromEntries(
      names.filter((n) => paged || (n !== 'after' && n !== 'before')).map((n) => [n, asked[n] || undefined]),
    ),
  ).slice(1);
