import { jobsView } from '@/crib/jobs';
import { rackView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { RackScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  const shop = await view(shopView);
  return <RackScreen view={await view(rackView)} jobs={(await view(jobsView)).jobs} places={shop.places} />;
}
