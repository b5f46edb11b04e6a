import { rowNumber } from '@/crib/door';
import { jobsView, jobView } from '@/crib/jobs';
import { shopView } from '@/crib/shop';
import { JobsScreen } from '@/ui/screens/JobsScreen';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const query = await questionIn(searchParams);
  const { db, view } = await openForPage();
  const open = query.get('open');
  return (
    <JobsScreen
      view={await jobsView(db, rowNumber(query.get('after')), view)}
      job={open === null ? null : await jobView(db, open)}
      shop={await view(shopView)}
    />
  );
}
