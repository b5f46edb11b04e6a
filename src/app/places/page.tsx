import { countView, movementsView, placesView, placeView } from '@/crib/stock';
import { PlacesScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

type Search = Record<string, string | string[] | undefined>;

export default async function Page({ searchParams }: { searchParams: Promise<Search> }) {
  const search = await searchParams;
  const text = (name: string) => (typeof search[name] === 'string' ? search[name] || undefined : undefined);
  const { db, view } = await openForPage();
  const moves =
    text('show') === 'moves'
      ? await movementsView(db, {
          item: text('item'),
          piece: text('piece'),
          place: text('place'),
          who: text('who'),
          before: Number(text('before')) || undefined,
        }).catch(() => ({ movements: [], next: null }))
      : null;
  return (
    <PlacesScreen
      view={await view(placesView)}
      place={await placeView(db, text('open') ?? null)}
      count={await countView(db, text('sheet') ?? null)}
      moves={moves}
    />
  );
}
