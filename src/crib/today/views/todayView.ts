import { linkTo, linkToRun, pathOf } from '@/core/links';
import { first } from '@/core/sure';
import { proposals } from '@/crib/buying';
import { type ReadOnce, readOnce } from '@/crib/door';
import { gaugesView } from '@/crib/devices';
import { openJobs, sistersReady } from '@/crib/jobs';
import { awaitedBack } from '@/crib/places';
import { standingCards } from '@/crib/rack';
import type { Connection } from '@/data/database';
import { manyOpenUseSums, type OperationRow } from '@/data/jobs';
import { manyToGrade } from '@/data/stock';
import { manyWorkWords } from '@/data/today';
import { brokenLines } from '../brokenLines';
import { endingLines } from '../endingLines';
import { holderLines } from '../holderLines';
import { inDoubt, wornWords } from '../inDoubt';
import { inOrder, keyOf, mayWait, type WorkKind, type WorkLine, withWords } from '../worklist';

export interface TodayView {
  lines: WorkLine[];
  /** Said to be done today or put off, while what they say is still so. */
  later: WorkLine[];
  counts: { rack: number; jobs: number; buying: number; cutters: number; places: number; broken: number };
}

/** Stops that have a line of their own, once. */
const SAID_ELSEWHERE = ['WEAR', 'FRAGMENTS', 'HELD_BACK', 'HOLDER_OUT', 'HOLDER_DROPPED'];

