import { breakageSheet, breakagesView } from '@/crib/breakage';
import { BreakagesScreen } from '@/ui/screens/breakage/BreakagesScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('breakages', searchParams);
  const { db, today, zone } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <BreakagesScreen
        view={await breakagesView(db, today, zone, asked.before ?? null)}
        open={asked.open === undefined ? null : await breakageSheet(db, today, asked.open)}
      />
    </Asked>
  );
}
