import { shopView } from '@/crib/shop';
import { StartScreen } from '@/ui/screens/shop/StartScreen';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  return <StartScreen shop={await view(shopView)} />;
}
