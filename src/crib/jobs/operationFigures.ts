import { field, maybeLength } from '@/crib/door';
import { insert, type Connection } from '@/data/database';

/** What is stated of an operation beside its program; left out means not known. */
export const operationFigures = {
  highestBeside: field.length(-2000, 2000, 'Highest Z beside the cut, part top or jaw.'),
  partZero: field.length(-1000, 3000, 'Part zero above the machine’s datum surface.'),
} as const;

type Stated = { highestBeside?: string | number; partZero?: string | number };

export async function writeOperationFigures(
  c: Connection,
  entryId: number,
  operationId: number,
  stated: Stated,
): Promise<void> {
  const beside = maybeLength(stated.highestBeside);
  const zero = maybeLength(stated.partZero);
  await insert(c, 'operation_figures', {
    entry_id: entryId,
    operation_id: operationId,
    highest_beside_mm: beside?.mm ?? null,
    highest_beside_entered: beside?.entered ?? null,
    part_zero_mm: zero?.mm ?? null,
    part_zero_entered: zero?.entered ?? null,
  });
}
