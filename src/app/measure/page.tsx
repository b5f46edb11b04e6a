import { devicesView } from '@/crib/devices';
import { assemblyView, toMeasureView } from '@/crib/rack';
import { shopView } from '@/crib/shop';
import { MeasureScreen } from '@/ui/screens/rack/MeasureScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('measure', searchParams);
  const { db, zone, today, view } = await openForPage();
  const { machines } = await view(shopView);
  const devices = await devicesView(db, today, zone);
  return (
    <Asked wrong={wrong}>
      <MeasureScreen
        key={asked.tag ?? ''}
        asked={asked.tag ?? null}
        card={asked.tag === undefined ? null : await assemblyView(db, asked.tag, zone)}
        waiting={await toMeasureView(db)}
        devices={devices}
        machines={machines.filter((m) => m.inUse)}
      />
    </Asked>
  );
}
