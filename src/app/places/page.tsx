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
import { PlacesScreen } from '@/ui/screens';
import { OF_STOCK, questionOf } from '@/ui/screens/question';
import { openForPage } from '../server/views';

type Search = Record<string, string | string[] | undefined>;

export default async function Page({ searchParams }: { searchParams: Promise<Search> }) {
  const search = await searchParams;
  const text = (name: string) => (typeof search[name] === 'string' ? search[name] || undefined : undefined);
  const asked = new URLSearchParams(
    Object.keys(search).flatMap((name) => (text(name) ? [[name, text(name)!]] : [])),
  );
  const { db, zone, view } = await openForPage();
  const show = text('show');
  return (
    <PlacesScreen
      view={await view(placesView)}
      place={await placeView(db, text('open') ?? null)}
      count={await countView(db, text('sheet') ?? null, zone)}
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
