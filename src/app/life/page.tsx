import { lifeSheet, lifeView } from '@/crib/life';
import { LifeScreen } from '@/ui/screens/life/LifeScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('life', searchParams);
  const { db } = await openForPage();
  const { item, material } = asked;
  const view = await lifeView(db, asked.after ?? null);
  const first = view.lines[0];
  // Without a choice, or with one that is not here any more, the first line is open.
  const sheet = item && material ? await lifeSheet(db, item, material) : null;
  return (
    <Asked wrong={wrong}>
      <LifeScreen
        view={view}
        open={sheet ?? (first ? await lifeSheet(db, first.item.code, first.material.code) : null)}
      />
    </Asked>
  );
}
