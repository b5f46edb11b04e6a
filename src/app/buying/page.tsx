import { buyingView } from '@/crib/buying';
import { shopView } from '@/crib/shop';
import { BuyingScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page() {
  const { today, view } = await openForPage();
  return <BuyingScreen view={await view(buyingView)} shop={await view(shopView)} today={today} />;
}
