import { jobsView } from '@/crib/jobs';
import { rackView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { JobsScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  return (
    <JobsScreen
      view={await view(jobsView)}
      shop={await view(shopView)}
      assemblies={(await view(rackView)).assemblies}
    />
  );
}
