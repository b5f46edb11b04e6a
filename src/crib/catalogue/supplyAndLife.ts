import type { FromSchema } from 'json-schema-to-ts';
import { field, foundInUse, type Moment, toNumber } from '@/crib/door';
import { insertAssumedLife, insertSupply } from '@/data/catalogue';
import type { Connection } from '@/data/database';
import { maybeMaterial, maybeSupplier } from '@/data/shop';

export const assumedLifeSchema = {
  type: 'object',
  properties: { minutes: field.decimal(0.01, 100_000), origin: field.origin, material: field.code },
  required: ['minutes', 'origin'],
  additionalProperties: false,
} as const;

export const supplySchema = {
  type: 'object',
  properties: {
    supplier: field.code,
    orderCode: field.words(60),
    priceCents: field.cents,
    pack: field.whole(1, 10_000),
    minimum: field.whole(1, 10_000),
  },
  required: ['supplier', 'orderCode'],
  additionalProperties: false,
} as const;

export async function writeAssumedLife(
  c: Connection,
  moment: Moment,
  itemId: number,
  a: FromSchema<typeof assumedLifeSchema>,
): Promise<void> {
  const material =
    a.material === undefined
      ? null
      : foundInUse(await maybeMaterial(c, a.material), 'assumedLife.material', a.material, 'material');
  if (material) moment.leansOn(material.entryId);
  await insertAssumedLife(c, moment.entryId, {
    itemId: itemId,
    materialId: material?.id ?? null,
    minutes: toNumber(a.minutes),
    origin: a.origin,
  });
}

export async function writeSupply(
  c: Connection,
  moment: Moment,
  itemId: number,
  s: FromSchema<typeof supplySchema>,
): Promise<void> {
  const supplier = foundInUse(await maybeSupplier(c, s.supplier), 'supply.supplier', s.supplier, 'supplier');
  moment.leansOn(supplier.entryId);
  await insertSupply(c, moment.entryId, {
    itemId: itemId,
    supplierId: supplier.id,
    orderCode: s.orderCode.trim(),
    priceCents: s.priceCents ?? null,
    pack: s.pack === undefined ? 1 : toNumber(s.pack),
    minimum: s.minimum === undefined ? 1 : toNumber(s.minimum),
  });
}
