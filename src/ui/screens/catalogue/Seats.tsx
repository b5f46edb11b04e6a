'use client';
import type { ItemLine, OneItemView } from '@/crib/catalogue';
import type { ShopView } from '@/crib/shop';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Fold } from '@/ui/kit/page';
import { inserts } from '@/ui/screens/common/found';
import { placeOptions } from '@/ui/screens/common/options';

/** Inserts into a bare body, or out of it again. */
function InsertForms({ mark, bare, shop }: { mark: string; bare: boolean; shop: ShopView }) {
  const place = (name: 'to', label: string): FieldSpec<'to'> => ({
    name,
    label,
    kind: 'choice',
    options: placeOptions(shop.places),
  });
  return (
    <Fold label={bare ? 'Put inserts in' : 'Take the inserts out'}>
      {bare ? (
        <VerbForm
          verb="mountInserts"
          fixed={{ piece: mark }}
          submit="Put in"
          fields={[{ name: 'inserts', label: 'Inserts from', kind: 'search', search: inserts, wide: true }]}
          shape={({ inserts: taken, ...input }) => ({
            ...input,
            // A found source is the text of one.
            ...(taken ? (JSON.parse(String(taken)) as object) : {}),
          })}
          said={(d) => `${d.quantity} × ${d.item} into ${mark}`}
        />
      ) : (
        <VerbForm
          verb="unmountInserts"
          fixed={{ piece: mark }}
          submit="Take out"
          fields={[
            place('to', 'Onto'),
            { name: 'broken', label: 'Of them broken', kind: 'whole', optional: true },
          ]}
          said={(d) => `${d.back} back with ${d.edgesLeft} edges left, ${d.scrapped} scrapped`}
        />
      )}
    </Fold>
  );
}

/** Marked bodies and their seats: a damaged seat is known before an insert goes into it. */
export function Seats({
  item,
  bodies,
  shop,
}: {
  item: ItemLine;
  bodies: OneItemView['bodies'];
  shop: ShopView;
}) {
  const seats = item.facts.find((f) => f.symbol === 'CICT')?.value ?? null;
  if (!bodies.length) return null;
  return (
    <>
      <h2>Its seats</h2>
      {bodies.map((b) => (
        <div key={b.mark}>
          <strong className="fig">{b.mark}</strong> in {b.place ?? 'no place'}:{' '}
          {b.damaged.length
            ? `seat${b.damaged.length === 1 ? '' : 's'} ${b.damaged.join(', ')} damaged`
            : 'no damaged seat known'}
          {seats === null ? '' : ` of ${seats}`}. {b.inserts ? `Holds ${b.inserts}.` : 'It is bare.'}
          <InsertForms mark={b.mark} bare={b.inserts === null} shop={shop} />
          <VerbForm
            verb="stateSeat"
            fixed={{ piece: b.mark }}
            submit="Mark"
            fields={[
              { name: 'seat', label: 'Seat', kind: 'whole' },
              {
                name: 'damaged',
                label: 'It is',
                kind: 'choice',
                options: [
                  ['yes', 'damaged'],
                  ['no', 'good again'],
                ],
              },
            ]}
            said={(d) => `seat ${d.seat} of ${b.mark} marked`}
          />
        </div>
      ))}
    </>
  );
}
