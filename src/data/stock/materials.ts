import { many, maybeOne, type Connection } from '../database';

export interface MaterialRow {
  id: number;
  code: string;
  name: string;
  isoGroup: string;
  entryId: number;
}
const LIVE = 'select m.* from material m join live_entry e on e.id = m.entry_id';
export const manyMaterials = (c: Connection) => many<MaterialRow>(c, `${LIVE} order by m.code`);
export const maybeMaterial = (c: Connection, code: string) =>
  maybeOne<MaterialRow>(c, `${LIVE} where m.code = $1`, [code]);

export interface SupplierRow {
  id: number;
  code: string;
  name: string;
  entryId: number;
  leadTimeDays: number | null;
}
const SUPPLIER = `select s.*, t.lead_time_days from supplier s join live_entry e on e.id = s.entry_id
  left join lateral (select x.lead_time_days from supplier_terms x join live_entry xe on xe.id = x.entry_id
    where x.supplier_id = s.id order by xe.happened_at desc, xe.id desc limit 1) t on true`;
export const manySuppliers = (c: Connection) => many<SupplierRow>(c, `${SUPPLIER} order by s.code`);
export const maybeSupplier = (c: Connection, code: string) =>
  maybeOne<SupplierRow>(c, `${SUPPLIER} where s.code = $1`, [code]);
