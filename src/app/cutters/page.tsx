import { shopView } from '@/crib/shop';
import { catalogueView, itemView, savedViews } from '@/crib/stock';
import { CuttersScreen } from '@/ui/screens';
import { questionOf } from '@/ui/screens/question';
import { missingView } from '@/crib/today';
import { openForPage } from '../server/views';

type Search = Record<string, string | string[] | undefined>;

export default async function Page({ searchParams }: { searchParams: Promise<Search> }) {
  const search = await searchParams;
  const text = (name: string) => (typeof search[name] === 'string' ? search[name] || undefined : undefined);
  const { db, view } = await openForPage();
  const asked = {
    q: text('q'),
    kind: text('kind'),
    place: text('place'),
    sort: text('sort'),
    after: text('after'),
    before: text('before'),
    unit: text('unit') === 'inch' ? ('inch' as const) : ('mm' as const),
  };
  return (
    <CuttersScreen
      view={{
        ...(await catalogueView(db, asked).catch((problem: Error) => ({ problem: problem.message }))),
        asked: questionOf({ get: (name) => text(name) ?? null }),
      }}
      one={await itemView(db, text('open') ?? null)}
      shop={await view(shopView)}
      saved={await view(savedViews)}
      missing={text('show') === 'missing' ? (await view(missingView)).facts : null}
    />
  );
}
