import { historyView } from '@/crib/ledger';
import { HistoryScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Promise<{ before?: string }> }) {
  const { db } = await openForPage();
  const before = Number((await searchParams).before);
  return (
    <HistoryScreen
      lines={await historyView(db, 100, Number.isInteger(before) && before > 0 ? before : null)}
    />
  );
}