/** The worklist, from everything else. */
export async function todayView(
  c: Connection,
  today: string,
  once: ReadOnce = readOnce(c, today),
): Promise<TodayView> {
  const rack = await once(standingCards);
  const jobs = await once(openJobs);
  const buying = await once(proposals);
  const lines: WorkLine[] = [];
  const add = (
    line: Omit<WorkLine, 'key' | 'cutter' | 'machine' | 'goes' | 'mayWait' | 'given' | 'said'> &
      Partial<WorkLine>,
  ) =>
    lines.push({
      cutter: null,
      machine: null,
      goes: 'usual',
      given: null,
      said: null,
      ...line,
      key: keyOf(line),
      mayWait: mayWait(line.kind),
    });
  // A tool is wanted when its operation begins; where nobody stated that, by the day the job is due.
  const byOperation = new Map(jobs.map((j) => [j.operation.id, j.operation]));
  const dayOf = (o: OperationRow) => o.starts ?? o.due;

  const readySister = sistersReady(c, once);
  for (const a of rack) {
    const href = linkTo('rack', { open: a.tag });
    const wanted = a.ties.filter((t) => t.partsLeft > 0);
    const [soonest] = wanted
      .flatMap((t) => byOperation.get(t.operation) ?? [])
      .sort((x, y) => dayOf(x).localeCompare(dayOf(y)));
    const what = {
      cutter: a.cutter.words,
      machine: soonest?.machine ?? wanted[0]?.machine ?? null,
      goes: soonest?.priority ?? 'usual',
      by: soonest ? dayOf(soonest) : null,
    };
    if (a.measured.state === 'in question') {
      const q = first(a.measured.measurement.questions);
      add({
        kind: 'in question',
        todo: `Measure ${a.tag} again`,
        why: q.words,
        because: q.because,
        href,
        ...what,
      });
    }
    const doubt = inDoubt(a);
    if (doubt && wanted.length) add({ kind: 'in question', ...doubt, because: null, ...what });
    if (a.measured.state === 'not measured' && wanted.length)
      add({
        kind: 'measure',
        todo: `Measure ${a.tag}`,
        why: `T${first(wanted).t} of ${first(wanted).job} waits for its length`,
        because: null,
        href,
        ...what,
      });
    const stop = a.itself.judgements.find((j) => j.grade === 'stop' && !SAID_ELSEWHERE.includes(j.code));
    if (stop && !wanted.length)
      add({
        kind: 'stop',
        todo: `Do not run ${a.tag}`,
        why: stop.words,
        because: stop.because,
        href,
        ...what,
      });
    for (const line of await endingLines(a, wanted, readySister)) add({ ...line, href, ...what });
    if (a.wear.worn)
      add({
        kind: 'wear',
        todo: `Change the cutter of ${a.tag}`,
        why: wornWords(a.wear),
        because: (a.wear.wornAt === 'corner' ? a.wear.cornerAt : a.wear.limit).because,
        href,
        ...what,
      });
  }
  for (const line of await brokenLines(c, today, jobs)) add(line);
  for (const j of jobs) {
    const href = linkTo('jobs', { open: j.operation.job });
    const ofJob = { by: dayOf(j.operation), machine: j.operation.machine, goes: j.operation.priority };
    for (const t of j.tools) {
      const stops = t.use.judgements.filter((x) => x.grade === 'stop');
      // What is worn is changed, and what is held back or lies in the cut is dealt with: those stand by themselves.
      const stop = stops.find((x) => !SAID_ELSEWHERE.includes(x.code));
      if (stop)
        add({
          kind: 'stop',
          todo: `Do not run T${t.t} of ${j.operation.job}`,
          why: stop.words,
          because: stop.because,
          href,
          cutter: t.words ?? t.tool.name,
          ...ofJob,
        });
      else if (
        !t.tag &&
        stops.every((x) => x.code === 'FRAGMENTS') &&
        (t.minutesPerPart > 0 || t.tool.lower_bound)
      )
        add({
          kind: 'build',
          todo: `Build T${t.t} for ${j.operation.job}`,
          why: t.wasTag ? `${t.wasTag} was taken down` : 'no assembly is tied to it',
          because: null,
          href,
          cutter: t.words ?? t.tool.name,
          ...ofJob,
        });
    }
    if (!j.program)
      add({
        kind: 'build',
        todo: `Paste the program of ${j.operation.job}`,
        why: 'without it neither minutes nor reach are known',
        because: null,
        href,
        ...ofJob,
      });
  }
  for (const line of buying.lines) {
    const p = line.proposal;
    const href = linkTo('buying', { open: line.item.code });
    if (p.say === 'cannot say')
      add({
        kind: 'order',
        todo: `Say how long ${line.item.code} lives`,
        why: p.because.words,
        because: p.because,
        href: linkTo('cutters', { open: line.item.code, do: 'facts', fact: 'life' }),
        by: null,
      });
    if (p.say !== 'order') continue;
    const late = p.daysLate > 0 ? `${p.daysLate} days late: ` : '';
    add({
      kind: 'order',
      todo:
        p.quantity > 0 ? `Order ${p.quantity} × ${line.item.code}` : `Chase the order of ${line.item.code}`,
      why: `${late}${p.because.words}`,
      because: p.because,
      href,
      by: p.orderBy,
      cutter: line.item.words,
    });
  }
  for (const o of buying.orders)
    if (o.expected?.overdue)
      add({
        kind: 'delivery late',
        todo: `Ask ${o.supplier} for ${o.number}`,
        why: `${o.quantity - o.received} × ${o.item}: ${o.expected.words}`,
        because: null,
        href: linkTo('buying', { order: o.number }),
        by: o.promised,
      });
  for (const u of await manyOpenUseSums(c))
    add({
      kind: 'which tool',
      todo: `Say what ran as T${u.t} of ${u.job}`,
      why: `${u.minutes.toFixed(1)} min in the cut belong to no cutter`,
      because: null,
      href: linkToRun(u.operationId),
      by: null,
    });
  for (const p of await manyToGrade(c))
    add({
      kind: 'grade',
      todo: p.kind === 'body' ? `Turn or change the inserts of ${p.mark}` : `Grade ${p.mark}`,
      why: `${p.item} ended and lies in ${p.place}`,
      because: null,
      href: linkTo('cutters', { open: p.item }),
      by: null,
    });

  const awaited = await awaitedBack(c, today);
  for (const l of awaited.loans.filter((x) => x.daysLate > 0))
    add({
      kind: 'late back',
      todo: `Ask ${l.person} for ${l.out} × ${l.piece ?? l.item}`,
      why: `wanted back ${l.daysLate === 1 ? 'yesterday' : `${l.daysLate} days ago`}`,
      because: null,
      href: linkTo('places', { show: 'loans' }),
      by: l.due,
    });
  for (const r of awaited.regrinds.filter((x) => x.due !== null && x.due < today))
    add({
      kind: 'late back',
      todo: `Ask ${r.place} for ${r.mark}`,
      why: `${r.item} was to be back from regrinding by ${r.due}`,
      because: null,
      href: linkTo('places', { show: 'regrind' }),
      by: r.due,
    });
  // Whose certificate nobody ever wrote is not asked about each day; one that ran out or was found off is.
  for (const g of await gaugesView(c, today, once.zone))
    if (g.calibrated && (!g.calibrated.ok || g.calibrated.due < today))
      add({
        kind: 'certificate',
        todo: `Have ${g.code} calibrated`,
        why: g.calibrated.ok
          ? `it was due on ${g.calibrated.due}`
          : 'it was found off, and is not to be used',
        because: null,
        href: linkTo('machines', { what: 'gauge', open: g.code }),
        by: g.calibrated.ok ? g.calibrated.due : null,
      });
  for (const line of await holderLines(c, today, once.zone)) add(line);
  for (const s of awaited.sheets.filter((x) => x.bookedEntryId === null))
    add({
      kind: 'count',
      todo: `Finish count sheet ${s.number}`,
      why: `${s.place}, begun by ${s.who}`,
      because: null,
      href: linkTo('places', { show: 'counts', sheet: s.number }),
      by: null,
    });

  const words = await manyWorkWords(
    c,
    lines.map((l) => l.key),
  );
  const told = withWords(inOrder(lines), words, today);
  const count = (...kinds: WorkKind[]) => told.lines.filter((l) => kinds.includes(l.kind)).length;
  return {
    ...told,
    counts: {
      rack: count('in question', 'measure', 'life', 'wear', 'holder'),
      jobs: count('stop', 'build', 'which tool'),
      buying: count('order', 'delivery late'),
      cutters: count('grade'),
      places: count('late back', 'count'),
      broken: told.lines.filter((l) => l.href.startsWith(pathOf('breakages')) || l.kind === 'held').length,
    },
  };
}
