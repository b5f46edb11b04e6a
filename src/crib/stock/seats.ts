import { defineVerb, field, found, Problem, toNumber } from '@/crib/door';
import { loadItems } from '@/crib/cutters';
import { insert, many, type Connection } from '@/data/database';
import { maybePiece } from '@/data/stock';

interface SeatRow {
  piece_id: number;
  seat: number;
  damaged: boolean;
  note: string | null;
}
/** Seats of bodies that are damaged now. */
export const damagedSeats = (c: Connection, itemId: number) =>
  many<SeatRow>(
    c,
    `select * from (select distinct on (s.piece_id, s.seat) s.piece_id, s.seat, s.damaged, e.note from seat_state s join live_entry e on e.id = s.entry_id
     join piece p on p.id = s.piece_id where p.item_id = $1 order by s.piece_id, s.seat, e.happened_at desc, e.id desc) x where damaged`,
    [itemId],
  );

export const stateSeat = defineVerb({
  name: 'stateSeat',
  path: 'seats',
  summary: 'Mark a seat of a cutter body as damaged, or as good again.',
  properties: { piece: field.words(20), seat: field.whole(1, 60), damaged: field.choice(['yes', 'no']) },
  required: ['piece', 'seat', 'damaged'],
  async run(c, input, moment) {
    const piece = found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    const item = (await loadItems(c, [piece.item_id]))[0]!;
    const seat = toNumber(input.seat);
    if (item.kind !== 'body')
      throw new Problem('REFUSED', `${piece.mark} is no cutter body: it has no seats`, {
        field: 'piece',
        value: piece.mark,
      });
    const seats = item.facts.find((f) => f.symbol === 'CICT')?.value ?? null;
    if (seats !== null && seat > seats)
      throw new Problem('INVALID_INPUT', `${item.code} has ${seats} seats`, {
        field: 'seat',
        value: seat,
        limit: `1 to ${seats}`,
      });
    await moment.leansOn(piece.entry_id);
    await insert(c, 'seat_state', {
      entry_id: moment.entryId,
      piece_id: piece.id,
      seat,
      damaged: input.damaged === 'yes',
    });
    return { piece: piece.mark, seat, damaged: input.damaged === 'yes' };
  },
});
