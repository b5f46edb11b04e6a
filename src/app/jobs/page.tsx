import { jobsView, jobView } from '@/crib/jobs';
import { kitView } from '@/crib/pockets';
import { shopView } from '@/crib/shop';
import { dayView } from '@/crib/today';
import { JobsScreen } from '@/ui/screens/jobs/JobsScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('jobs', searchParams);
  const { db, view, today } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <JobsScreen
        view={await jobsView(db, asked.after ?? null, view)}
        job={asked.open === undefined ? null : await jobView(db, asked.open, asked.op ?? null)}
        kit={
          asked.open !== undefined && (asked.do === 'kit' || asked.do === 'plan')
            ? await kitView(db, { number: asked.open, op: asked.op }, today)
            : null
        }
        day={asked.do === 'calendar' ? await view(dayView) : null}
        today={today}
        shop={await view(shopView)}
      />
    </Asked>
  );
}
