import { shopView } from '@/crib/shop';
import { catalogueView, itemView, savedViews } from '@/crib/stock';
import { missingView } from '@/crib/today';
import { askedOf } from '@/crib/views';
import { CuttersScreen } from '@/ui/screens/CuttersScreen';
import { questionOf } from '@/ui/screens/question';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const query = await questionIn(searchParams);
  const { db, view } = await openForPage();
  return (
    <CuttersScreen
      view={{
        ...(await catalogueView(db, askedOf(query)).catch((problem: Error) => ({
          problem: problem.message,
        }))),
        asked: questionOf(query),
      }}
      one={await itemView(db, query.get('open'))}
      shop={await view(shopView)}
      saved={await view(savedViews)}
      missing={query.get('show') === 'missing' ? (await view(missingView)).facts : null}
    />
  );
}
