import bwip from 'bwip-js/node';
import { notFound } from 'next/navigation';
import { assemblyView } from '@/crib/rack';
import { PrintTag } from '@/ui/screens/rack/PrintTag';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ tag: string }> }) {
  const { db, zone } = await openForPage();
  const card = await assemblyView(db, (await params).tag, zone);
  if (!card) notFound();
  return <PrintTag card={card} code={bwip.toSVG({ bcid: 'datamatrix', text: card.tag })} />;
}
