import { notFound } from 'next/navigation';
import { A_RUN_ALONE } from '@/core/questions';
import { unwatchedView } from '@/crib/jobs';
import { AloneScreen } from '@/ui/screens/jobs/AloneScreen';
import { readable, type Search } from '../../../server/search';
import { openForPage } from '../../../server/views';

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ operation: string }>;
  searchParams: Search;
}) {
  const { db } = await openForPage();
  const { asked } = await readable(
    A_RUN_ALONE,
    Promise.all([params, searchParams]).then(([of, said]) => ({ ...said, ...of })),
  );
  const view = await unwatchedView(db, asked);
  if (!view) notFound();
  return <AloneScreen key={`${view.parts} ${view.wanted}`} view={view} />;
}
