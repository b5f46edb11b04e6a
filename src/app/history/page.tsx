import { historyView } from '@/crib/ledger';
import { VERBS } from '@/crib/verbs';
import { HistoryScreen } from '@/ui/screens/ledger/HistoryScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { db } = await openForPage();
  const { asked, wrong } = await askedOf('history', searchParams);
  return (
    <Asked wrong={wrong}>
      <HistoryScreen lines={await historyView(db, VERBS, 100, asked.before ?? null)} />
    </Asked>
  );
}
