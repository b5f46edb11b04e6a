import type { ProgramReport } from '@/core/programs';
import { type Connection, many, maybeOne } from '@/data/database';
import type {
  OpenUseRow,
  OpenUseSum,
  OperationRow,
  PartsLogRow,
  PassDepthRow,
  ProgramRow,
  TieRow,
} from './types';

const OPERATION = `select o.id, o.number, o.entry_id, j.id as job_id, j.number as job, j.part, j.revision, j.customer, n.quantity, n.due, n.state, j.material_id,
    mat.code as material, mat.iso_group as material_group, n.machine_id, m.code as machine, mv.happened_at as moved_at,
    f.highest_beside_mm, f.highest_beside_entered, f.part_zero_mm, f.part_zero_entered, n.parts_made, s.starts, coalesce(y.priority, 'usual') as priority,
    z.zero_y_mm, z.zero_z_mm, z.stock_y_mm, z.parallels_mm, v.code as vise, v.jaw_high_mm, fr.t as fragments_of_t
  from operation_now n join operation o on o.id = n.operation_id join job j on j.id = o.job_id
  join material mat on mat.id = j.material_id join machine m on m.id = n.machine_id
  left join operation_figures f on f.entry_id = n.figures_id and f.operation_id = n.operation_id
  left join lateral (select e.happened_at from operation_moved x join live_entry e on e.id = x.entry_id
    where x.operation_id = o.id order by e.happened_at desc, e.id desc limit 1) mv on true
  left join lateral (select x.starts from operation_start x join live_entry e on e.id = x.entry_id
    where x.operation_id = o.id order by e.happened_at desc, e.id desc limit 1) s on true
  left join lateral (select x.priority from job_change x join live_entry e on e.id = x.entry_id
    where x.job_id = j.id order by e.happened_at desc, e.id desc limit 1) y on true
  left join lateral (select x.zero_y_mm, x.zero_z_mm, x.stock_y_mm, x.parallels_mm, x.fixture from setup_sheet x join live_entry e on e.id = x.entry_id
    where x.operation_id = o.id order by e.happened_at desc, e.id desc limit 1) z on true
  left join lateral (select x.code, x.jaw_high_mm from fixture x join live_entry e on e.id = x.entry_id
    where x.machine_id = n.machine_id and x.code = upper(z.fixture) order by e.happened_at desc, e.id desc limit 1) v on true
  left join lateral (select x.t from waits_now x where x.kind = 'fragments' and x.operation_id = o.id order by x.id limit 1) fr on true`;
/** Operations with parts still to make, the first due on top, of a day in the order in which they are to go. */
export const manyOpenOperations = (c: Connection) =>
  many<OperationRow>(
    c,
    `${OPERATION} where n.open
     order by n.due, array_position(array['first', 'usual', 'can wait'], coalesce(y.priority, 'usual')), n.job, n.number`,
  );
/** Those of them with a cutter of some items tied to a T. */
export const manyOpenOperationsWith = (c: Connection, cutterItemIds: readonly number[]) =>
  many<OperationRow>(
    c,
    // For each open operation its ties are looked up: however many there are of finished ones.
    `${OPERATION} cross join lateral (select 1 from tie_now x join assembly a on a.id = x.assembly_id join piece p on p.id = a.piece_id
       where x.operation_id = n.operation_id and p.item_id = any ($1) limit 1) w
     where n.open order by n.due, n.job, n.number`,
    [cutterItemIds],
  );
/** Operations of which all parts are made, the last due on top; after one of them, or from the start. */
export const manyDoneOperations = (c: Connection, after: number | null, limit: number) =>
  many<OperationRow>(
    c,
    after === null
      ? `${OPERATION} where not n.open order by n.due desc, n.operation_id desc limit $1`
      : `${OPERATION} where not n.open and (n.due, n.operation_id) < (select x.due, x.operation_id from operation_now x where x.operation_id = $2)
         order by n.due desc, n.operation_id desc limit $1`,
    after === null ? [limit] : [limit, after],
  );
