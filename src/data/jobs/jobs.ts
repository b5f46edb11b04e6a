import type { ProgramReport } from '@/core/programs';
import { many, maybeOne, type Connection } from '../database';

export interface OperationRow {
  id: number;
  number: number;
  entry_id: number;
  job_id: number;
  job: string;
  part: string;
  revision: string;
  quantity: number;
  due: string;
  material_id: number;
  material: string;
  machine_id: number;
  machine: string;
  highest_beside_mm: number | null;
  highest_beside_entered: string | null;
  part_zero_mm: number | null;
  part_zero_entered: string | null;
  parts_made: number;
}
const OPERATION = `select o.id, o.number, o.entry_id, j.id as job_id, j.number as job, j.part, j.revision, j.quantity, j.due, j.material_id,
    mat.code as material, o.machine_id, m.code as machine,
    f.highest_beside_mm, f.highest_beside_entered, f.part_zero_mm, f.part_zero_entered,
    coalesce((select sum(l.parts)::int from parts_log l join live_entry le on le.id = l.entry_id where l.operation_id = o.id), 0) as parts_made
  from operation o join live_entry e on e.id = o.entry_id join job j on j.id = o.job_id join material mat on mat.id = j.material_id
  join machine m on m.id = o.machine_id
  left join lateral (select x.* from operation_figures x join live_entry xe on xe.id = x.entry_id where x.operation_id = o.id
    order by xe.happened_at desc, xe.id desc limit 1) f on true`;
export const manyOperations = (c: Connection) =>
  many<OperationRow>(c, `${OPERATION} order by j.due, j.number, o.number`);
export const maybeOperation = (c: Connection, id: number) =>
  maybeOne<OperationRow>(c, `${OPERATION} where o.id = $1`, [id]);
export const maybeJob = (c: Connection, number: string) =>
  maybeOne<{ id: number; entry_id: number }>(
    c,
    'select j.id, j.entry_id from job j join live_entry e on e.id = j.entry_id where j.number = $1',
    [number],
  );

export interface ProgramRow {
  entry_id: number;
  operation_id: number;
  name: string;
  report: ProgramReport;
  happened_at: Date;
  who: string;
}
/** The program in force for each operation at a moment; null: now. Its text stays out: it can be megabytes. */
export const manyPrograms = (c: Connection, at: Date | null = null) =>
  many<ProgramRow>(
    c,
    `select distinct on (p.operation_id) p.entry_id, p.operation_id, p.name, p.report, e.happened_at, e.who
     from program p join live_entry e on e.id = p.entry_id where $1::timestamptz is null or e.happened_at <= $1
     order by p.operation_id, e.happened_at desc, e.id desc`,
    [at],
  );
export const maybeProgramText = (c: Connection, entryId: number) =>
  maybeOne<{ name: string; text: string }>(c, 'select name, text from program where entry_id = $1', [
    entryId,
  ]);

export interface TieRow {
  operation_id: number;
  t: number;
  assembly_id: number | null;
  entry_id: number;
}
/** The tie in force for each operation and T at a moment; null: now. */
export const manyTies = (c: Connection, at: Date | null = null) =>
  many<TieRow>(
    c,
    `select distinct on (x.operation_id, x.t) x.operation_id, x.t, x.assembly_id, x.entry_id from tie x join live_entry e on e.id = x.entry_id
     where $1::timestamptz is null or e.happened_at <= $1 order by x.operation_id, x.t, e.happened_at desc, e.id desc`,
    [at],
  );

export interface PassDepthRow {
  operation_id: number;
  t: number;
  depth_mm: number;
  depth_entered: string;
}
export const manyPassDepths = (c: Connection) =>
  many<PassDepthRow>(
    c,
    `select distinct on (x.operation_id, x.t) x.operation_id, x.t, x.depth_mm, x.depth_entered from pass_depth x join live_entry e on e.id = x.entry_id
     order by x.operation_id, x.t, e.happened_at desc, e.id desc`,
  );

export interface OpenUseRow {
  id: number;
  entry_id: number;
  operation_id: number;
  t: number;
  minutes: number;
  parts: number;
  happened_at: Date;
}
/** Minutes that went to no edge set: somebody must say which. */
export const manyOpenUses = (c: Connection) =>
  many<OpenUseRow>(
    c,
    `select u.id, u.entry_id, l.operation_id, u.t, u.minutes, l.parts, e.happened_at from use u join live_entry e on e.id = u.entry_id
     join parts_log l on l.id = u.parts_log_id where u.edge_set_id is null
       and not exists (select 1 from use_assignment a join live_entry ae on ae.id = a.entry_id where a.use_id = u.id)
     order by e.happened_at, u.id`,
  );

export interface PartsLogRow {
  id: number;
  entry_id: number;
  operation_id: number;
  parts: number;
  happened_at: Date;
  who: string;
}
export const manyPartsLogs = (c: Connection, operationId: number) =>
  many<PartsLogRow>(
    c,
    `select l.id, l.entry_id, l.operation_id, l.parts, e.happened_at, e.who from parts_log l join live_entry e on e.id = l.entry_id
     where l.operation_id = $1 order by e.happened_at desc, e.id desc`,
    [operationId],
  );
