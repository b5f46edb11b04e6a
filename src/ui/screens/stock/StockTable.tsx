'use client';
import type { GridColDef } from '@mui/x-data-grid';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { linkTo } from '@/core/links';
import { counted } from '@/core/units';
import type { SavedView } from '@/crib/catalogue';
import type { ShopView } from '@/crib/shop';
import type { StockLine, StockView } from '@/crib/stock';
import { Notice } from '@/ui/kit/page';
import { PagedTable } from '@/ui/kit/table';
import { SavedViews } from '@/ui/screens/common/SavedViews';
import { Asking, AskChoice, AskWords, KIND_OPTIONS } from '@/ui/screens/common/asking';
import { useQuery } from '@/ui/screens/common/query';
import { OF_STOCK, questionOf } from '@/ui/screens/common/question';
import { type Answered, useAnswer } from '@/ui/screens/common/useAnswer';
import { placeOptions } from '@/ui/screens/common/options';

const USUAL = ['item', 'words', 'place', 'owner', 'quantity', 'marks'];
const LIES_WORDS = [
  ['lent', 'with people'],
  ['machine', 'at machines'],
  ['regrind', 'being reground'],
  ['quarantine', 'in quarantine'],
  ['builds', 'in assemblies'],
  ['scrap', 'in the scrap'],
  ['lost', 'lost'],
  ['anywhere', 'anywhere'],
] as const;

/** All that lies somewhere: so many of an item, of one lot, at one place, a page at a time. */
export function StockTable({
  view: ofServer,
  shop,
  saved,
}: {
  view: Answered<StockView>;
  shop: ShopView;
  saved: SavedView[];
}) {
  const query = useQuery('places');
  const router = useRouter();
  const view = useAnswer('stock', OF_STOCK, ofServer);
  const page: StockView =
    'problem' in view ? { lines: [], total: 0, more: false, next: null, previous: null } : view;
  const shown = query.get('cols')?.split(',') ?? USUAL;
  const open = query.get('open');
  const to = (changes: Record<string, string | null>) =>
    router.push(query.href({ after: null, before: null, ...changes }), { scroll: false });
  return (
    <>
      <Asking>
        <AskWords label="Find" hint="words, a place, DC 6..8" />
        <AskChoice label="Kind" name="kind" any="all" options={KIND_OPTIONS} />
        <AskChoice label="Lies" name="lies" any="in the crib" options={LIES_WORDS} />
        <AskChoice label="In" name="place" any="any place" options={placeOptions(shop.places)} />
        <AskChoice
          label="Whose"
          name="owner"
          any="anybody’s"
          options={[
            ['ours', 'our own'],
            ['theirs', 'a supplier’s until used'],
            ...shop.suppliers.map((s) => [s.code, `${s.code}’s until used`] as const),
          ]}
        />
      </Asking>
      <SavedViews saved={saved} of="/places" />
      {'problem' in view && (
        <Notice kind="stop" now>
          {view.problem}
        </Notice>
      )}
      <PagedTable<StockLine>
        label="All that lies somewhere"
        columns={useColumns()}
        rows={page.lines}
        idOf={(l) => String(l.id)}
        isOpen={(l) => l.place === open}
        hrefOf={(l) => query.href({ open: l.place, sheet: null, new: null })}
        sort={query.get('sort') ?? 'item'}
        onSort={(sort) => to({ sort: sort === 'item' ? null : sort })}
        // Beside an open tag there is no room for everything.
        shown={open && !query.get('cols') ? shown.filter((c) => c !== 'owner') : shown}
        onShown={(cols) => to({ cols: cols.join(',') === USUAL.join(',') ? null : cols.join(',') })}
        total={`${page.more ? 'more than ' : ''}${counted(page.total)} line${page.total === 1 ? '' : 's'}`}
        next={page.next !== null ? query.href({ after: page.next, before: null }) : null}
        previous={page.previous !== null ? query.href({ before: page.previous, after: null }) : null}
        exportHref={(format) => `/api/v1/stock.${format}?${questionOf(query.all(), OF_STOCK, false)}`}
        empty="Nothing answers to this. Fewer words, or look elsewhere than in the crib?"
      />
    </>
  );
}

function useColumns(): GridColDef<StockLine>[] {
  const query = useQuery('places');
  return [
    {
      field: 'item',
      headerName: 'Item',
      width: 120,
      hideable: false,
      renderCell: ({ row, tabIndex }) => (
        <Link
          className="fig"
          href={linkTo('cutters', { open: row.item })}
          tabIndex={tabIndex}
          onClick={(e) => e.stopPropagation()}
        >
          {row.item}
        </Link>
      ),
    },
    { field: 'words', headerName: 'What it is', flex: 1, minWidth: 170, sortable: false },
    { field: 'maker', headerName: 'Maker', width: 110, sortable: false },
    {
      field: 'place',
      headerName: 'Where',
      width: 150,
      renderCell: ({ row, tabIndex }) => (
        <span>
          <Link
            className="fig"
            href={query.href({ open: row.place, sheet: null, new: null })}
            scroll={false}
            tabIndex={tabIndex}
            onClick={(e) => e.stopPropagation()}
          >
            {row.place}
          </Link>
          <div className="soft small">{row.placeName}</div>
        </span>
      ),
    },
    {
      field: 'owner',
      headerName: 'Lot, whose',
      width: 130,
      sortable: false,
      renderCell: ({ row }) => (
        <span className="small">
          {row.lot ? `lot ${row.lot}` : null}
          {row.edgesLeft !== null ? <div>{row.edgesLeft} edges left</div> : null}
          {row.owner && row.quantity > row.pieces ? <div>{row.owner}’s until used</div> : null}
        </span>
      ),
    },
    {
      field: 'quantity',
      headerName: 'How many',
      width: 92,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => (
        <span className="fig">
          {row.quantity}
          {row.pieces > 0 && <div className="soft small">{row.pieces} used</div>}
        </span>
      ),
    },
    {
      field: 'marks',
      headerName: 'Marks, graded for',
      width: 170,
      sortable: false,
      renderCell: ({ row }) => (
        <span className="small">
          {row.marks.map((m) => (
            <div key={m.mark}>
              <span className="fig">{m.mark}</span>
              {m.grade ? ` ${m.grade}` : ''}
            </div>
          ))}
          {row.pieces > row.marks.length && (
            <span className="soft">and {row.pieces - row.marks.length} more</span>
          )}
        </span>
      ),
    },
  ];
}
