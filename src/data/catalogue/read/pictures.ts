import { type Connection, many, maybeOne } from '@/data/database';
import type { PictureLine } from '../types';

/** Pictures of an item and of its pieces, the latest first. */
export const manyPictures = (c: Connection, itemId: number) =>
  many<PictureLine>(
    c,
    `select p.entry_id, p.shows, x.mark, p.width, p.height, e.who, e.happened_at from picture p join live_entry e on e.id = p.entry_id
     left join piece x on x.id = p.piece_id where p.item_id = $1 or x.item_id = $1 order by p.entry_id desc limit 60`,
    [itemId],
  );
export const maybePicture = (c: Connection, entryId: number) =>
  maybeOne<{ mime: string; bytes: Uint8Array; thumb: Uint8Array }>(
    c,
    'select p.mime, p.bytes, p.thumb from picture p join live_entry e on e.id = p.entry_id where p.entry_id = $1',
    [entryId],
  );
