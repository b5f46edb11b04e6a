import { catalogueView, itemView, savedViews } from '@/crib/catalogue';
import { shopView } from '@/crib/shop';
import { missingView } from '@/crib/today';
import { CuttersScreen } from '@/ui/screens/catalogue/CuttersScreen';
import { questionOf } from '@/ui/screens/common/question';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong, said } = await askedOf('cutters', searchParams);
  const { db, view } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <CuttersScreen
        view={{
          ...(await catalogueView(db, asked).catch((problem: Error) => ({
            problem: problem.message,
          }))),
          asked: questionOf(said),
        }}
        one={await itemView(db, asked.open ?? null)}
        shop={await view(shopView)}
        saved={await view(savedViews)}
        missing={asked.show === 'missing' ? (await view(missingView)).facts : null}
      />
    </Asked>
  );
}
