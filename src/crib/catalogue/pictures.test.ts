import sharp from 'sharp';
import { itemView, keptPicture } from './index';
import { furnish, openTestCrib, type TestCrib } from '@/crib/testing';
import { maybePicture } from '@/data/catalogue';

let crib: TestCrib;
beforeAll(async () => {
  crib = await openTestCrib();
  await furnish(crib);
});
afterAll(() => crib.db.close());
const photo = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#8a9aa0' } })
    .jpeg()
    // A phone's own words, with the place in them (Exif, CIPA DC-008).
    .withExif({ IFD0: { Make: 'PhoneMaker' }, IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '60/1 23/1 0/1' } })
    .toBuffer();
const base64 = (b: Uint8Array) => Buffer.from(b).toString('base64');

it('keeps the picture and nothing else: no place, no device', async () => {
  const sent = await photo(900, 600);
  expect(sent.includes('PhoneMaker')).toBe(true);
  const kept = await keptPicture(sent);
  expect((await sharp(sent).metadata()).exif).toBeDefined();
  expect((await sharp(kept.bytes).metadata()).exif).toBeUndefined();
  expect(Buffer.from(kept.bytes).includes('PhoneMaker')).toBe(false);
});
it('large ones are made smaller, small ones stay, each gets a thumbnail', async () => {
  const large = await keptPicture(await photo(4000, 3000));
  expect([large.width, large.height]).toEqual([1600, 1200]);
  expect((await sharp(large.thumb).metadata()).width).toBe(240);
  expect((await keptPicture(await photo(300, 200))).width).toBe(300);
});
it('turns a picture upright that was taken sideways', async () => {
  const sideways = await sharp({ create: { width: 80, height: 40, channels: 3, background: 'red' } })
    .jpeg()
    .withMetadata({ orientation: 6 })
    .toBuffer();
  const kept = await keptPicture(sideways);
  expect([kept.width, kept.height]).toEqual([40, 80]);
});
it.each([
  ['text', Buffer.from('no picture')],
  [
    'a drawing with a script',
    Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
  ],
  ['half a picture', null],
])('%s is refused, nothing is kept', async (_, bytes) => {
  const content = base64(bytes ?? (await photo(500, 500)).subarray(0, 900));
  await expect(crib.do('addPicture', { item: 'EM10', shows: 'x', content })).rejects.toMatchObject({
    code: 'INVALID_INPUT',
    parts: [{ field: 'content' }],
  });
  expect(await crib.db.query('select 1 from picture')).toEqual([]);
});
it('stands with its item or piece, comes back as it was kept, and can be taken back', async () => {
  await crib.do('buildAssembly', {
    cutter: { item: 'EM10', place: 'S1' },
    holder: { item: 'SL10', place: 'S1' },
    stickout: '34',
  });
  await crib.do('addPicture', { item: 'EM10', shows: 'the cutter', content: base64(await photo(64, 64)) });
  const { entry } = await crib.do('addPicture', {
    piece: 'E-0001',
    shows: 'worn corner',
    content: base64(await photo(64, 48)),
  });
  expect((await itemView(crib.db, 'EM10')).pictures.map((p) => [p.shows, p.mark])).toEqual([
    ['worn corner', 'E-0001'],
    ['the cutter', null],
  ]);
  const got = (await maybePicture(crib.db, entry))!;
  expect((await sharp(got.bytes).metadata()).height).toBe(48);
  await crib.do('counterEntry', { counters: entry });
  expect(await maybePicture(crib.db, entry)).toBeNull();
  await expect(
    crib.do('addPicture', { item: 'EM10', piece: 'E-0001', shows: 'x', content: 'AAAA' }),
  ).rejects.toMatchObject({ code: 'INVALID_INPUT' });
});
