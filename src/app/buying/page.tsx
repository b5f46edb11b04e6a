import { buyingView, orderView } from '@/crib/buying';
import { shopView } from '@/crib/shop';
import { BuyingScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Promise<{ order?: string }> }) {
  const { db, today, view } = await openForPage();
  const { order } = await searchParams;
  return (
    <BuyingScreen
      view={await view(buyingView)}
      order={typeof order === 'string' ? await orderView(db, order) : null}
      shop={await view(shopView)}
      today={today}
    />
  );
}
