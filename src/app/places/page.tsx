import { savedViews } from '@/crib/catalogue';
import { consignedView } from '@/crib/consigned';
import { countView, placesView, placeView } from '@/crib/places';
import { scrapView } from '@/crib/secondlife';
import { shopView } from '@/crib/shop';
import { movementsView, stockView } from '@/crib/stock';
import { OF_STOCK, questionOf } from '@/ui/screens/common/question';
import { PlacesScreen } from '@/ui/screens/places/PlacesScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong, said } = await askedOf('places', searchParams);
  const { db, zone, view } = await openForPage();
  const { show } = asked;
  return (
    <Asked wrong={wrong}>
      <PlacesScreen
        view={await view(placesView)}
        place={await placeView(db, asked.open ?? null)}
        count={await countView(db, asked.sheet ?? null, zone)}
        moves={
          show === 'moves'
            ? await movementsView(db, asked).catch((problem: Error) => ({ problem: problem.message }))
            : null
        }
        stock={
          show === 'stock'
            ? {
                ...(await stockView(db, asked).catch((problem: Error) => ({
                  problem: problem.message,
                }))),
                asked: questionOf(said, OF_STOCK),
              }
            : null
        }
        scrap={show === 'scrap' ? await scrapView(db) : null}
        consigned={show === 'theirs' ? await view(consignedView) : null}
        shop={await view(shopView)}
        saved={await view(savedViews)}
      />
    </Asked>
  );
}
