import { shopView } from '@/crib/shop';
import { MachinesScreen } from '@/ui/screens/shop/MachinesScreen';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  return <MachinesScreen shop={await view(shopView)} />;
}
