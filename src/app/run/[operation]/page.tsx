import { notFound } from 'next/navigation';
import { runView } from '@/crib/rack';
import { RunScreen } from '@/ui/screens';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ operation: string }> }) {
  const { db } = await openForPage();
  const operation = Number((await params).operation);
  const view = Number.isSafeInteger(operation) && operation < 2 ** 31 ? await runView(db, operation) : null;
  if (!view) notFound();
  return <RunScreen view={view} />;
}
