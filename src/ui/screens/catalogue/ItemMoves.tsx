'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { linkTo } from '@/core/links';
import { inCrib, takesIn } from '@/core/stock';
import type { ItemLine } from '@/crib/catalogue';
import type { ShopView } from '@/crib/shop';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Acts } from '@/ui/kit/page';
import { useQuery } from '@/ui/screens/common/query';
import { SET_UP } from '@/ui/screens/common/setUp';
import { inUseOptions, placeOptions } from '@/ui/screens/common/options';
import { TakeBack } from './TakeBack';
import { thingInput, thingOptions } from './things';

const people = (shop: ShopView) => inUseOptions(shop.people.map((p) => ({ ...p, code: p.initials })));

/** What is done most stands first; the rest opens by 'more'. */
const ACTS = [
  ['receive', 'Receive'],
  ['issue', 'Hand out'],
  ['return', 'Take back'],
  ['move', 'Move'],
  ['found', 'Found one'],
  ['reserve', 'Set aside'],
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
  const query = useQuery('cutters');
  const act = query.get('do');
  const out = thingOptions(item, (kind) => kind === 'hand' || kind === 'machine');
  const shown = ACTS.filter(([name]) => name !== 'return' || out.length > 0);
  const href = (name: (typeof ACTS)[number][0]) =>
    name === 'like'
      ? query.href({ new: item.kind, like: item.code, family: item.family, open: null, do: null })
      : query.href({ do: act === name ? null : name });
  const where = thingOptions(item, inCrib);
  // What is in quarantine is moved out of it or scrapped, and not handed out.
  const lies = thingOptions(item, takesIn);
  const taken = (options: typeof where): FieldSpec<'from'> => ({
    name: 'from',
    label: 'From',
    kind: 'choice',
    wide: true,
    options,
    start: options[0]?.[0] ?? '',
  });
  const quantity: FieldSpec<'quantity'> = { name: 'quantity', label: 'How many', kind: 'whole', start: '1' };
  const reason: FieldSpec<'reason'> = { name: 'reason', label: 'Why', wide: true };
  const insert = item.kind === 'insert';
  const parcel: FieldSpec<'lot' | 'supplier' | 'edgesLeft'>[] = [
    { name: 'lot', label: 'Lot', optional: true },
    {
      name: 'supplier',
      label: 'Stays the supplier’s until used',
      kind: 'choice',
      options: inUseOptions(shop.suppliers),
      optional: true,
    },
    ...(insert
      ? [
          {
            name: 'edgesLeft' as const,
            label: 'Edges left on each, if used',
            kind: 'whole' as const,
            optional: true,
          },
        ]
      : []),
  ];
  const onto: FieldSpec<'place'> = {
    name: 'place',
    label: 'Onto',
    kind: 'choice',
    options: placeOptions(shop.places),
    start: item.places.find((p) => inCrib(p.placeKind))?.place ?? '',
    add: SET_UP.place,
  };
  const fixed = { item: item.code };
  return (
    <>
      <Acts>
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
      </Acts>
      {act === 'receive' && (
        <>
          <h2>Receive without an order</h2>
          <VerbForm
            key={act}
            verb="receiveStock"
            fixed={fixed}
            submit="Receive"
            fields={[{ ...quantity, start: '' }, onto, ...parcel]}
            said={(d) => `${d.quantity} × ${item.code} onto ${d.place}`}
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
            said={(d) => `${d.quantity} × ${item.code} onto ${d.place}`}
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
            shape={thingInput}
            fields={[
              taken(where),
              quantity,
              { name: 'to', label: 'To', kind: 'choice', options: people(shop) },
              { name: 'due', label: 'Wanted back by', kind: 'day', optional: true },
            ]}
            said={(d) => `${d.what} to ${d.to}`}
          />
        </>
      )}
      {act === 'return' && (
        <>
          <h2>Take back</h2>
          <TakeBack
            item={item}
            shop={shop}
            grades={grades}
            from={taken(out)}
            quantity={quantity}
            onto={onto.start ?? ''}
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
            shape={thingInput}
            fields={[
              taken(lies),
              quantity,
              {
                name: 'to',
                label: 'To',
                kind: 'choice',
                options: placeOptions(shop.places, (k) => takesIn(k) || k === 'machine'),
              },
            ]}
            said={(d) => `${d.what} to ${d.to}`}
          />
        </>
      )}
      {act === 'reserve' && (
        <>
          <h2>Set aside for a job</h2>
          <p className="soft small">
            Until it is built for that job, or the job is done: nobody else takes the last ones unasked.
          </p>
          <VerbForm
            key={act}
            verb="reserveStock"
            fixed={fixed}
            submit="Set aside"
            fields={[{ name: 'job', label: 'Job number' }, quantity]}
            said={(d) => `${d.quantity} × ${d.item} set aside for ${d.job}`}
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
            shape={thingInput}
            fields={[taken(lies), quantity, reason]}
            said={(d) => `${d.what} ${act === 'scrap' ? 'scrapped' : 'booked as lost'}`}
          />
        </>
      )}
      <p className="small">
        <Link href={linkTo('places', { show: 'moves', item: item.code })}>What moved of it</Link>
      </p>
    </>
  );
}
