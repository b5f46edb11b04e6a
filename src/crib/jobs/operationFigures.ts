import { field, maybeLength } from '@/crib/door';
import type { Connection } from '@/data/database';
import { insertOperationFigures } from '@/data/jobs';

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
  await insertOperationFigures(c, entryId, {
    operationId: operationId,
    highestBesideMm: beside?.mm ?? null,
    highestBesideEntered: beside?.entered ?? null,
    partZeroMm: zero?.mm ?? null,
    partZeroEntered: zero?.entered ?? null,
  });
}
