import { lifeSheet, lifeView } from '@/crib/life';
import { LifeScreen } from '@/ui/screens/LifeScreen';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const query = await questionIn(searchParams);
  const { db } = await openForPage();
  const [item, material] = [query.get('item'), query.get('material')];
  const view = await lifeView(db, query.get('after'));
  const first = view.lines[0];
  // Without a choice, or with one that is not here any more, the first line is open.
  const asked = item && material ? await lifeSheet(db, item, material) : null;
  return (
    <LifeScreen
      view={view}
      open={asked ?? (first ? await lifeSheet(db, first.item.code, first.material.code) : null)}
    />
  );
}
