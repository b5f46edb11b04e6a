import { notFound } from 'next/navigation';
import { pocketsView } from '@/crib/pockets';
import { shopView } from '@/crib/shop';
import { PocketsScreen } from '@/ui/screens/pockets/PocketsScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('pockets', searchParams);
  const { db, zone, today, view } = await openForPage();
  const here = await pocketsView(db, asked, today, zone);
  if (!here) notFound();
  const { machines } = await view(shopView);
  return (
    <Asked wrong={wrong}>
      <PocketsScreen
        key={here.machine.code}
        view={here}
        machines={machines.filter((m) => m.inUse).map((m) => m.code)}
      />
    </Asked>
  );
}
