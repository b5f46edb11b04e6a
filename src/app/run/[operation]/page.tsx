import { notFound } from 'next/navigation';
import { jobsView, openUsesOf } from '@/crib/jobs';
import { rackView } from '@/crib/rack';
import { RunScreen } from '@/ui/screens';
import { openForPage } from '../../server/views';

export default async function Page({ params }: { params: Promise<{ operation: string }> }) {
  const { db, view } = await openForPage();
  const id = Number((await params).operation);
  const job = (await view(jobsView)).jobs.find((j) => j.operation.id === id);
  if (!job) notFound();
  return (
    <RunScreen job={job} assemblies={(await view(rackView)).assemblies} openUses={await openUsesOf(db, id)} />
  );
}
