'use client';
import { linkTo } from '@/core/links';
import Button from '@mui/material/Button';
import type { GridColDef } from '@mui/x-data-grid';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import {
  isSymbol,
  ITEM_KINDS,
  KINDS,
  SYMBOLS,
  type FactSymbol,
  type ItemKind,
  type MissingFact,
} from '@/core/cutters';
import type { CatalogueLine, CatalogueView, OneItemView, SavedView } from '@/crib/stock';
import type { ShopView } from '@/crib/shop';
import { Unknown } from '../figure';
import { Middle, useLengths } from '../shell';
import { PagedTable } from '../table';
import { AddItemTag } from './addItems';
import { AskChoice, AskWords, KIND_OPTIONS, placeOptions } from './asking';
import { ItemTag } from './ItemTag';
import { Ladder } from './Ladder';
import { useQuery } from './query';
import { OF_CATALOGUE, questionOf } from './question';
import { SavedViews } from './SavedViews';
import { useAnswer, type Answered } from './useAnswer';

/** Facts that have a column of their own, off until they are wanted. */
const FACT_COLUMNS: readonly FactSymbol[] = ['LCF', 'LU', 'RE', 'NOF', 'DMM', 'OAL', 'SUBSTRATE', 'COATING'];
const USUAL = ['code', 'words', 'dc', 'unused', 'inBuilds', 'places'];

/** The catalogue with what the shelf has of it, a page at a time. */
export function CuttersScreen({
  view: ofServer,
  one,
  shop,
  saved,
  missing,
}: {
  view: Answered<CatalogueView>;
  one: OneItemView;
  shop: ShopView;
  saved: SavedView[];
  /** Facts that something booked waits for; null: not asked for. */
  missing: MissingFact[] | null;
}) {
  const query = useQuery('cutters');
  const router = useRouter();
  const view = useAnswer('items', OF_CATALOGUE, ofServer);
  const adding = query.get('new');
  const open = query.get('open');
  const refused = 'problem' in view ? view.problem : null;
  const page: CatalogueView =
    'problem' in view ? { lines: [], total: 0, more: false, next: null, previous: null } : view;
  const asking = query.get('q') || query.get('kind') || query.get('place');
  const shown = query.get('cols')?.split(',') ?? USUAL;
  // Beside an open tag there is no room for what the tag says anyway.
  const narrow = adding !== null || one.item !== null;
  const to = (changes: Record<string, string | null>) =>
    router.push(query.href({ after: null, before: null, ...changes }), { scroll: false });
  const beside =
    adding !== null && (ITEM_KINDS as readonly string[]).includes(adding) ? (
      <AddItemTag
        key={`${adding} ${query.get('like') ?? ''}`}
        kind={adding as (typeof ITEM_KINDS)[number]}
        shop={shop}
      />
    ) : one.item ? (
      <ItemTag
        key={one.item.code}
        item={one.item}
        noHolderTakes={one.noHolderTakes}
        bodies={one.bodies}
        pictures={one.pictures}
        age={one.age}
        shop={shop}
      />
    ) : null;
  const columns = useColumns();
  const empty = !asking && page.lines.length === 0 && !refused && !page.previous;
  return (
    <Middle beside={beside}>
      <div className="head">
        <div>
          <h1>Cutters, holders and spares</h1>
        </div>
        <div className="acts">
          <Button component={Link} href={query.href({ new: 'cutter', open: null })} scroll={false}>
            Add a cutter
          </Button>
          <Button component={Link} href={query.href({ new: 'holder', open: null })} scroll={false}>
            Add a holder
          </Button>
          <MoreKinds />
        </div>
      </div>
      <nav className="views" aria-label="Of the catalogue">
        <Link href={query.href({ show: null })} aria-current={query.get('show') ? undefined : 'true'}>
          All of it
        </Link>
        <Link
          href={query.href({ show: 'missing', new: null })}
          aria-current={missing === null ? undefined : 'true'}
        >
          What is missing
        </Link>
        <Link
          href={query.href({ show: 'ladder', new: null })}
          aria-current={query.get('show') === 'ladder' ? 'true' : undefined}
        >
          Second lives
        </Link>
        <Link href="/choose">Choose by the cut</Link>
        <Link href="/exchange">Lists in and out</Link>
      </nav>
      {query.get('show') === 'ladder' ? (
        <Ladder ladder={shop.ladder} />
      ) : missing !== null ? (
        <Missing facts={missing} />
      ) : empty ? (
        <div className="empty">
          Here stands every cutter and holder with its facts, each with where it came from, and how many are
          left. <Link href={linkTo('cutters', { new: 'cutter' })}>Add the first cutter</Link>, or{' '}
          <Link href="/exchange">bring a whole list in</Link>.
        </div>
      ) : (
        <>
          <div className="asking">
            <AskWords label="Words to find, or DC 6..8, LCF>20" />
            <AskChoice label="Kind" name="kind" any="all" options={KIND_OPTIONS} />
            <AskChoice label="Lies in" name="place" any="any place" options={placeOptions(shop)} />
          </div>
          <SavedViews saved={saved} />
          {refused && (
            <div className="ask stop" role="alert">
              {refused}
            </div>
          )}
          <PagedTable<CatalogueLine>
            label="The catalogue"
            columns={columns}
            rows={page.lines}
            idOf={(l) => l.code}
            isOpen={(l) => l.code === open}
            hrefOf={(l) => query.href({ open: l.code, new: null, do: null })}
            sort={query.get('sort') ?? 'code'}
            onSort={(sort) => to({ sort: sort === 'code' ? null : sort })}
            shown={narrow && !query.get('cols') ? shown.filter((c) => c !== 'inBuilds') : shown}
            onShown={(cols) => to({ cols: cols.join(',') === USUAL.join(',') ? null : cols.join(',') })}
            total={`${page.more ? 'more than ' : ''}${page.total.toLocaleString('en')} item${page.total === 1 ? '' : 's'}`}
            next={page.next && query.href({ after: page.next, before: null })}
            previous={page.previous && query.href({ before: page.previous, after: null })}
            exportHref={(format) => `/api/v1/items.${format}?${questionOf(query.all(), OF_CATALOGUE, false)}`}
            empty="Nothing answers to this. Fewer words, or another range?"
          />
        </>
      )}
    </Middle>
  );
}

