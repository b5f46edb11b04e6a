import { exchangeView } from '@/crib/exchange';
import { ExchangeScreen } from '@/ui/screens/exchange/ExchangeScreen';
import { openForPage } from '../server/views';

export default async function Page() {
  const { view } = await openForPage();
  return <ExchangeScreen view={await view(exchangeView)} />;
}
