'use client';
import { useRouter } from 'next/navigation';
import { linkTo } from '@/core/links';
import type { ShopView } from '@/crib/shop';
import { VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { inUseOptions } from '@/ui/screens/common/options';
import { useQuery } from '@/ui/screens/common/query';
import { SET_UP } from '@/ui/screens/common/setUp';

/** A new job with its operation. */
export function NewJobTag({ shop }: { shop: ShopView }) {
  const query = useQuery('jobs');
  const router = useRouter();
  return (
    <Tag over="A job" number="new" closeHref={query.href({ new: null })}>
      <VerbForm
        verb="addJob"
        submit="Add job"
        fields={[
          { name: 'number', label: 'Job number' },
          { name: 'part', label: 'Part' },
          { name: 'revision', label: 'Revision', optional: true },
          { name: 'customer', label: 'Customer’s reference', optional: true },
          { name: 'quantity', label: 'Quantity', kind: 'whole' },
          {
            name: 'material',
            label: 'Material',
            kind: 'choice',
            options: inUseOptions(shop.materials),
            add: SET_UP.material,
          },
          {
            name: 'machine',
            label: 'Machine',
            kind: 'choice',
            options: inUseOptions(shop.machines),
            add: SET_UP.machine,
          },
          { name: 'due', label: 'Due', kind: 'day', wide: true },
          {
            name: 'highestBeside',
            label: 'Highest Z beside the cut',
            kind: 'length',
            optional: true,
            help: 'part top or jaw; blank: reach is not checked',
          },
          { name: 'partZero', label: 'Part zero above datum', kind: 'length', optional: true },
        ]}
        said={(d) => `${d.number} added: paste its program next`}
        onDone={(d) => router.push(linkTo('jobs', { open: d.number }), { scroll: false })}
      />
    </Tag>
  );
}
