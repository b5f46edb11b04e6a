import { shopView } from '@/crib/shop';
import {
  consignedView,
  countView,
  movementsView,
  placesView,
  placeView,
  savedViews,
  stockView,
} from '@/crib/stock';
import { movementsAskedOf, stockAskedOf } from '@/crib/views';
import { PlacesScreen } from '@/ui/screens/places/PlacesScreen';
import { OF_STOCK, questionOf } from '@/ui/screens/question';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const asked = await questionIn(searchParams);
  const { db, zone, view } = await openForPage();
  const show = asked.get('show');
  return (
    <PlacesScreen
      view={await view(placesView)}
      place={await placeView(db, asked.get('open'))}
      count={await countView(db, asked.get('sheet'), zone)}
      moves={
        show === 'moves'
          ? await movementsView(db, movementsAskedOf(asked)).catch(() => ({ movements: [], next: null }))
          : null
      }
      stock={
        show === 'stock'
          ? {
              ...(await stockView(db, stockAskedOf(asked)).catch((problem: Error) => ({
                problem: problem.message,
              }))),
              asked: questionOf(asked, OF_STOCK),
            }
          : null
      }
      consigned={show === 'theirs' ? await view(consignedView) : null}
      shop={await view(shopView)}
      saved={await view(savedViews)}
    />
  );
}
