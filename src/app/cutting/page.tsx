import { benchView, recipesView, recipeView } from '@/crib/cutting';
import { shopView } from '@/crib/shop';
import { RecipesScreen } from '@/ui/screens/cutting/RecipesScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('cutting', searchParams);
  const { db, view } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <RecipesScreen
        view={await recipesView(db, asked)}
        open={asked.open === undefined ? null : await recipeView(db, asked.open)}
        bench={asked.show === 'bench' ? await benchView(db, asked) : null}
        shop={await view(shopView)}
      />
    </Asked>
  );
}
