'use client';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { expectedGaugeLength, judgeBuild } from '@/core/assemblies';
import { parseLength } from '@/core/units';
import type { JobLine } from '@/crib/jobs';
import type { ItemLine } from '@/crib/stock';
import { Caution, Judgements } from '../figure';
import { VerbForm } from '../form';
import { useLengths } from '../shell';
import { Tag } from '../tag';
import { useQuery } from './query';

/** Build an assembly: cutter and holder from stock, the stickout; judged while it is typed. */
export function BuildTag({ items, job, t }: { items: ItemLine[]; job: JobLine | null; t: string | null }) {
  const query = useQuery();
  const router = useRouter();
  const { show, unit: shownUnit } = useLengths();
  // As in the form below: what is typed keeps the unit it was begun in.
  const [unit] = useState(shownUnit);
  const [trial, setTrial] = useState({ cutter: '', holder: '', stickout: '' });
  const cutters = items.filter((i) => i.kind === 'cutter').flatMap((i) => cutterSources(i));
  const holders = items
    .filter((i) => i.kind === 'holder')
    .flatMap((i) =>
      i.places
        .filter((p) => p.place_kind !== 'build' && p.quantity > 0)
        .map((p) => [`${i.code}|${p.place}`, `${i.code}: ${p.quantity} at ${p.place}`] as const),
    );
  const wanted = job?.tools.find((x) => String(x.t) === t);
  const cutter =
    items.find((i) => i.code === trial.cutter.split('|')[0] || i.pieces.some((p) => p.mark === trial.cutter))
      ?.cutter ?? null;
  const holder = items.find((i) => i.code === trial.holder.split('|')[0])?.holder ?? null;
  const stickout = parseLength(trial.stickout, unit);
  const judged =
    cutter && holder && stickout && stickout.mm > 0
      ? judgeBuild({ cutter, holder, stickout: stickout.mm })
      : null;
  return (
    <Tag
      over="A new build"
      number={job && t ? `T${t} of ${job.operation.job}` : 'new'}
      closeHref={query.href({ new: null, operation: null, t: null })}
    >
      {wanted && (
        <p className="soft">
          {wanted.reachMm !== null ? `Needs a reach of ${show(wanted.reachMm, 1)}. ` : ''}Feeds{' '}
          {wanted.tool.cutting_mm.toFixed(0)} mm a part.
        </p>
      )}
      {cutters.length === 0 || holders.length === 0 ? (
        <p className="ask">
          {cutters.length === 0 ? 'No cutter' : 'No holder'} is in stock.{' '}
          <Link href="/cutters?new=cutter">Add it and receive it</Link> first.
        </p>
      ) : (
        <div onChange={(e) => watch(e.target as HTMLInputElement, setTrial)}>
          <VerbForm
            verb="buildAssembly"
            submit="Build"
            when
            fixed={job && t ? { for: { operation: job.operation.id, t } } : {}}
            fields={[
              { name: 'cutter', label: 'Cutter from', kind: 'choice', wide: true, options: cutters },
              { name: 'holder', label: 'Holder from', kind: 'choice', wide: true, options: holders },
              { name: 'stickout', label: 'Stickout, tip to holder face', kind: 'length', wide: true },
              ...(judged?.some((j) => j.grade === 'stop')
                ? [
                    {
                      name: 'despite',
                      label: 'A stop is judged: why build it all the same?',
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
            said={(d) => `${String(d.tag)} built: measure it next`}
            onDone={(d) => router.push(`/rack?open=${String(d.tag)}&do=measure`, { scroll: false })}
          >
            {judged && holder && stickout && (
              <>
                <p>
                  Expected gauge length{' '}
                  <span className="fig">{show(expectedGaugeLength(holder.LF, stickout.mm), 1)}</span>
                </p>
                <Judgements list={judged} />
              </>
            )}
            <Caution>
              Hold by the shank. Shank and bore clean and dry, nut to its stated torque; measure shrink-fit
              holders cold.
            </Caution>
          </VerbForm>
        </div>
      )}
    </Tag>
  );
}

/** Fields are known by their label's words, since the form names them by itself. */
function watch(
  target: HTMLInputElement,
  set: (
    change: (t: { cutter: string; holder: string; stickout: string }) => {
      cutter: string;
      holder: string;
      stickout: string;
    },
  ) => void,
): void {
  if (['cutter', 'holder', 'stickout'].includes(target.name))
    set((t) => ({ ...t, [target.name]: target.value }));
}

function cutterSources(item: ItemLine): (readonly [string, string])[] {
  const unused = item.places
    .filter((p) => p.place_kind !== 'build' && p.quantity > p.pieces)
    .map(
      (p) =>
        [`${item.code}|${p.place}`, `${item.code}: ${p.quantity - p.pieces} unused at ${p.place}`] as const,
    );
  const again = item.pieces
    .filter((p) => p.ended_entry_id === null || (p.grade && p.grade !== 'scrap'))
    .map(
      (p) =>
        [p.mark, `${item.code}: ${p.mark}, ${p.grade ? `graded ${p.grade}` : 'used, still good'}`] as const,
    );
  return [...unused, ...again];
}

/** 'EM8|CAB1-A' is stock at a place, 'E-0012' a marked piece. */
export const sourceOf = (value: string): Record<string, string> => {
  const [item, place] = value.split('|');
  return place ? { item: item!, place } : { piece: value };
};
