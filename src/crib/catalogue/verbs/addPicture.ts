import sharp from 'sharp';
import { LIMITS, mostOf } from '@/core/limits';
import { sure } from '@/core/sure';
import { defineTask, defineVerb, field, found, Problem } from '@/crib/door';
import { insertPicture, maybeItem } from '@/data/catalogue';
import { maybePiece } from '@/data/stock';

/** What of a phone's picture is kept. */
const LONGEST_SIDE = 1600;
const THUMB_SIDE = 240;

/**
 * A picture as it is kept: turned upright, at most 1600 pixels a side, a thumbnail beside. It is drawn anew, so that
 * nothing but the picture remains: no place, no time, no device. Throws a Problem where the bytes are no picture.
 */
export async function keptPicture(
  bytes: Uint8Array,
): Promise<{ width: number; height: number; bytes: Uint8Array; thumb: Uint8Array }> {
  try {
    const picture = sharp(bytes, { limitInputPixels: LIMITS.picturePixels.most, failOn: 'error' });
    const { format, width = 0, height = 0 } = await picture.metadata();
    // A picture of one pixel by many is turned and drawn for seconds.
    if (Math.max(width, height) > LIMITS.pictureSide.most) throw new Error(`${width} x ${height}`);
    if (!['jpeg', 'png', 'webp'].includes(format ?? '')) throw new Error(`a ${format ?? 'file'}`);
    const { data, info } = await picture
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#ffffff' })
      .jpeg({ quality: 82 })
      .toBuffer({ resolveWithObject: true });
    const thumb = await sharp(data)
      .resize({ width: THUMB_SIDE, height: THUMB_SIDE, fit: 'inside' })
      .jpeg({ quality: 75 })
      .toBuffer();
    return { width: info.width, height: info.height, bytes: data, thumb };
  } catch {
    throw new Problem('INVALID_INPUT', 'This is no picture that can be read', {
      field: 'content',
      limit: `JPEG, PNG or WebP of ${mostOf('picturePixels')}, ${mostOf('pictureSide')} a side`,
      wayOut: 'Take the picture again, or save it as JPEG.',
    });
  }
}

export const shrinkPicture = defineTask('shrinkPicture', keptPicture);

export const addPicture = defineVerb({
  name: 'addPicture',
  may: ['crib', 'planner', 'operator'],
  path: 'pictures',
  summary:
    'Keep a picture of an item or a piece: a cutter, a worn edge, a chip. Place and device are taken out of it.',
  properties: {
    item: field.words(40),
    piece: field.words(20),
    shows: field.words(),
    content: {
      type: 'string',
      minLength: 1,
      maxLength: Math.ceil((LIMITS.pictureBytes.most * 4) / 3) + 4,
      pattern: '^[A-Za-z0-9+/]+={0,2}$',
      description: `JPEG, PNG or WebP, base64, ${mostOf('pictureBytes')}`,
    },
  },
  required: ['shows', 'content'],
  prepare: (input, _, beside) => beside(shrinkPicture, Buffer.from(input.content, 'base64')),
  async run(c, input, moment, kept) {
    if ((input.item === undefined) === (input.piece === undefined))
      throw new Problem('INVALID_INPUT', 'A picture is of one item or of one piece', {
        field: 'item',
        limit: 'one of item, piece',
      });
    const item =
      input.item === undefined ? null : found(await maybeItem(c, input.item), 'item', input.item, 'item');
    const piece =
      input.piece === undefined
        ? null
        : found(await maybePiece(c, input.piece.toUpperCase()), 'piece', input.piece, 'piece');
    moment.leansOn(sure(item ?? piece, 'what a picture is of').entryId);
    await insertPicture(c, moment.entryId, {
      itemId: item?.id ?? null,
      pieceId: piece?.id ?? null,
      shows: input.shows.trim(),
      mime: 'image/jpeg',
      width: kept.width,
      height: kept.height,
      bytes: kept.bytes,
      thumb: kept.thumb,
    });
    return {
      of: item?.code ?? sure(piece, 'what a picture is of').mark,
      shows: input.shows.trim(),
      width: kept.width,
      height: kept.height,
    };
  },
  says: (a) => `picture of ${a.of}: ${a.shows}`,
});
