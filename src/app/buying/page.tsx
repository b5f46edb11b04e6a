import { buyingView, orderView } from '@/crib/buying';
import { shopView } from '@/crib/shop';
import { BuyingScreen } from '@/ui/screens/buying/BuyingScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('buying', searchParams);
  const { db, today, view } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <BuyingScreen
        view={
          asked.after === undefined ? await view(buyingView) : await buyingView(db, today, view, asked.after)
        }
        order={asked.order === undefined ? [] : await orderView(db, asked.order, today)}
        shop={await view(shopView)}
        today={today}
      />
    </Asked>
  );
}
