'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { ITEM_KINDS, KINDS, type MissingFact } from '@/core/cutters';
import { linkTo } from '@/core/links';
import { isOne } from '@/core/names';
import { counted } from '@/core/units';
import type { CatalogueLine, CatalogueView, OneItemView, SavedView } from '@/crib/catalogue';
import type { ShopView } from '@/crib/shop';
import { Choice } from '@/ui/kit/field';
import { Acts, Empty, Head, Notice, Views } from '@/ui/kit/page';
import { PagedTable } from '@/ui/kit/table';
import { SavedViews } from '@/ui/screens/common/SavedViews';
import { Asking, AskChoice, AskWords, KIND_OPTIONS } from '@/ui/screens/common/asking';
import { useQuery } from '@/ui/screens/common/query';
import { OF_CATALOGUE, questionOf } from '@/ui/screens/common/question';
import { type Answered, useAnswer } from '@/ui/screens/common/useAnswer';
import { Middle } from '@/ui/shell';
import { hasFigure } from './hasFigure';
import { useColumns } from './columns';
import { placeOptions } from '@/ui/screens/common/options';

// What is opened now and then comes when it is.
const ItemTag = dynamic(() => import('./ItemTag').then((m) => m.ItemTag));
const Figure = dynamic(() => import('./Figure').then((m) => m.Figure));
const AddItemTag = dynamic(() => import('./addItems').then((m) => m.AddItemTag));
const Missing = dynamic(() => import('./Missing').then((m) => m.Missing));
const Ladder = dynamic(() => import('@/ui/screens/secondlife').then((m) => m.Ladder));

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
  // Beside an open tag there is no room for what the tag says anyway, and beside one that is filled in for little more
  // than the names of what is there.
  const filling = adding !== null || query.get('do') === 'facts';
  const besideTag = filling
    ? ['code', 'words', 'unused']
    : one.item
      ? shown.filter((c) => c !== 'inBuilds')
      : shown;
  const to = (changes: Record<string, string | null>) =>
    router.push(query.href({ after: null, before: null, ...changes }), { scroll: false });
  const beside =
    adding !== null && isOne(ITEM_KINDS, adding) ? (
      <AddItemTag key={`${adding} ${query.get('like') ?? ''}`} kind={adding} shop={shop} />
    ) : one.item ? (
      <ItemTag
        key={one.item.code}
        item={one.item}
        noHolderTakes={one.noHolderTakes}
        bodiesOf={one}
        pictures={one.pictures}
        age={one.age}
        shop={shop}
      />
    ) : null;
  const columns = useColumns();
  const empty = !asking && page.lines.length === 0 && !refused && !page.previous;
  if (query.get('show') === 'figure' && one.item && hasFigure(one.item))
    return (
      <Middle beside={beside}>
        <Figure item={one.item} />
      </Middle>
    );
  return (
    <Middle beside={beside} wide={filling}>
      <Head>
        <div>
          <h1>Cutters, holders and spares</h1>
        </div>
        <Acts>
          <Button component={Link} href={query.href({ new: 'cutter', open: null })} scroll={false}>
            Add a cutter
          </Button>
          <Button component={Link} href={query.href({ new: 'holder', open: null })} scroll={false}>
            Add a holder
          </Button>
          <MoreKinds />
        </Acts>
      </Head>
      <Views
        label="Of the catalogue"
        views={[
          { words: 'All of it', href: query.href({ show: null }), shown: !query.get('show') },
          {
            words: 'What is missing',
            href: query.href({ show: 'missing', new: null }),
            shown: missing !== null,
          },
          {
            words: 'Second lives',
            href: query.href({ show: 'ladder', new: null }),
            shown: query.get('show') === 'ladder',
          },
          { words: 'Choose by the cut', href: '/choose', shown: false },
          { words: 'Lists in and out', href: '/exchange', shown: false },
        ]}
      />
      {query.get('show') === 'ladder' ? (
        <Ladder ladder={shop.ladder} />
      ) : missing !== null ? (
        <Missing facts={missing} />
      ) : empty ? (
        <Empty>
          Here stands every cutter and holder with its facts, each with where it came from, and how many are
          left. <Link href={linkTo('cutters', { new: 'cutter' })}>Add the first cutter</Link>, or{' '}
          <Link href="/exchange">bring a whole list in</Link>.
        </Empty>
      ) : (
        <>
          <Asking>
            <AskWords label="Words to find, or DC 6..8, LCF>20" />
            <AskChoice label="Kind" name="kind" any="all" options={KIND_OPTIONS} />
            <AskChoice label="Lies in" name="place" any="any place" options={placeOptions(shop.places)} />
          </Asking>
          <SavedViews saved={saved} />
          {refused && (
            <Notice kind="stop" now>
              {refused}
            </Notice>
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
            shown={query.get('cols') ? shown : besideTag}
            onShown={(cols) => to({ cols: cols.join(',') === USUAL.join(',') ? null : cols.join(',') })}
            total={`${page.more ? 'more than ' : ''}${counted(page.total)} item${page.total === 1 ? '' : 's'}`}
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

/** The kinds beside cutters and holders, chosen from a list. */
function MoreKinds() {
  const query = useQuery('cutters');
  const router = useRouter();
  return (
    <Choice
      aria-label="Add something else"

      value=""
      onChange={(e) => {
        const kind = e.target.value;
        if (isOne(ITEM_KINDS, kind)) router.push(query.href({ new: kind, open: null }), { scroll: false });
      }}
    >
      <option value="">Add something else</option>
      {ITEM_KINDS.filter((k) => k !== 'cutter' && k !== 'holder').map((k) => (
        <option key={k} value={k}>
          {KINDS[k].words}
        </option>
      ))}
    </Choice>
  );
}
