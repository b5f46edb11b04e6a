import { heldView, holdSheet, traceView } from '@/crib/held';
import { HeldScreen } from '@/ui/screens/breakage/HeldScreen';
import { Asked } from '@/ui/shell';
import { askedOf, type Search } from '../server/search';
import { openForPage } from '../server/views';

export default async function Page({ searchParams }: { searchParams: Search }) {
  const { asked, wrong } = await askedOf('held', searchParams);
  const { db } = await openForPage();
  const { job, op, part } = asked;
  const trace = job === undefined || part === undefined ? null : await traceView(db, job, op ?? null, part);
  const unknown =
    job !== undefined && part !== undefined && !trace
      ? `There is no job ${job} here with that operation.`
      : null;
  return (
    <Asked wrong={wrong ?? unknown}>
      <HeldScreen
        view={await heldView(db, asked.before ?? null)}
        open={asked.open === undefined ? null : await holdSheet(db, asked.open)}
        trace={trace}
      />
    </Asked>
  );
}
