import { partWords } from '@/core/breakage';
import { linkTo } from '@/core/links';
import { addDays } from '@/core/units';
import type { JobLine } from '@/crib/jobs';
import { manyBreakagesSince, manyHeldBack, manyOpenFragments, manyOpenHolds } from '@/data/breakage';
import type { Connection } from '@/data/database';
import type { WorkLine } from './worklist';

/** For so many days a cause that nobody found is asked for: later nobody remembers what was seen. */
const ASKED_FOR_DAYS = 7;
/** So many causes are asked for at once. */
const CAUSES_ASKED = 20;

type Line = Pick<WorkLine, 'kind' | 'todo' | 'why' | 'because' | 'href' | 'by'> & Partial<WorkLine>;

/** What waits because something broke: fragments, held parts, cutters held back, causes that nobody found. */
export async function brokenLines(c: Connection, today: string, jobs: readonly JobLine[]): Promise<Line[]> {
  const operations = new Map(jobs.map((j) => [j.operation.id, j.operation]));
  const fragments = (await manyOpenFragments(c, [...operations.keys()])).map((f): Line => {
    const o = operations.get(f.operationId);
    return {
      kind: 'stop',
      todo: `Find the fragments of T${f.t} of ${f.job}`,
      why: 'a shard left in the cut breaks the next cutter',
      because: null,
      href: linkTo('breakages', { open: f.entryId }),
      by: o ? (o.starts ?? o.due) : null,
      machine: o?.machine ?? null,
      goes: o?.priority ?? 'usual',
    };
  });
  const holds = (await manyOpenHolds(c)).map((h): Line => ({
    kind: 'held',
    todo: `Decide of ${partWords([{ first: h.firstPart, last: h.lastPart }])} of ${h.job}`,
    why: `${h.number}: ${h.why}`,
    because: null,
    href: linkTo('held', { open: h.number }),
    by: null,
    machine: h.machine,
  }));
  const cutters = (await manyHeldBack(c)).map((d): Line => ({
    kind: 'held',
    todo: `Look at ${d.tag ?? d.mark}`,
    why: `held back: ${d.why}`,
    because: null,
    href: linkTo('held'),
    by: null,
    cutter: d.item,
  }));
  const since = new Date(`${addDays(today, 0 - ASKED_FOR_DAYS)}T00:00:00Z`);
  const causes = (await manyBreakagesSince(c, since, CAUSES_ASKED)).flatMap((b): Line[] =>
    b.cause !== null
      ? []
      : [
          {
            kind: 'cause',
            todo: `Say why ${b.mark} ${b.kind === 'pulled-out' ? 'was pulled out' : 'broke'}`,
            why:
              b.job === null
                ? 'nobody found the cause yet'
                : `T${b.t} of ${b.job}: nobody found the cause yet`,
            because: null,
            href: linkTo('breakages', { open: b.entryId }),
            by: null,
            machine: b.machine,
            cutter: b.item,
          },
        ],
  );
  return [...fragments, ...holds, ...cutters, ...causes];
}
