import { changeAsked, lifeSheet, lifeView } from '@/crib/life';
import { Problem } from '@/crib/door';
import { LifeScreen } from '@/ui/screens/life/LifeScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('life', searchParams);
  const { db, today, zone } = await openForPage();
  const { item, material } = asked;
  const view = await lifeView(db, today, zone, asked.after ?? null);
  const first = view.lines[0];
  // Without a choice, or with one that is not here any more, the first line is open.
  const { costs, unread } = changeOf(asked);
  const also = { change: costs, in: asked.in };
  const sheet =
    item && material
      ? await lifeSheet(db, item, material, { ...also, beside: asked.beside ?? null, rpm: asked.rpm })
      : null;
  return (
    <Asked wrong={wrong ?? unread}>
      <LifeScreen
        view={view}
        open={sheet ?? (first ? await lifeSheet(db, first.item.code, first.material.code, also) : null)}
      />
    </Asked>
  );
}

/** The costs that are asked with; what can't be read of them is left out and said, as with the rest of an address. */
function changeOf(asked: Parameters<typeof changeAsked>[0]) {
  try {
    return { costs: changeAsked(asked), unread: null };
  } catch (e) {
    if (e instanceof Problem) return { costs: null, unread: e.message };
    throw e;
  }
}
