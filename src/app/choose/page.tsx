import { chooseView, rulesInForce, type ChooseView } from '@/crib/choosing';
import { ChooseScreen } from '@/ui/screens';
import { openForPage } from '../server/views';

type Search = Record<string, string | string[] | undefined>;

export default async function Page({ searchParams }: { searchParams: Promise<Search> }) {
  const { show: _show, ...search } = await searchParams;
  const { db } = await openForPage();
  const described = Object.fromEntries(
    Object.entries(search).filter(([, v]) => typeof v === 'string' && v !== ''),
  );
  let view: ChooseView | null = null;
  let problem: string | null = null;
  if (described.feature)
    try {
      view = await chooseView(db, described);
    } catch (error) {
      problem = (error as Error).message;
    }
  return <ChooseScreen view={view} rules={await rulesInForce(db)} problem={problem} />;
}
