import { notFound } from 'next/navigation';
import { rackView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { takeableView } from '@/crib/stock';
import { EndScreen } from '@/ui/screens';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ tag: string }> }) {
  const { db, view } = await openForPage();
  const tag = (await params).tag.toUpperCase();
  const card = (await view(rackView)).assemblies.find((a) => a.tag === tag);
  if (!card) notFound();
  return (
    <EndScreen
      card={card}
      takeable={(await takeableView(db, { what: 'cutter', like: card.cutter.code })).sources}
      places={(await view(shopView)).places}
    />
  );
}
