import { redirect } from 'next/navigation';
import { shopView } from '@/crib/shop';
import { todayView } from '@/crib/today';
import { TodayScreen } from '@/ui/screens/today/TodayScreen';
import { openForPage } from './server/views';

export default async function Page() {
  const { today, view } = await openForPage();
  const shop = await view(shopView);
  if (!shop.people.length || !shop.machines.length) redirect('/start');
  return <TodayScreen view={await view(todayView)} today={today} />;
}
