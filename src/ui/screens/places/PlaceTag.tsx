'use client';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { linkTo } from '@/core/links';
import { takesIn } from '@/core/stock';
import type { PlaceView } from '@/crib/places';
import { Row, Rows } from '@/ui/kit/figure';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { KIND_WORDS } from './Tree';

/** What lies at one place, and the count of it. */
export function PlaceTag({
  place,
  view: { lines, more },
}: {
  place: { code: string; name: string; kind: string; entryId: number | null };
  view: PlaceView;
}) {
  const query = useQuery('places');
  const router = useRouter();
  return (
    <Tag
      over={KIND_WORDS[place.kind] ?? 'place'}
      number={place.code}
      words={place.name}
      closeHref={query.href({ open: null })}
    >
      {takesIn(place.kind) && (
        <VerbForm
          verb="startCount"
          fixed={{ place: place.code }}
          fields={[]}
          submit="Count this place"
          said={(d) => `sheet ${d.number} begun`}
          onDone={(d) =>
            router.push(linkTo('places', { show: 'counts', sheet: d.number }), { scroll: false })
          }
        />
      )}
      {lines.length === 0 ? (
        <p className="soft">Nothing lies here by the books.</p>
      ) : (
        <Rows>
          {lines.map((l) => (
            <Row
              key={`${l.placeId} ${l.itemId} ${l.lotId}`}
              name={l.item}
              note={[
                l.words,
                l.place !== place.code && `in ${l.place}`,
                l.lot && `lot ${l.lot}`,
                l.owner && `${l.owner}’s until used`,
                l.edgesLeft !== null && `${l.edgesLeft} edges left each`,
                l.marks.length > 0 && l.marks.join(' '),
              ]
                .filter(Boolean)
                .join(', ')}
            >
              <Link href={linkTo('cutters', { open: l.item })}>{l.quantity}</Link>
            </Row>
          ))}
        </Rows>
      )}
      {more && (
        <p className="soft small">
          More lies here than is shown:{' '}
          <Link href={linkTo('places', { show: 'stock', place: place.code, lies: 'anywhere' })}>
            all of it in the table of stock
          </Link>
          .
        </p>
      )}
      <p className="small">
        <Link href={linkTo('places', { show: 'moves', place: place.code })}>What moved here</Link> ·{' '}
        <Link href={linkTo('cutters', { place: place.code })}>as a list of the catalogue</Link>
        {place.entryId !== null && (
          <>
            {' '}
            ·{' '}
            <Link href={linkTo('machines', { what: 'place', open: place.code })}>
              its name, or out of use
            </Link>
          </>
        )}
      </p>
    </Tag>
  );
}
