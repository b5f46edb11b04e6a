import { jobView, openJobs } from '@/crib/jobs';
import { assemblyView, rackView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { RackScreen } from '@/ui/screens/RackScreen';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const query = await questionIn(searchParams);
  const { db, zone, view } = await openForPage();
  const open = query.get('open');
  const job = query.get('job');
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
