import { notFound } from 'next/navigation';
import { A_RUN_ALONE, type Question } from '@/core/questions';
import { Problem } from '@/crib/door';
import { unwatchedView } from '@/crib/jobs';
import { AloneScreen } from '@/ui/screens/jobs/AloneScreen';
import { Asked } from '@/ui/shell';
import { readable, type Search } from '../../../server/search';
import { openForPage } from '../../../server/views';

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ operation: string }>;
  searchParams: Search;
}) {
  const { asked } = await readable(
    A_RUN_ALONE,
    Promise.all([params, searchParams]).then(([of, said]) => ({ ...said, ...of })),
  );
  const { view, wrong } = await viewOf(asked);
  if (!view) notFound();
  return (
    <Asked wrong={wrong}>
      <AloneScreen key={`${view.parts} ${view.wanted}`} view={view} />
    </Asked>
  );
}

/** Parts that are no run are left out and said, as with what can't be read of an address. */
async function viewOf(asked: Question<typeof A_RUN_ALONE>) {
  const { db } = await openForPage();
  try {
    return { view: await unwatchedView(db, asked), wrong: null };
  } catch (e) {
    if (!(e instanceof Problem)) throw e;
    const { parts: _, ...rest } = asked;
    return { view: await unwatchedView(db, rest), wrong: e.message };
  }
}
