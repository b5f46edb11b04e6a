import bwip from 'bwip-js/node';
import { notFound } from 'next/navigation';
import { rackView } from '@/crib/rack';
import { PrintTag } from '@/ui/screens';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ tag: string }> }) {
  const { view } = await openForPage();
  const tag = (await params).tag.toUpperCase();
  const card = (await view(rackView)).assemblies.find((a) => a.tag === tag);
  if (!card) notFound();
  return <PrintTag card={card} code={bwip.toSVG({ bcid: 'datamatrix', text: card.tag })} />;
}
