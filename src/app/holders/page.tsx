import { holderSheet, holdersView } from '@/crib/holders';
import { HoldersScreen } from '@/ui/screens/holders';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('holders', searchParams);
  const { db, today, zone } = await openForPage();
  return (
    <Asked wrong={wrong}>
      <HoldersScreen
        view={await holdersView(db, today, zone, asked.after ?? null)}
        open={asked.open === undefined ? null : await holderSheet(db, asked.open, today, zone)}
      />
    </Asked>
  );
}
