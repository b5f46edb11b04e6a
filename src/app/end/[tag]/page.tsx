import { notFound } from 'next/navigation';
import { AN_END } from '@/core/questions';
import { assemblyView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { takeableView } from '@/crib/stock';
import { EndScreen } from '@/ui/screens/life/EndScreen';
import { Asked } from '@/ui/shell';
import { readable, type Search } from '../../server/search';
import { openForPage } from '../../server/views';

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ tag: string }>;
  searchParams: Search;
}) {
  const { asked, wrong } = await readable(AN_END, searchParams);
  const { db, today, zone, view } = await openForPage();
  const card = await assemblyView(db, (await params).tag, zone);
  if (!card) notFound();
  // Whose turn it is in a trial goes by the material it is to cut.
  const material = card.life.material ?? undefined;
  return (
    <Asked wrong={wrong}>
      <EndScreen
        card={card}
        takeable={
          (await takeableView(db, { what: 'cutter', like: card.cutter.code, material }, today)).sources
        }
        places={(await view(shopView)).places}
        asked={asked}
      />
    </Asked>
  );
}
