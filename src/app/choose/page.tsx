import { type ChooseView, chooseView, rulesInForce } from '@/crib/choosing';
import { ChooseScreen } from '@/ui/screens/choosing/ChooseScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const {
    asked: { show: _show, ...described },
    wrong,
  } = await askedOf('choose', searchParams);
  const { db } = await openForPage();
  let view: ChooseView | null = null;
  let problem: string | null = null;
  if (described.feature)
    try {
      view = await chooseView(db, described);
    } catch (error) {
      problem = error instanceof Error ? error.message : String(error);
    }
  return (
    <Asked wrong={wrong}>
      <ChooseScreen view={view} rules={await rulesInForce(db)} problem={problem} />
    </Asked>
  );
}
