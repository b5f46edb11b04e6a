import { type Connection, many, maybeOne } from '@/data/database';
import type { RegrindOutRow, RegroundRow } from '../types';

const OUT = `select o.entry_id, o.piece_id, p.mark, p.item_id, i.code as item, pl.code as place, e.who, e.happened_at, o.due, o.wanted
  from regrind_out o join live_entry e on e.id = o.entry_id join piece p on p.id = o.piece_id join item i on i.id = p.item_id
  join place pl on pl.id = o.place_id
  where not exists (select 1 from regrind_back b join live_entry be on be.id = b.entry_id where b.out_entry_id = o.entry_id)`;
/** What is being reground now, the oldest first: found from what lies at the regrind shops. */
export const manyRegrindsOut = (c: Connection) =>
  many<RegrindOutRow>(
    c,
    `${OUT} and o.piece_id in (select pp.piece_id from place s join piece_place pp on pp.place_id = s.id where s.kind = 'regrind')
     order by o.entry_id`,
  );
export const maybeRegrindOut = (c: Connection, pieceId: number) =>
  maybeOne<RegrindOutRow>(c, `${OUT} and o.piece_id = $1`, [pieceId]);
/** How reground pieces are now, by piece. */
export const presentSizes = async (c: Connection, pieceIds: readonly number[]) => {
  const sizes = new Map<number, { dc: number; lcf: number }>();
  for (const r of await manyReground(c, pieceIds))
    if (!sizes.has(r.pieceId)) sizes.set(r.pieceId, { dc: r.dcMm, lcf: r.lcfMm });
  return sizes;
};

/** What came back reground of some pieces, the latest first. */
export const manyReground = (c: Connection, pieceIds: readonly number[]) =>
  many<RegroundRow>(
    c,
    `select b.entry_id, o.piece_id, b.dc_mm, b.dc_entered, b.lcf_mm, b.lcf_entered, b.recoated, b.cost_cents, e.happened_at, e.who
     from regrind_back b join live_entry e on e.id = b.entry_id join regrind_out o on o.entry_id = b.out_entry_id
     where not b.lost and o.piece_id = any ($1) order by b.entry_id desc`,
    [pieceIds],
  );
