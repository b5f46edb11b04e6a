import { type Connection, inserts, many, maybeOne } from '@/data/database';
import type { SetupSheetRow, SignatureRow } from './types';

/** How operations are set up, and who signed for it. */

const SHEET = 'select x.*, e.happened_at, e.who from setup_sheet x join live_entry e on e.id = x.entry_id';
/** The setup sheet of an operation that is in force. */
export const maybeSetupSheet = (c: Connection, operationId: number) =>
  maybeOne<SetupSheetRow>(
    c,
    `${SHEET} where x.operation_id = $1 order by e.happened_at desc, e.id desc limit 1`,
    [operationId],
  );
/** The same of some operations. */
export const manySetupSheets = (c: Connection, operationIds: readonly number[]) =>
  many<SetupSheetRow>(
    c,
    `select distinct on (x.operation_id) x.*, e.happened_at, e.who from setup_sheet x join live_entry e on e.id = x.entry_id
     where x.operation_id = any ($1) order by x.operation_id, e.happened_at desc, e.id desc`,
    [operationIds],
  );
/** One of its versions, whether it is in force or not; null: there is none that stands. */
export const maybeSetupSheetOf = (c: Connection, operationId: number, entryId: number) =>
  maybeOne<SetupSheetRow>(c, `${SHEET} where x.operation_id = $1 and x.entry_id = $2`, [
    operationId,
    entryId,
  ]);

/** The latest signature for each step of some operations. */
export const manySignatures = (c: Connection, operationIds: readonly number[]) =>
  many<SignatureRow>(
    c,
    `select distinct on (x.operation_id, x.step) x.entry_id, x.operation_id, x.step, x.name, e.happened_at, e.who,
       -- Signed before an operation could be moved: it was on the machine it was planned on.
       jsonb_build_object('machine', m.code) || x.stands_for as stands_for
     from signature x join live_entry e on e.id = x.entry_id join operation o on o.id = x.operation_id join machine m on m.id = o.machine_id
     where x.operation_id = any ($1) order by x.operation_id, x.step, e.happened_at desc, e.id desc`,
    [operationIds],
  );

export const insertSetupSheet = inserts<Omit<SetupSheetRow, 'entryId' | 'happenedAt' | 'who'>>('setup_sheet');
/** `standsFor` is JSON. */
export const insertSignature = inserts<{
  operationId: number;
  step: string;
  name: string;
  standsFor: string;
}>('signature');

/**
 * What an operation has beside its machine, given to another one: figures, setup sheet, the program it runs, depths of a
 * pass, and ties to what still stands.
 */
export async function copyOperation(c: Connection, entryId: number, from: number, to: number): Promise<void> {
  const figures = 'highest_beside_mm, highest_beside_entered, part_zero_mm, part_zero_entered';
  const sheet = `drawing, revision, program_number, fixture, against, work_offset, stock_x_mm, stock_x_entered, stock_y_mm, stock_y_entered,
    stock_z_mm, stock_z_entered, parallels_mm, parallels_entered, zero_x_mm, zero_x_entered, zero_y_mm, zero_y_entered, zero_z_mm, zero_z_entered, notes`;
  const latest = (table: string, columns: string) =>
    `insert into ${table} (entry_id, operation_id, ${columns}) select $1, $3, ${columns} from (
       select x.* from ${table} x join live_entry e on e.id = x.entry_id where x.operation_id = $2
       order by e.happened_at desc, e.id desc limit 1) l`;
  for (const sql of [
    latest('operation_figures', figures),
    latest('setup_sheet', sheet),
    `insert into program_taken (entry_id, operation_id, program_id)
     select $1, $3, n.program_id from operation_now n where n.operation_id = $2 and n.program_id is not null`,
    `insert into pass_depth (entry_id, operation_id, t, depth_mm, depth_entered)
     select $1, $3, t, depth_mm, depth_entered from (select distinct on (x.t) x.* from pass_depth x join live_entry e on e.id = x.entry_id
       where x.operation_id = $2 order by x.t, e.happened_at desc, e.id desc) l where depth_mm is not null`,
    `insert into tool_plan (entry_id, operation_id, t, does, item_id, sheet_code, must, leaves_side_mm, leaves_floor_mm, recipe_id)
     select $1, $3, t, does, item_id, sheet_code, must, leaves_side_mm, leaves_floor_mm, recipe_id from (select distinct on (x.t) x.* from tool_plan x join live_entry e on e.id = x.entry_id
       where x.operation_id = $2 order by x.t, e.happened_at desc, e.id desc) l where not gone`,
    `insert into change_rule (entry_id, operation_id, t, parts, basis, amount, counts, flank_mm, flank_entered, corner_mm, corner_entered)
     select $1, $3, t, parts, basis, amount, counts, flank_mm, flank_entered, corner_mm, corner_entered from (select distinct on (x.t) x.* from change_rule x join live_entry e on e.id = x.entry_id
       where x.operation_id = $2 order by x.t, e.happened_at desc, e.id desc) l where num_nonnulls(parts, amount, flank_mm, corner_mm) > 0`,
    `insert into tie (entry_id, operation_id, t, assembly_id)
     select $1, $3, n.t, n.assembly_id from tie_now n join assembly_now s on s.assembly_id = n.assembly_id where n.operation_id = $2`,
  ])
    await c.query(sql, [entryId, from, to]);
}