export const manyOperationsById = (c: Connection, ids: readonly number[]) =>
  many<OperationRow>(c, `${OPERATION} where n.operation_id = any ($1) order by n.due, n.job, n.number`, [
    ids,
  ]);
export const manyOperationsOfJob = (c: Connection, job: string) =>
  many<OperationRow>(c, `${OPERATION} where n.job = $1 order by n.number`, [job]);
export const maybeOperation = (c: Connection, id: number) =>
  maybeOne<OperationRow>(c, `${OPERATION} where n.operation_id = $1`, [id]);

export const maybeJob = (c: Connection, number: string) =>
  maybeOne<{ id: number; entryId: number }>(
    c,
    'select j.id, j.entry_id from job j join live_entry e on e.id = j.entry_id where j.number = $1',
    [number],
  );
/** `o` names the operation it is in force for: it may have been stored for another one. */
const PROGRAM = `p.entry_id, o.operation_id, (select j.number from operation w join job j on j.id = w.job_id
    where w.id = p.operation_id and w.id <> o.operation_id) as taken_from, p.name, p.report -> 'tools' as tools, p.report -> 'read_as' as read_as, (p.report ->> 'tool_changes')::int as tool_changes, e.happened_at, e.who`;
/** A report as it was stored, with what the reader says of a tool since then as not known. */
const present = (row: ProgramRow): ProgramRow => ({
  ...row,
  tools: row.tools.map((tool) => ({ ...NOT_SAID, ...tool })),
});
const NOT_SAID = {
  ...{
    name: null,
    highest_feed_mm_min: null,
    highest_spindle: null,
    warned: [],
    warned_at: {},
    lines: [],
    in_force: [],
    taps: [],
  },
  run_s: null,
  reach_mm: null,
  ...{ lowest_feed_z_line: null, lowest_z_line: null, first_z: [], levels_mm: [], plunges: null },
  ...{ steepest_ramp: null, deepest_hole_mm: null, deepest_hole_line: null },
};
/** The program in force for each of some operations: what it says of each tool. */
export const manyPrograms = async (c: Connection, operationIds: readonly number[]) =>
  (
    await many<ProgramRow>(
      c,
      `select ${PROGRAM} from operation_now o join program p on p.entry_id = o.program_id join entry e on e.id = p.entry_id
       where o.operation_id = any ($1)`,
      [operationIds],
    )
  ).map(present);
/** The program that was in force for an operation at a moment. */
export const maybeProgramAt = async (c: Connection, operationId: number, at: Date) => {
  const row = await maybeOne<ProgramRow>(
    c,
    `select ${PROGRAM} from program_of o join live_entry l on l.id = o.entry_id join program p on p.entry_id = o.program_id
       join entry e on e.id = p.entry_id where o.operation_id = $1 and l.happened_at <= $2
     order by l.happened_at desc, l.id desc limit 1`,
    [operationId, at],
  );
  return row && present(row);
};
/** The program that was in force for an operation before the one that is. */
export const maybeProgramBefore = async (c: Connection, operationId: number, entryId: number) => {
  const row = await maybeOne<ProgramRow>(
    c,
    `select ${PROGRAM} from program_of o join live_entry l on l.id = o.entry_id join program p on p.entry_id = o.program_id
       join entry e on e.id = p.entry_id where o.operation_id = $1 and p.entry_id <> $2
     order by l.happened_at desc, l.id desc limit 1`,
    [operationId, entryId],
  );
  return row && present(row);
};
/** A stored program's text, as it came, and the program it lies with. */
export const maybeProgramText = (c: Connection, entryId: number) =>
  maybeOne<{ text: string; textOf: number }>(
    c,
    `select coalesce(p.text, w.text) as text, coalesce(p.text_of, p.entry_id) as text_of from program p
       join live_entry e on e.id = p.entry_id left join program w on w.entry_id = p.text_of where p.entry_id = $1`,
    [entryId],
  );
