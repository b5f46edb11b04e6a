'use client';
import { useRouter } from 'next/navigation';
import { linkTo } from '@/core/links';
import type { JobView } from '@/crib/jobs';
import type { ShopView } from '@/crib/shop';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { inUseOptions } from '@/ui/screens/common/options';
import { useQuery } from '@/ui/screens/common/query';
import { SET_UP } from '@/ui/screens/common/setUp';
import { MoveMeans } from '../calendar/MoveMeans';

/** The same part again: nothing of it is typed twice. */
export function CopyJobTag({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const { operation: o } = job;
  return (
    <Tag
      over={`As ${o.job} was`}
      number="new"
      words="With its operations, setup sheets, programs, depths of a pass and the assemblies that still stand. What was signed is signed anew."
      closeHref={query.href({ new: null })}
    >
      <VerbForm
        verb="copyJob"
        fixed={{ from: o.job }}
        submit="Make it again"
        begin
        fields={[
          { name: 'number', label: 'Job number' },
          { name: 'quantity', label: 'Quantity', kind: 'whole', start: String(o.quantity) },
          { name: 'due', label: 'Due', kind: 'day' },
          { name: 'revision', label: 'Revision', optional: true, start: o.revision },
          { name: 'customer', label: 'Customer’s reference', optional: true, wide: true },
        ]}
        said={(d) => `${d.number} is as ${d.from} was`}
        onDone={(d) => router.push(linkTo('jobs', { open: d.number }), { scroll: false })}
      />
    </Tag>
  );
}

/** The same way without a mouse as the calendar's: what is left of an operation goes on another machine. */
export function MoveTag({ job, shop }: { job: JobView; shop: ShopView }) {
  const query = useQuery('jobs');
  const { operation: o } = job;
  const from = shop.machines.find((m) => m.code === o.machine) ?? { code: o.machine, taper: '' };
  const others = shop.machines.filter((m) => m.inUse && m.code !== o.machine);
  return (
    <Tag
      over={`${o.job}, operation ${o.number}`}
      number="another machine"
      closeHref={query.href({ new: null })}
    >
      <p>
        It is on {o.machine}
        {from.taper && `, ${from.taper}`}; {job.partsLeft} parts are left.
      </p>
      <VerbForm
        verb="moveOperation"
        fixed={{ operation: o.id }}
        submit="Move it"
        fields={[
          {
            ...{ name: 'machine', label: 'To machine', kind: 'choice', wide: true },
            options: others.map((m) => [m.code, `${m.code} ${m.name}, ${m.taper}`] as const),
          },
          {
            ...{
              name: 'starts',
              label: 'Starts there',
              help: 'blank: as it was',
              kind: 'day',
              optional: true,
              wide: true,
            },
          },
        ]}
        said={(d) => `${d.job} goes on ${d.to} now`}
      />
      <MoveMeans from={from} to={null} />
    </Tag>
  );
}

/** The next clamping of a part. */
export function AddOperationTag({ job, shop }: { job: JobView; shop: ShopView }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const { operation: o } = job;
  const next = Math.max(...job.operations.map((x) => x.number)) + 10;
  return (
    <Tag over={o.job} number="one more operation" closeHref={query.href({ new: null })}>
      <VerbForm
        verb="addOperation"
        fixed={{ job: o.job }}
        submit="Add it"
        fields={[
          { name: 'number', label: 'Operation', kind: 'whole', start: String(next) },
          {
            ...{ name: 'machine', label: 'Machine', kind: 'choice', add: SET_UP.machine },
            options: inUseOptions(shop.machines),
          },
          {
            ...{ name: 'highestBeside', label: 'Highest Z beside the cut', kind: 'length', optional: true },
            help: 'part top or jaw; blank: reach is not checked',
          },
          { name: 'partZero', label: 'Part zero above datum', kind: 'length', optional: true },
        ]}
        said={(d) => `operation ${d.number} of ${d.job} added`}
        onDone={(d) => router.push(linkTo('jobs', { open: d.job, op: d.number }), { scroll: false })}
      />
    </Tag>
  );
}
