import { redirect } from 'next/navigation';
import { minutesOfDay } from '@/core/units';
import { mayDo } from '@/core/people';
import { judgedBackups } from '@/crib/keeping';
import { shopView } from '@/crib/shop';
import { dayView, todayView } from '@/crib/today';
import { TodayScreen } from '@/ui/screens/today/TodayScreen';
import { Asked } from '@/ui/shell';
import { crib } from './server/crib';
import { askedOf, type Search } from './server/search';
import { openForPage } from './server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { wrong } = await askedOf('today', searchParams);
  const { today, view, signed } = await openForPage();
  const { now, zone } = await crib();
  const shop = await view(shopView);
  if (!shop.people.length || !shop.machines.length) redirect('/start');
  return (
    <Asked wrong={wrong}>
      <TodayScreen
        view={await view(todayView)}
        people={shop.people.filter((p) => p.inUse)}
        today={today}
        day={await view(dayView)}
        now={minutesOfDay(now(), zone)}
        backups={mayDo(signed.role, ['crib']) ? await judgedBackups(await crib()) : null}
      />
    </Asked>
  );
}
