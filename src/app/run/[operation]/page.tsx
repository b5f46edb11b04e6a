import { notFound } from 'next/navigation';
import { A_RUN } from '@/core/questions';
import { runView } from '@/crib/jobs';
import { RunScreen } from '@/ui/screens/jobs/RunScreen';
import { readable } from '../../server/search';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ operation: string }> }) {
  const { db } = await openForPage();
  const {
    asked: { operation },
  } = await readable(A_RUN, params);
  const view = await runView(db, operation ?? 0);
  if (!view) notFound();
  return <RunScreen view={view} />;
}
