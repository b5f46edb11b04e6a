import { lifeSheet, lifeView } from '@/crib/life';
import { LifeScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ item?: string; material?: string; after?: string }>;
}) {
  const { db } = await openForPage();
  const { item, material, after } = await searchParams;
  const view = await lifeView(db, after ?? null);
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
