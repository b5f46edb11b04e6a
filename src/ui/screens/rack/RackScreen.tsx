'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { answersTo } from '@/core/assemblies';
import { LIMITS } from '@/core/limits';
import { addressOf, linkTo } from '@/core/links';
import type { DeviceLine, GaugeLine } from '@/crib/devices';
import type { JobView } from '@/crib/jobs';
import type { AssemblyView, RackCard, RackView } from '@/crib/rack';
import { Acts, Empty, Head, Notice, Views } from '@/ui/kit/page';
import { Rack, type RackSlot } from '@/ui/rack';
import { useQuery } from '@/ui/screens/common/query';
import { Middle, useScreenScan } from '@/ui/shell';
import { AssemblyTag } from './AssemblyTag';
import type { Touchable } from './TouchedOff';
import { Finding } from './Finding';
import styles from './Rack.module.css';

/** Comes when somebody builds: what it reckons with is no part of the first view. */
const BuildTag = dynamic(() => import('./BuildTag').then((m) => m.BuildTag));

type Order = 'tag' | 't' | 'length' | 'life';
const ORDERS: [Order, string][] = [
  ['t', 'By tool number'],
  ['length', 'By length'],
  ['life', 'By life left'],
  ['tag', 'By tag'],
];

/** The rack of everything that stands, or of one job with what it still lacks. */
export function RackScreen({
  view,
  jobs,
  job,
  card,
  places,
  devices = [],
  gauges = [],
  machines = [],
  touchable = [],
}: {
  view: RackView;
  /** Operations with parts to make and a program. */
  jobs: { operation: number; job: string }[];
  /** The job that was asked for. */
  job: JobView | null;
  /** The assembly that is open. */
  card: AssemblyView | null;
  places: { code: string; name: string; kind: string; inUse: boolean }[];
  /** Machines that can be asked for. */
  machines?: readonly string[];
  /** What a length can be read from; asked for where one is measured. */
  devices?: readonly DeviceLine[];
  gauges?: readonly GaugeLine[];
  touchable?: readonly Touchable[];
}) {
  const query = useQuery('rack');
  const router = useRouter();
  const open = query.get('open');
  const by = query.get('by');
  const order = ORDERS.find(([name]) => name === by)?.[0] ?? (job ? 't' : 'tag');
  const building = query.get('new') === 'build';
  useScreenScan((text) => {
    if (!card || text.toUpperCase() !== card.tag) return null;
    router.push(query.href({ do: 'measure' }), { scroll: false });
    return 'again: measure it';
  });

  const asked = { find: query.get('find') ?? '', machine: query.get('machine'), taper: query.get('taper') };
  const isAsked = Boolean(asked.find || asked.machine || asked.taper);
  const shown = job ? [] : view.assemblies.filter((a) => answersTo(a, asked));
  const slots = sortSlots(job ? slotsOfJob(job, view.assemblies) : shown.map((a) => slotOf(a, job)), order);
  const waiting = view.assemblies.filter((a) => a.measured.state !== 'measured').length;
  const beside = building ? (
    <BuildTag job={query.get('operation') === null ? null : job} t={query.get('t')} />
  ) : card ? (
    <AssemblyTag
      key={card.tag}
      card={card}
      places={places}
      devices={devices}
      gauges={gauges}
      touchable={touchable}
    />
  ) : open ? (
    <Notice now>
      {open} does not stand any more. Its history is under <Link href="/history">Entries</Link>.
    </Notice>
  ) : null;
  return (
    <Middle beside={beside} wide={building}>
      <Head>
        <div>
          <h1>{job ? `${job.operation.machine}, for ${job.operation.part} ${job.operation.job}` : 'Rack'}</h1>
          <div className="soft">
            {job
              ? `${job.ready} of ${job.tools.length} tools ready`
              : view.assemblies.length === 1
                ? '1 assembly'
                : shown.length < view.assemblies.length
                  ? `${shown.length} of ${view.assemblies.length} assemblies`
                  : `${view.assemblies.length} assemblies`}
            {!job && view.more && `, the first of ${view.total}: say which machine, job or words`}
            {waiting > 0 && ` · ${waiting} without a length to trust`}
          </div>
        </div>
        <Acts>
          <Button
            variant="contained"
            component={Link}
            href={query.href({ new: 'build', open: null, do: null })}
            scroll={false}
          >
            Build one
          </Button>
          <Button component={Link} href={linkTo('measure')}>
            Measure
          </Button>
          <Button component={Link} href={linkTo('sheets')}>
            Build sheets
          </Button>
          <Button component={Link} href={linkTo('holders')}>
            Holders
          </Button>
          {slots.some((s) => s.card) && (
            <Button
              href={addressOf('/api/v1/labels.pdf', {
                // What hangs here now, in its order.
                tags: slots
                  .flatMap((s) => s.card?.tag ?? [])
                  .slice(0, LIMITS.labels.most)
                  .join(','),
                as: 'sheet',
              })}
              variant="text"
            >
              labels on A4
            </Button>
          )}
        </Acts>
      </Head>
      <div className={styles.asked}>
        <Views
          label="Which"
          stay
          views={[
            { words: 'All', href: query.href({ job: null }), shown: !job },
            ...jobs.map((j) => ({
              words: j.job,
              href: query.href({ job: j.job }),
              shown: job?.operation.id === j.operation,
            })),
          ]}
        />
        <Views
          label="In what order"
          stay
          views={ORDERS.map(([key, words]) => ({
            words,
            href: query.href({ by: key }),
            shown: order === key,
          }))}
        />
      </div>
      {!job && (view.total > 0 || isAsked) && (
        <Finding tapers={view.tapers} asked={asked} machines={machines} more={view.more} />
      )}
      {slots.length === 0 && (view.total > 0 || isAsked) && !job ? (
        <Empty>
          Nothing on the rack answers to this.{' '}
          <Link href={query.href({ find: null, machine: null, taper: null })}>Show all</Link>
        </Empty>
      ) : slots.length === 0 ? (
        <Empty>
          Here hang the assemblies, drawn to scale from one gauge line.{' '}
          <Link href={query.href({ new: 'build' })}>Build the first one</Link>: it needs a cutter and a holder
          in stock.
        </Empty>
      ) : (
        <Rack
          slots={slots}
          open={open}
          hrefOf={(slot) =>
            slot.card
              ? query.href({ open: slot.card.tag, new: null, do: null })
              : query.href({
                  new: 'build',
                  open: null,
                  do: null,
                  operation: job?.operation.id,
                  t: Number(slot.title.slice(1)),
                })
          }
        />
      )}
      {job && (
        <p className="soft small">
          Dashed across a tool: where the highest thing beside the cut stands when the tip is at its lowest.
          The holder must end above it.
        </p>
      )}
    </Middle>
  );
}

const slotOf = (card: RackCard, job: JobView | null): RackSlot => {
  const tie = card.ties.find((t) => !job || t.operation === job.operation.id);
  return {
    key: card.tag,
    title: tie ? `T${tie.t}` : '·',
    card,
    use: tie?.use ?? card.itself,
    reachMm: tie?.reachMm ?? null,
  };
};

const slotsOfJob = (job: JobView, assemblies: RackCard[]): RackSlot[] =>
  job.tools.map((t) => ({
    key: `T${t.t}`,
    title: `T${t.t}`,
    card: assemblies.find((a) => a.tag === t.tag) ?? null,
    use: t.use,
    reachMm: t.reachMm,
    missing: 'to build',
  }));

function sortSlots(slots: RackSlot[], order: Order): RackSlot[] {
  const number = (s: RackSlot) => Number(s.title.slice(1)) || 9999;
  const by: Record<Order, (s: RackSlot) => number> = {
    t: number,
    tag: (s) => Number(s.card?.tag.slice(2) ?? 9999),
    length: (s) => s.card?.outline.length ?? 9999,
    life: (s) => s.card?.life.leftMinutes ?? 1e6,
  };
  return [...slots].sort((a, b) => by[order](a) - by[order](b));
}
