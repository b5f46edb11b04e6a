'use client';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CUTS } from '@/core/cutting';
import { linkTo } from '@/core/links';
import type { BenchView, RecipeLine, RecipesView, RecipeView } from '@/crib/cutting';
import type { ShopView } from '@/crib/shop';
import { Unknown } from '@/ui/kit/figure';
import { Link } from '@/ui/kit/link';
import { Acts, Empty, Head, Notice, Views } from '@/ui/kit/page';
import { Asking, AskOne } from '@/ui/screens/common/asking';
import { useQuery } from '@/ui/screens/common/query';
import { Middle } from '@/ui/shell';
import { StateMark, useFigures } from './figures';
import type { RecipeStart } from './StateRecipeTag';

/** Forms come when they are asked for. */
const BenchSheet = dynamic(() => import('./bench/BenchSheet').then((m) => m.BenchSheet));
const StateRecipeTag = dynamic(() => import('./StateRecipeTag').then((m) => m.StateRecipeTag));
const RecipeTag = dynamic(() => import('./RecipeTag').then((m) => m.RecipeTag));

/** How cutters are run in what the shop cuts: what was proven here, and what is only stated. */
export function RecipesScreen({
  view,
  open,
  bench,
  shop,
}: {
  view: RecipesView;
  open: RecipeView | null;
  /** What a cut is tried with, where the bench is asked for. */
  bench: BenchView | null;
  shop: ShopView;
}) {
  const query = useQuery('cutting');
  const router = useRouter();
  /** A cut of the bench that is being kept. */
  const [kept, setKept] = useState<RecipeStart | null>(null);
  const asked = query.get('open');
  const close = query.href({ open: null, new: null, do: null });
  return (
    <Middle
      beside={
        query.get('new') === 'recipe' ? (
          <StateRecipeTag
            key={bench && kept ? JSON.stringify(kept) : 'new'}
            shop={shop}
            instead={null}
            begun={(bench && kept) ?? undefined}
            closeHref={close}
            // What was typed on the bench stays beside the recipe that was made of it.
            doneHref={bench ? (code) => query.href({ new: null, open: code }) : undefined}
          />
        ) : open && query.get('do') === 'instead' ? (
          <StateRecipeTag key={open.code} shop={shop} instead={open} closeHref={query.href({ do: null })} />
        ) : open ? (
          <RecipeTag key={open.code} recipe={open} closeHref={close} />
        ) : asked !== null ? (
          <Notice now>There is no recipe {asked}.</Notice>
        ) : null
      }
    >
      <Head>
        <div>
          <h1>Cutting</h1>
          <div className="soft">How cutters are run in what is cut here, and what a cut comes to</div>
        </div>
        <Acts>
          <Button
            component={Link}
            href={query.href({ new: 'recipe', open: null, do: null })}
            scroll={false}
            onClick={() => setKept(null)}
          >
            State a recipe
          </Button>
        </Acts>
      </Head>
      <Views
        label="Cutting"
        views={[
          { words: 'Recipes', href: query.href({ show: null }), shown: bench === null },
          { words: 'The bench', href: query.href({ show: 'bench', open: null }), shown: bench !== null },
        ]}
      />
      {bench ? (
        // Another cutter is another figure and no other cut: what was typed stays.
        <BenchSheet
          key={bench.recipe?.code ?? ''}
          view={bench}
          shop={shop}
          onKeep={(start) => {
            setKept(start);
            router.push(query.href({ new: 'recipe', open: null, do: null }), { scroll: false });
          }}
        />
      ) : (
        <Kept view={view} open={open?.code ?? null} shop={shop} />
      )}
    </Middle>
  );
}

/** The recipes that are kept, narrowed as it is asked. */
function Kept({ view, open, shop }: { view: RecipesView; open: string | null; shop: ShopView }) {
  const query = useQuery('cutting');
  const narrowed = query.get('material') !== null || query.get('item') !== null;
  return (
    <>
      <Asking>
        <AskOne
          label="In"
          value={query.get('material')}
          to={(material) => query.href({ material, after: null })}
          any="any material"
          options={shop.materials.map((m) => [m.code, `${m.code} ${m.name}`] as const)}
        />
      </Asking>
      {query.get('item') !== null && (
        <p className="small">
          Only of <strong className="fig">{query.get('item')}</strong>.{' '}
          <Link href={query.href({ item: null })}>of every cutter</Link>
        </p>
      )}
      {view.lines.length === 0 && narrowed ? (
        <p className="soft">
          No recipe is kept for this. <Link href={query.href({ new: 'recipe' })}>State the first one</Link>,
          or keep what a T of a job runs with.
        </p>
      ) : view.lines.length === 0 ? (
        <Empty>
          A recipe says how fast a cutter turns and feeds in a material, and what came of it. Keep one from a
          T that ran well, on its <Link href={linkTo('jobs')}>job</Link>, or{' '}
          <Link href={query.href({ new: 'recipe' })}>state one</Link> from a maker’s chart.
        </Empty>
      ) : (
        <Recipes lines={view.lines} open={open} />
      )}
      <p className="small">
        {query.get('after') && <Link href={query.href({ after: null })}>back to the latest</Link>}{' '}
        {view.after !== null && <Link href={query.href({ after: view.after })}>earlier ones</Link>}
      </p>
    </>
  );
}

function Recipes({ lines, open }: { lines: readonly RecipeLine[]; open: string | null }) {
  const query = useQuery('cutting');
  const figures = useFigures();
  return (
    <Table>
      <TableHead>
        <TableRow>
          <TableCell>Recipe</TableCell>
          <TableCell>Cutter</TableCell>
          <TableCell>Material</TableCell>
          <TableCell className="num">Speed</TableCell>
          <TableCell className="num">Feed</TableCell>
          <TableCell className="num">ap × ae</TableCell>
          <TableCell>So far</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {lines.map((r) => (
          <TableRow key={r.code} className={r.code === open ? 'open' : undefined}>
            <TableCell>
              <Link className="fig" href={query.href({ open: r.code, new: null, do: null })} scroll={false}>
                {r.code}
              </Link>
            </TableCell>
            <TableCell>
              {figures.cutter(r)}
              <div className="soft small">{CUTS[r.cut]}</div>
            </TableCell>
            <TableCell>
              {r.material}
              <div className="soft small">{r.machine ?? 'any machine'}</div>
            </TableCell>
            <Figure of={figures.speed(r)} />
            <Figure of={figures.feed(r)} />
            <TableCell className="num fig">
              {r.ap === null && r.ae === null ? (
                <Unknown>not stated</Unknown>
              ) : (
                `${figures.ap(r) ?? '—'} × ${figures.ae(r) ?? '—'}`
              )}
            </TableCell>
            <TableCell>
              <StateMark state={r.state} />
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  );
}

const Figure = ({ of }: { of: [figure: string, unit: string] | null }) => (
  <TableCell className="num">
    {of ? (
      <>
        <span className="fig">{of[0]}</span>
        <div className="soft small">{of[1]}</div>
      </>
    ) : (
      <Unknown>not stated</Unknown>
    )}
  </TableCell>
);
