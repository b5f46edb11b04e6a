import { jobsView, jobView } from '@/crib/jobs';
import { shopView } from '@/crib/shop';
import { JobsScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<{ open?: string; after?: string }>;
}) {
  const { db, view } = await openForPage();
  const { open, after } = await searchParams;
  return (
    <JobsScreen
      view={await jobsView(db, Number(after) || null, view)}
      job={typeof open === 'string' ? await jobView(db, open) : null}
      shop={await view(shopView)}
    />
  );
}
