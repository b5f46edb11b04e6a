import { devicesView } from '@/crib/devices';
import { shopView } from '@/crib/shop';
import { MachinesScreen } from '@/ui/screens/shop/MachinesScreen';
import { openForPage } from '../server/views';

export default async function Page() {
  const { db, today, zone, view } = await openForPage();
  return <MachinesScreen shop={await view(shopView)} devices={await devicesView(db, today, zone)} />;
}
