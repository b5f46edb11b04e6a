'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { expectedGaugeLength, judgeBuild } from '@/core/assemblies';
import { asksOf, judgeFit } from '@/core/jobs';
import { linkTo } from '@/core/links';
import { parseLength } from '@/core/units';
import type { JobView } from '@/crib/jobs';
import type { TakeSource } from '@/crib/stock';
import { Judgements } from '@/ui/kit/figure';
import { type Found, VerbForm } from '@/ui/kit/form';
import { Caution, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { type FoundSource, sourceOf, takeables } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';

const CUTTERS = takeables('cutter');
const HOLDERS = takeables('holder');

/** Build an assembly: cutter and holder from stock, the stickout; judged while it is typed. */
export function BuildTag({ job, t }: { job: JobView | null; t: string | null }) {
  const query = useQuery('rack');
  const router = useRouter();
  const { show, unit: shownUnit } = useLengths();
  const [cutter, setCutter] = useState<TakeSource | null>(null);
  const [holder, setHolder] = useState<TakeSource | null>(null);
  /** With the unit it was typed in. */
  const [typed, setTyped] = useState({ text: '', unit: shownUnit });
  const wanted = job?.tools.find((x) => String(x.t) === t);
  const stickout = parseLength(typed.text, typed.unit);
  const judged =
    cutter?.cutter && holder?.holder && stickout && stickout.mm > 0
      ? [
          ...judgeBuild({
            cutter: cutter.cutter,
            holder: holder.holder,
            stickout: stickout.mm,
            shank: { form: cutter.shank, takes: holder.shank },
          }),
          // For a T: what its program asks, before anybody tightens a nut.
          ...(job && wanted
            ? judgeFit(
                { asks: asksOf(wanted.tool), here: wanted.here, machine: job.machine },
                {
                  name: 'this build',
                  cutter: cutter.cutter,
                  body: cutter.body,
                  stickout: stickout.mm,
                  holder: { taper: holder.taper, rpmMax: holder.holder.RPM_MAX },
                },
              )
            : []),
        ]
      : null;
  const others = cutter?.keptFor.filter((j) => j !== job?.operation.job) ?? [];
  const isKept = others.length > 0 && others.length === cutter?.keptFor.length;
  // One reason overrules both: so both are said.
  const against = [
    judged?.some((j) => j.grade === 'stop') && 'a stop is judged',
    isKept && `the last are set aside for ${others.join(', ')}`,
  ]
    .filter(Boolean)
    .join(', and ');
  const why = against && `${against[0]?.toUpperCase()}${against.slice(1)}: why build it all the same?`;
  const pick = (set: (source: TakeSource | null) => void) => (found: Found | null) =>
    // Found by takeables(), whose finds carry what they are of.
    set((found as FoundSource | null)?.of ?? null);
  return (
    <Tag
      over="A new build"
      number={job && t ? `T${t} of ${job.operation.job}` : 'new'}
      closeHref={query.href({ new: null, operation: null, t: null })}
    >
      {wanted && (
        <p className="soft">
          {wanted.tool.name && <strong>{wanted.tool.name}. </strong>}
          {wanted.reachMm !== null ? `Needs a reach of ${show(wanted.reachMm, 1)}. ` : ''}Feeds{' '}
          {wanted.tool.cutting_mm.toFixed(0)} mm a part.
        </p>
      )}
      <div
        onChange={(e) => {
          const field = e.target;
          if (field instanceof HTMLInputElement && field.name === 'stickout')
            setTyped({ text: field.value, unit: shownUnit });
        }}
      >
        <VerbForm
          verb="buildAssembly"
          submit="Build"
          when
          fixed={job && t ? { for: { operation: job.operation.id, t } } : {}}
          fields={[
            {
              name: 'cutter',
              label: 'Cutter from',
              kind: 'search',
              wide: true,
              search: CUTTERS,
              onPick: pick(setCutter),
            },
            {
              name: 'holder',
              label: 'Holder from',
              kind: 'search',
              wide: true,
              search: HOLDERS,
              onPick: pick(setHolder),
            },
            { name: 'stickout', label: 'Stickout, tip to holder face', kind: 'length', wide: true },
            ...(why
              ? [
                  {
                    name: 'despite',
                    label: why,
                    wide: true,
                    optional: true,
                  },
                ]
              : []),
          ]}
          shape={(input) => ({
            ...input,
            ...(input.cutter ? { cutter: sourceOf(String(input.cutter)) } : {}),
            ...(input.holder ? { holder: sourceOf(String(input.holder)) } : {}),
          })}
          said={(d) => `${d.tag} built: measure it next`}
          onDone={(d) => router.push(linkTo('rack', { open: d.tag, do: 'measure' }), { scroll: false })}
        >
          {[cutter, holder].map(
            (s) =>
              s?.caution && (
                <Notice key={s.value}>
                  {s.item}: {s.caution}
                </Notice>
              ),
          )}
          {judged && holder?.holder && stickout && (
            <>
              <p>
                Expected gauge length{' '}
                <span className="fig">{show(expectedGaugeLength(holder.holder.LF, stickout.mm), 1)}</span>
              </p>
              <Judgements list={judged} />
            </>
          )}
          <Caution>
            Hold by the shank. Shank and bore clean and dry, nut to its stated torque. A heated holder burns
            long after it looks cold: gloves and tongs, and measure it cold. Lift heavy ones with two or a
            hoist. Pull stud of this machine and to its torque: a wrong one lets the tool go.
            {judged?.some((j) => j.code === 'RATIO' && j.grade === 'question') &&
              ' A long tool whips at speed: balance it, start slow, door shut.'}
          </Caution>
        </VerbForm>
      </div>
      <p className="soft small">
        Not found? What lies in the crib can be taken:{' '}
        <Link href={linkTo('cutters', { new: 'cutter' })}>add it</Link> and receive it first.
      </p>
    </Tag>
  );
}
