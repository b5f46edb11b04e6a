import { shiftView } from '@/crib/shift';
import { VERBS } from '@/crib/verbs';
import { ShiftScreen } from '@/ui/screens/shift/ShiftScreen';
import { openForPage } from '../server/views';

export default async function Page() {
  const { db, today, view } = await openForPage();
  return <ShiftScreen view={await shiftView(db, today, VERBS, view)} />;
}
