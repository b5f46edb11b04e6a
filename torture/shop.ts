import { randomUUID } from 'node:crypto';
import type { Stable } from './server';

/** A place and a cutter, for the owner who came in first: what is needed to book something. */
export async function furnish(stable: Stable): Promise<void> {
  await stable.post('places', { who: 'IK', code: 'S1', name: 'Shelf 1', kind: 'shelf' });
  await stable.post('items', oneItem('EM10'));
}

export const oneItem = (code: string) => ({
  who: 'IK',
  code,
  kind: 'cutter',
  family: 'square',
  facts: { DC: { value: '10', origin: 'maker' } },
});

/** One piece received: a form with an id of its own, which is recorded once however often it is sent. */
export const oneReceived = (formId: string = randomUUID()) => ({
  who: 'IK',
  formId,
  item: 'EM10',
  place: 'S1',
  quantity: 1,
});

/** How many pieces the books say are there. */
export async function pieces(stable: Stable): Promise<number> {
  const view = JSON.parse((await stable.get('/api/v1/items?q=EM10')).text) as { lines: { unused: number }[] };
  return view.lines[0]?.unused ?? 0;
}

/** A list of so many new cutters, in base64. */
export const oneList = (rows: number, prefix = 'N'): string =>
  Buffer.from(
    `code;kind;family;maker;DC;LCF;NOF;OAL;DMM;COATING;supplier;order_code;price;pack\n${Array.from(
      { length: rows },
      (_, i) =>
        `${prefix}${i};cutter;square;Skarv;${1 + (i % 400) / 10};25;4;66;12;AlTiN;NORD;S-${i};24.90;5`,
    ).join('\n')}`,
  ).toString('base64');
