import { jobView, openJobs } from '@/crib/jobs';
import { assemblyView, rackView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { RackScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

type Search = Record<string, string | string[] | undefined>;

export default async function Page({ searchParams }: { searchParams: Promise<Search> }) {
  const search = await searchParams;
  const text = (name: string) => (typeof search[name] === 'string' ? search[name] || null : null);
  const { db, zone, view } = await openForPage();
  const open = text('open');
  const job = text('job');
  return (
    <RackScreen
      view={await view(rackView)}
      jobs={(await view(openJobs))
        .filter((j) => j.program)
        .map((j) => ({ operation: j.operation.id, job: j.operation.job }))}
      card={open === null ? null : await assemblyView(db, open, zone)}
      job={job === null ? null : await jobView(db, job)}
      places={(await view(shopView)).places}
    />
  );
}
