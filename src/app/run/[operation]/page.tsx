import { notFound } from 'next/navigation';
import { A_RUN } from '@/core/questions';
import { readQuestion } from '@/crib/door';
import { runView } from '@/crib/rack';
import { RunScreen } from '@/ui/screens/jobs/RunScreen';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ operation: string }> }) {
  const { db } = await openForPage();
  const { operation } = readQuestion(A_RUN, new URLSearchParams(await params), 'left alone');
  const view = await runView(db, operation ?? 0);
  if (!view) notFound();
  return <RunScreen view={view} />;
}
