import { devicesView, gaugesView } from '@/crib/devices';
import { jobView, openJobs } from '@/crib/jobs';
import { assemblyView, rackView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { RackScreen } from '@/ui/screens/rack/RackScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('rack', searchParams);
  const { db, zone, today, view } = await openForPage();
  const shop = await view(shopView);
  const job = asked.job === undefined ? null : await jobView(db, asked.job);
  return (
    <Asked wrong={wrong}>
      <RackScreen
        view={await rackView(db, job ? { machine: job.operation.machine } : asked, today, view)}
        machines={shop.machines.filter((m) => m.inUse).map((m) => m.code)}
        jobs={(await view(openJobs))
          .filter((j) => j.program)
          .map((j) => ({ operation: j.operation.id, job: j.operation.job }))}
        card={asked.open === undefined ? null : await assemblyView(db, asked.open, zone)}
        job={job}
        places={shop.places}
        devices={asked.do === 'measure' ? await devicesView(db, today, zone) : []}
        touchable={asked.do === 'measure' ? shop.machines.filter((m) => m.inUse) : []}
        gauges={asked.do === 'tighten' ? await gaugesView(db, today, zone) : []}
      />
    </Asked>
  );
}
