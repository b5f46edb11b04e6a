'use client';
import Button from '@mui/material/Button';
import Link from 'next/link';
import { inCrib } from '@/core/stock';
import type { ItemLine } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { VerbForm, type FieldSpec } from '../form';
import { useQuery } from './query';
import { SET_UP } from './setUp';

export const cribPlaces = (shop: ShopView) =>
  shop.places.filter((p) => inCrib(p.kind)).map((p) => [p.code, `${p.code} ${p.name}`] as const);
const people = (shop: ShopView) => shop.people.map((p) => [p.initials, p.name] as const);

/** What is done most stands first; the rest opens by 'more'. */
const ACTS = [
  ['receive', 'Receive'],
  ['issue', 'Hand out'],
  ['return', 'Take back'],
  ['move', 'Move'],
  ['found', 'Found one'],
  ['scrap', 'Scrap'],
  ['lose', 'Lost'],
  ['facts', 'State facts'],
  ['like', 'One like this'],
  ['standing', 'Versions, trial'],
] as const;

const OFTEN: readonly string[] = ['receive', 'issue', 'return', 'move', 'found'];

/** Everything that is done with an item's stock; which form is open stands in the address. */
export function ItemMoves({
  item,
  shop,
  grades,
}: {
  item: ItemLine;
  shop: ShopView;
  /** Rungs a used one may go to. */
  grades: readonly (readonly [string, string])[];
}) {
  const query = useQuery();
  const act = query.get('do');
  const out = item.places.filter((p) => p.place_kind === 'hand' || p.place_kind === 'machine');
  const shown = ACTS.filter(([name]) => name !== 'return' || out.length > 0);
  const href = (name: string) =>
    name === 'like'
      ? query.href({ new: item.kind, like: item.code, family: item.family, open: null, do: null })
      : query.href({ do: act === name ? null : name });
  const where = item.places
    .filter((p) => inCrib(p.place_kind) && p.quantity > p.pieces)
    .map((p) => [p.place, `${p.place}, ${p.quantity - p.pieces} there`] as const);
  const from: FieldSpec = {
    name: 'from',
    label: 'From',
    kind: 'choice',
    options: where,
    start: where[0]?.[0] ?? '',
  };
  const quantity: FieldSpec = { name: 'quantity', label: 'How many', kind: 'whole', start: '1' };
  const reason: FieldSpec = { name: 'reason', label: 'Why', wide: true };
  const insert = item.kind === 'insert';
  const parcel: FieldSpec[] = [
    { name: 'lot', label: 'Lot', optional: true },
    {
      name: 'supplier',
      label: 'Stays the supplier’s until used',
      kind: 'choice',
      options: shop.suppliers.map((s) => [s.code, s.name] as const),
      optional: true,
    },
    ...(insert
      ? [{ name: 'edgesLeft', label: 'Edges left on each, if used', kind: 'whole' as const, optional: true }]
      : []),
  ];
  const onto: FieldSpec = {
    name: 'place',
    label: 'Onto',
    kind: 'choice',
    options: cribPlaces(shop),
    start: item.places.find((p) => inCrib(p.place_kind))?.place ?? '',
    add: SET_UP.place,
  };
  const fixed = { item: item.code };
  return (
    <>
      <div className="acts">
        {shown.map(([name, words]) => (
          <Button
            key={name}
            variant={name === 'receive' ? 'contained' : OFTEN.includes(name) ? 'outlined' : 'text'}
            component={Link}
            href={href(name)}
            scroll={false}
            size="small"
            aria-expanded={act === name}
          >
            {words}
          </Button>
        ))}
      </div>
      {act === 'receive' && (
        <>
          <h2>Receive without an order</h2>
          <VerbForm
            key={act}
            verb="receiveStock"
            fixed={fixed}
            submit="Receive"
            fields={[{ ...quantity, start: '' }, onto, ...parcel]}
            said={(d) => `${String(d.quantity)} × ${item.code} onto ${String(d.place)}`}
          />
        </>
      )}
      {act === 'found' && (
        <>
          <h2>Found, though the count denies it</h2>
          <VerbForm
            key={act}
            verb="foundStock"
            fixed={fixed}
            submit="Book as found"
            fields={[quantity, onto]}
            said={(d) => `${String(d.quantity)} × ${item.code} onto ${String(d.place)}`}
          />
        </>
      )}
      {act === 'issue' && (
        <>
          <h2>Hand out</h2>
          <VerbForm
            key={act}
            verb="issueStock"
            fixed={fixed}
            submit="Hand out"
            fields={[
              quantity,
              from,
              { name: 'to', label: 'To', kind: 'choice', options: people(shop) },
              { name: 'due', label: 'Wanted back by', kind: 'day', optional: true },
            ]}
            said={(d) => `${String(d.what)} to ${String(d.to)}`}
          />
        </>
      )}
      {act === 'return' && (
        <>
          <h2>Take back</h2>
          <VerbForm
            key={act}
            verb="returnStock"
            fixed={fixed}
            submit="Take back"
            fields={[
              quantity,
              {
                name: 'from',
                label: 'From',
                kind: 'choice',
                options: out.map((p) => [p.place, `${p.place}, ${p.quantity}`] as const),
                start: out[0]?.place ?? '',
              },
              { name: 'to', label: 'Onto', kind: 'choice', options: cribPlaces(shop), start: onto.start },
              ...(item.kind === 'cutter'
                ? ([
                    {
                      name: 'used',
                      label: 'Was it used?',
                      kind: 'choice',
                      options: [
                        ['no', 'no, as new'],
                        ['yes', 'yes'],
                      ],
                    },
                    {
                      name: 'grade',
                      label: 'If used: good for',
                      kind: 'choice',
                      options: grades,
                      optional: true,
                    },
                    { name: 'goodZone', label: 'Zone of the flute still good', optional: true },
                  ] satisfies FieldSpec[])
                : []),
            ]}
            said={(d) => `${String(d.what)} back to ${String(d.to)}`}
          />
        </>
      )}
      {act === 'move' && (
        <>
          <h2>Move</h2>
          <VerbForm
            key={act}
            verb="moveStock"
            fixed={fixed}
            submit="Move"
            fields={[
              quantity,
              from,
              {
                name: 'to',
                label: 'To',
                kind: 'choice',
                options: shop.places
                  .filter((p) => inCrib(p.kind) || p.kind === 'machine')
                  .map((p) => [p.code, `${p.code} ${p.name}`] as const),
              },
            ]}
            said={(d) => `${String(d.what)} to ${String(d.to)}`}
          />
        </>
      )}
      {(act === 'scrap' || act === 'lose') && (
        <>
          <h2>{act === 'scrap' ? 'Scrap' : 'Lost'}</h2>
          <VerbForm
            key={act}
            verb={act === 'scrap' ? 'scrapStock' : 'loseStock'}
            fixed={fixed}
            submit={act === 'scrap' ? 'Scrap' : 'Book as lost'}
            fields={[quantity, from, reason]}
            said={(d) => `${String(d.what)} ${act === 'scrap' ? 'scrapped' : 'booked as lost'}`}
          />
        </>
      )}
      <p className="small">
        <Link href={`/places?show=moves&item=${encodeURIComponent(item.code)}`}>What moved of it</Link>
      </p>
    </>
  );
}
