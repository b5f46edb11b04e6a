import bwip from 'bwip-js/node';
import { notFound } from 'next/navigation';
import { assemblyView, labelOf } from '@/crib/rack';
import { PrintTag } from '@/ui/screens/rack/PrintTag';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ tag: string }> }) {
  const { db, zone } = await openForPage();
  const card = await assemblyView(db, (await params).tag, zone);
  if (!card) notFound();
  const label = labelOf(card, zone);
  return <PrintTag label={label} code={bwip.toSVG({ bcid: 'datamatrix', text: label.code })} />;
}
