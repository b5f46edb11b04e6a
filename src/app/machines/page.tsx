import { devicesView, gaugesView } from '@/crib/devices';
import { fixturesView } from '@/crib/fixtures';
import { shopView } from '@/crib/shop';
import { MachinesScreen } from '@/ui/screens/shop/MachinesScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('machines', searchParams);
  const { db, today, zone, view } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <MachinesScreen
        shop={await view(shopView)}
        devices={await devicesView(db, today, zone)}
        gauges={await gaugesView(db, today, zone)}
        fixtures={asked.do === 'offsets' ? await fixturesView(db, { machine: asked.open }) : []}
      />
    </Asked>
  );
}
