import { many, maybeOne, type Connection } from '../database';

export interface AssemblyRow {
  id: number;
  tag: string;
  piece_id: number;
  mark: string;
  cutter_item_id: number;
  cutter_lot_id: number | null;
  edge_set_id: number;
  fresh: boolean;
  holder_item_id: number;
  holder_place_id: number;
  holder_lot_id: number | null;
  stickout_mm: number;
  stickout_entered: string;
  entry_id: number;
  built_at: Date;
  who: string;
  taken_down_entry_id: number | null;
  taken_down_at: Date | null;
}
const ASSEMBLY = `select a.*, p.mark, p.item_id as cutter_item_id, p.lot_id as cutter_lot_id, es.fresh, e.happened_at as built_at, e.who,
    d.entry_id as taken_down_entry_id, d.happened_at as taken_down_at
  from assembly a join live_entry e on e.id = a.entry_id join piece p on p.id = a.piece_id join edge_set es on es.id = a.edge_set_id
  left join lateral (select t.entry_id, te.happened_at from take_down t join live_entry te on te.id = t.entry_id where t.assembly_id = a.id) d on true`;
/** What stands built now. */
export const manyStandingAssemblies = (c: Connection) =>
  many<AssemblyRow>(c, `${ASSEMBLY} where d.entry_id is null order by a.tag`);
export const manyAssemblies = (c: Connection) => many<AssemblyRow>(c, `${ASSEMBLY} order by a.tag`);
export const maybeAssembly = (c: Connection, tag: string) =>
  maybeOne<AssemblyRow>(c, `${ASSEMBLY} where a.tag = $1`, [tag]);
export const maybeStandingAssemblyOfPiece = (c: Connection, pieceId: number) =>
  maybeOne<AssemblyRow>(c, `${ASSEMBLY} where a.piece_id = $1 and d.entry_id is null`, [pieceId]);
export const maybeAssemblyAny = (c: Connection, tag: string) =>
  maybeOne<{ tag: string }>(c, 'select tag from assembly where tag = $1', [tag]);

/** The next free number of a series such as A-0108 or E-0210; countered numbers are not used again. */
export async function nextNumber(
  c: Connection,
  table: 'assembly' | 'piece' | 'purchase' | 'count_sheet',
  column: 'tag' | 'mark' | 'number',
  prefix: string,
): Promise<string> {
  // The latest row has the highest number: its table grows by one at a time.
  const last = await maybeOne<{ n: number }>(
    c,
    `select substr(${column}, ${prefix.length + 2})::int as n from ${table} order by ${table === 'purchase' ? 'entry_id' : 'id'} desc limit 1`,
  );
  const n = (last?.n ?? 0) + 1;
  return `${prefix}-${String(n).padStart(4, '0')}`;
}

export interface MeasurementRow {
  entry_id: number;
  assembly_id: number;
  gauge_length_mm: number;
  gauge_length_entered: string;
  diameter_mm: number | null;
  diameter_entered: string | null;
  runout_mm: number | null;
  runout_entered: string | null;
  questions: { code: string; words: string; because: import('@/core/because').Because }[];
  happened_at: Date;
  who: string;
  note: string | null;
  verdict_entry_id: number | null;
  accepted: boolean | null;
  reason: string | null;
}
/** Measurements, newest first by happened_at then id, each with what a person said of it. null: of all. */
export const manyMeasurements = (c: Connection, assemblyIds: readonly number[] | null) =>
  many<MeasurementRow>(
    c,
    `select m.*, e.happened_at, e.who, e.note, v.entry_id as verdict_entry_id, v.accepted, v.reason
     from measurement m join live_entry e on e.id = m.entry_id
     left join lateral (select x.* from verdict x join live_entry xe on xe.id = x.entry_id where x.measurement_id = m.entry_id
       order by xe.happened_at desc, xe.id desc limit 1) v on true
     where $1::int[] is null or m.assembly_id = any ($1) order by e.happened_at desc, e.id desc`,
    [assemblyIds],
  );