/** All that reading a program said. */
export const maybeReport = (c: Connection, entryId: number) =>
  maybeOne<{ report: ProgramReport }>(c, 'select report from program where entry_id = $1', [entryId]);
/** What is tied to each T of some operations. */
export const manyTies = (c: Connection, operationIds: readonly number[]) =>
  many<TieRow>(c, 'select * from tie_now where operation_id = any ($1) order by operation_id, t', [
    operationIds,
  ]);
/** What was tied to each T of an operation at a moment. */
export const manyTiesAt = (c: Connection, operationId: number, at: Date) =>
  many<TieRow>(
    c,
    `select distinct on (x.t) x.operation_id, x.t, x.assembly_id, x.entry_id from tie x join live_entry e on e.id = x.entry_id
     where x.operation_id = $1 and e.happened_at <= $2 order by x.t, e.happened_at desc, e.id desc`,
    [operationId, at],
  );
/** Each T that some assemblies are tied to: of open operations; where none is open, the one tied last. */
export const manyTiesOfAssemblies = (c: Connection, assemblyIds: readonly number[]) =>
  many<TieRow & { assemblyId: number }>(
    c,
    `with theirs as (
       select t.operation_id, t.t, t.assembly_id, t.entry_id, o.open from tie_now t join operation_now o on o.operation_id = t.operation_id
       where t.assembly_id = any ($1)
     ), running as (select * from theirs where open)
     select operation_id, t, assembly_id, entry_id from (
       select * from running
       union all (select distinct on (x.assembly_id) x.* from theirs x
         where not exists (select 1 from running r where r.assembly_id = x.assembly_id) order by x.assembly_id, x.entry_id desc, x.t)) y
     order by assembly_id, operation_id, t`,
    [assemblyIds],
  );
/** The depth of one pass in force for each T of some operations. */
export const manyPassDepths = (c: Connection, operationIds: readonly number[]) =>
  many<PassDepthRow>(
    c,
    `select l.* from (select distinct on (x.operation_id, x.t) x.operation_id, x.t, x.depth_mm, x.depth_entered from pass_depth x
       join live_entry e on e.id = x.entry_id where x.operation_id = any ($1) order by x.operation_id, x.t, e.happened_at desc, e.id desc) l
     where l.depth_mm is not null`,
    [operationIds],
  );
/** Minutes of a T that went to no edge set: somebody must say which. */
export const manyOpenUses = (c: Connection, operationId: number, t: number) =>
  many<OpenUseRow>(
    c,
    `select u.id, u.entry_id, u.minutes from use_open n join use u on u.id = n.use_id
     where n.operation_id = $1 and n.t = $2 order by u.id`,
    [operationId, t],
  );
const OPEN_SUM = `select n.operation_id, j.number as job, n.t, sum(u.minutes) as minutes from use_open n join use u on u.id = n.use_id
  join operation o on o.id = n.operation_id join job j on j.id = o.job_id`;
/** Minutes of each T of every operation that went to no edge set. */
export const manyOpenUseSums = (c: Connection) =>
  many<OpenUseSum>(c, `${OPEN_SUM} group by 1, 2, 3 order by 1, 3`);
/** The same of one operation. */
export const manyOpenUsesOf = (c: Connection, operationId: number) =>
  many<OpenUseSum>(c, `${OPEN_SUM} where n.operation_id = $1 group by 1, 2, 3 order by 3`, [operationId]);
/** The latest logs of parts of an operation. */
export const manyPartsLogs = (c: Connection, operationId: number, limit: number) =>
  many<PartsLogRow>(
    c,
    `select l.id, l.entry_id, l.operation_id, l.parts, e.happened_at, e.who, l.material_lot as lot from parts_log l join live_entry e on e.id = l.entry_id
     where l.operation_id = $1 order by e.happened_at desc, e.id desc limit $2`,
    [operationId, limit],
  );
