import { buyingView, orderView } from '@/crib/buying';
import { shopView } from '@/crib/shop';
import { BuyingScreen } from '@/ui/screens/BuyingScreen';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const order = (await questionIn(searchParams)).get('order');
  const { db, today, view } = await openForPage();
  return (
    <BuyingScreen
      view={await view(buyingView)}
      order={order === null ? null : await orderView(db, order)}
      shop={await view(shopView)}
      today={today}
    />
  );
}