/** Gaps and guesses that block something booked, the worst first; each opens where it is stated. */
function Missing({ facts }: { facts: MissingFact[] }) {
  const query = useQuery('cutters');
  if (!facts.length)
    return (
      <div className="empty">Nothing that is booked waits for a fact, and none of it leans on a guess.</div>
    );
  return (
    <table className="list">
      <thead>
        <tr>
          <th>Fact</th>
          <th>Of</th>
          <th>Blocks</th>
          <th>For</th>
          <th className="num">Minutes booked</th>
        </tr>
      </thead>
      <tbody>
        {facts.map((f) => (
          <tr key={`${f.item} ${f.symbol}`}>
            <td>
              {f.state === 'guess' ? '▲ a guess: ' : '■ not known: '}
              {isSymbol(f.symbol) ? SYMBOLS[f.symbol].words : f.symbol}
            </td>
            <td>
              <Link
                className="fig"
                href={query.href({ open: f.item, do: 'facts', new: null })}
                scroll={false}
              >
                {f.item}
              </Link>
            </td>
            <td>{f.results.join(', ')}</td>
            <td className="fig small">{f.of.slice(0, 4).join(' ')}</td>
            <td className="num fig">{f.minutes > 0 ? Math.round(f.minutes) : ''}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The kinds beside cutters and holders, chosen from a list. */
function MoreKinds() {
  const query = useQuery('cutters');
  const router = useRouter();
  return (
    <select
      aria-label="Add something else"
      className="plain"
      value=""
      onChange={(e) =>
        router.push(query.href({ new: e.target.value as ItemKind, open: null }), { scroll: false })
      }
    >
      <option value="">Add something else</option>
      {ITEM_KINDS.filter((k) => k !== 'cutter' && k !== 'holder').map((k) => (
        <option key={k} value={k}>
          {KINDS[k].words}
        </option>
      ))}
    </select>
  );
}

function useColumns(): GridColDef<CatalogueLine>[] {
  const { entered, unit } = useLengths();
  const fact = (line: CatalogueLine, symbol: string) => {
    const f = line.facts[symbol];
    if (!f) return <Unknown>—</Unknown>;
    const text =
      f.unit === 'mm' || f.unit === 'inch'
        ? entered(`${f.text} ${f.unit}`, f.value, unit === 'mm' ? 2 : 3)
        : f.text;
    return f.guess ? <em title="a guess">{text}?</em> : text;
  };
  const query = useQuery('cutters');
  return [
    {
      field: 'code',
      headerName: 'Code',
      width: 120,
      hideable: false,
      renderCell: ({ row, tabIndex }) => (
        <Link
          className="fig"
          href={query.href({ open: row.code, new: null, do: null })}
          scroll={false}
          tabIndex={tabIndex}
          onClick={(e) => e.stopPropagation()}
        >
          {row.code}
        </Link>
      ),
    },
    {
      field: 'words',
      headerName: 'What it is',
      flex: 1,
      minWidth: 180,
      sortable: false,
      renderCell: ({ row }) => (
        <span>
          {row.words}
          {row.maker ? <span className="soft">, {row.maker}</span> : null}
          {row.standing && row.standing !== 'approved' ? <strong> · {row.standing}</strong> : null}
        </span>
      ),
    },
    {
      field: 'dc',
      headerName: 'DC',
      width: 76,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => fact(row, 'DC'),
    },
    ...FACT_COLUMNS.map((symbol): GridColDef<CatalogueLine> => ({
      field: symbol,
      headerName: symbol,
      description: SYMBOLS[symbol].words,
      width: 92,
      sortable: false,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => fact(row, symbol),
    })),
    {
      field: 'unused',
      headerName: 'Unused',
      width: 86,
      align: 'right',
      headerAlign: 'right',
      renderCell: ({ row }) => (
        <span className="fig">
          {row.unused}
          {row.suppliers > 0 ? <div className="soft small">{row.suppliers} theirs</div> : null}
        </span>
      ),
    },
    {
      field: 'inBuilds',
      headerName: 'In builds',
      width: 86,
      align: 'right',
      headerAlign: 'right',
      sortable: false,
      renderCell: ({ row }) => (row.inBuilds ? <span className="fig">{row.inBuilds}</span> : null),
    },
    {
      field: 'places',
      headerName: 'Where',
      width: 130,
      sortable: false,
      renderCell: ({ row }) => row.places.join(', '),
    },
  ];
}
