import { rowNumber } from '@/crib/door';
import { historyView } from '@/crib/ledger';
import { HistoryScreen } from '@/ui/screens/HistoryScreen';
import { questionIn, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { db } = await openForPage();
  const before = rowNumber((await questionIn(searchParams)).get('before'));
  return <HistoryScreen lines={await historyView(db, 100, before)} />;
}
