import { shopView } from '@/crib/shop';
import { itemsView } from '@/crib/stock';
import { CuttersScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  return <CuttersScreen view={await view(itemsView)} shop={await view(shopView)} />;
}
