import { notFound } from 'next/navigation';
import { rowNumber } from '@/crib/door';
import { runView } from '@/crib/rack';
import { RunScreen } from '@/ui/screens/RunScreen';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ operation: string }> }) {
  const { db } = await openForPage();
  const view = await runView(db, rowNumber((await params).operation) ?? 0);
  if (!view) notFound();
  return <RunScreen view={view} />;
}
