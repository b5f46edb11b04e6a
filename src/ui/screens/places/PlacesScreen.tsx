'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { linkTo } from '@/core/links';
import type { SavedView } from '@/crib/catalogue';
import type { ConsignedView } from '@/crib/consigned';
import type { CountView, PlacesView, PlaceView } from '@/crib/places';
import type { ScrapView } from '@/crib/secondlife';
import type { ShopView } from '@/crib/shop';
import type { MovementsView, StockView } from '@/crib/stock';
import { VerbForm } from '@/ui/kit/form';
import { Acts, Head, Views } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { SET_UP } from '@/ui/screens/common/setUp';
import type { Answered } from '@/ui/screens/common/useAnswer';
import { Consigned } from '@/ui/screens/consigned';
import { Loans } from '@/ui/screens/loans';
import { Regrinds, Scrap } from '@/ui/screens/secondlife';
import { Moves } from '@/ui/screens/stock';
import { StockTable } from '@/ui/screens/stock';
import { Middle, useScreenScan } from '@/ui/shell';
import { CountSheet } from './CountSheet';
import { PlaceTag } from './PlaceTag';
import { Sheets } from './Sheets';
import { Tree } from './Tree';

interface Props {
  view: PlacesView;
  place: PlaceView;
  count: CountView;
  moves: MovementsView | { problem: string } | null;
  /** null: not asked for. */
  stock: Answered<StockView> | null;
  /** null: not asked for. */
  scrap?: ScrapView | null;
  consigned: ConsignedView | null;
  shop: ShopView;
  saved: SavedView[];
}

/** Places and what lies in them; who has what; count sheets; what moved. */
export function PlacesScreen({
  view,
  place,
  count,
  moves,
  stock,
  scrap = null,
  consigned,
  shop,
  saved,
}: Props) {
  const query = useQuery('places');
  const router = useRouter();
  const show = query.get('show') ?? 'places';
  // A scanned place opens here, whatever the scan line would make of it.
  useScreenScan((text) => {
    const known = view.places.find((p) => p.code === text.trim().toUpperCase());
    if (!known) return null;
    router.push(linkTo('places', { open: known.code }));
    return `what lies in ${known.name}`;
  });
  const tabs = [
    ['places', 'Where things lie', 0],
    ['stock', 'All stock', 0],
    ['loans', 'Who has what', view.loans.length],
    ['regrind', 'Being reground', view.regrinds.length],
    ['scrap', 'Scrap', 0],
    ['counts', 'Counts', view.sheets.filter((s) => s.bookedEntryId === null).length],
    ['theirs', 'Suppliers’ own', 0],
    ['moves', 'What moved', 0],
  ] as const;
  const beside = count.sheet ? (
    <CountSheet key={count.sheet.number} view={count} />
  ) : query.get('new') === 'place' ? (
    <Tag over="A place" number="new" closeHref={query.href({ new: null })}>
      <p className="soft">{SET_UP.place.why}</p>
      <VerbForm
        verb={SET_UP.place.verb}
        fields={SET_UP.place.fields}
        submit={SET_UP.place.submit}
        said={(d) => `place ${d.code} added`}
      />
    </Tag>
  ) : place.place ? (
    <PlaceTag place={place.place} view={place} />
  ) : null;
  return (
    <Middle beside={beside} wide={count.sheet !== null}>
      <Head>
        <div>
          <h1>Places</h1>
          <div className="soft">Where everything lies, who has it, and whether the count agrees.</div>
        </div>
        <Acts>
          <Button
            component={Link}
            href={query.href({ new: 'place', open: null, sheet: null })}
            scroll={false}
          >
            Add a place
          </Button>
        </Acts>
      </Head>
      <Views
        label="Of places"
        views={tabs.map(([name, words, n]) => ({
          words: n > 0 ? `${words} (${n})` : words,
          href: linkTo('places', name === 'places' ? {} : { show: name }),
          shown: show === name,
        }))}
      />
      {show === 'places' && <Tree view={view} open={place.place?.code ?? null} />}
      {show === 'stock' && stock && <StockTable view={stock} shop={shop} saved={saved} />}
      {show === 'theirs' && consigned && <Consigned view={consigned} />}
      {show === 'loans' && <Loans view={view} />}
      {show === 'regrind' && <Regrinds view={view} />}
      {scrap && <Scrap view={scrap} />}
      {show === 'counts' && <Sheets view={view} />}
      {show === 'moves' && moves && <Moves view={moves} />}
    </Middle>
  );
}
