'use client';
import Button from '@mui/material/Button';
import { Link } from '@/ui/kit/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { Wall } from '@/core/assemblies';
import { DEFAULTS } from '@/core/defaults';
import { linkTo } from '@/core/links';
import { last } from '@/core/sure';
import { formatLength, parseLength } from '@/core/units';
import type { JobView } from '@/crib/jobs';
import type { TakeSource } from '@/crib/stock';
import { Judgements } from '@/ui/kit/figure';
import { type FieldSpec, type Found, VerbForm } from '@/ui/kit/form';
import { Caution, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { BuildDrawing } from '@/ui/rack';
import { Judged } from '@/ui/screens/common/Judged';
import { judgedBuild } from '@/ui/screens/common/judgedBuild';
import { type FoundSource, partsOnto, sourceOf, takeables } from '@/ui/screens/common/found';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';
import { BuildFiguresRows } from './BuildFiguresRows';
import { Beside } from './Beside';

/** More than any stack has. */
const MOST_PARTS = 8;

const take = (found: Found | null): TakeSource | null =>
  // Found by takeables(), whose finds carry what they are of.
  (found as FoundSource | null)?.of ?? null;

/** Build an assembly: cutter, holder and what is between them from stock, the stickout; judged while it is set. */
export function BuildTag({ job, t }: { job: JobView | null; t: string | null }) {
  const query = useQuery('rack');
  const router = useRouter();
  const { show, unit } = useLengths();
  const [cutter, setCutter] = useState<TakeSource | null>(null);
  const [holder, setHolder] = useState<TakeSource | null>(null);
  const [parts, setParts] = useState<(TakeSource | null)[]>([]);
  const [asked, setAsked] = useState(0);
  /** As typed, each with the unit it was typed in. */
  const [typed, setTyped] = useState<Record<string, { text: string; unit: typeof unit }>>({});
  const [put, setPut] = useState<Record<string, string> | null>(null);
  const [wall, setWall] = useState<Wall | null>(null);
  const [force, setForce] = useState<number>(DEFAULTS.sideForceN);
  const wanted = job?.tools.find((x) => String(x.t) === t);
  const mm = (name: string) => {
    const length = typed[name] && parseLength(typed[name].text, typed[name].unit);
    return length && length.mm > 0 ? length.mm : null;
  };
  const chosen = {
    cutter,
    holder,
    parts: parts.flatMap((source, i) => (source ? [{ source, setOut: mm(`out${i}`) }] : [])),
  };
  const judged = judgedBuild(chosen, mm('stickout'), { wall, force, job, t });
  const slots = Math.min(
    MOST_PARTS,
    Math.max(asked, parts.length, chosen.parts.length + (judged?.asksCollet ? 1 : 0)),
  );
  const seated = judged !== null && judged.range.least !== null && judged.range.least === judged.range.most;
  const setStickout = (length: number) => {
    const text = formatLength(length, unit, unit === 'mm' ? 1 : 2);
    setTyped((before) => ({ ...before, stickout: { text, unit } }));
    setPut({ stickout: text });
  };
  const pickPart = (i: number) => (found: Found | null) =>
    setParts((before) => {
      const after = Array.from({ length: Math.max(before.length, i + 1) }, (_, n) => before[n] ?? null);
      after[i] = take(found);
      while (after.length && last(after) === null) after.pop();
      return after;
    });
  const { cutters, holders } = useSearches(cutter?.item, job?.operation.material);
  const searches = usePartSearches(holder, parts, cutter, slots);
  const others = cutter?.keptFor.filter((j) => j !== job?.operation.job) ?? [];
  const isKept = others.length > 0 && others.length === cutter?.keptFor.length;
  // One reason overrules both: so both are said.
  const against = [
    judged?.judgements?.some((j) => j.grade === 'stop') && 'a stop is judged',
    isKept && `the last are set aside for ${others.join(', ')}`,
  ]
    .filter(Boolean)
    .join(', and ');
  const why = against && `${against[0]?.toUpperCase()}${against.slice(1)}: why build it all the same?`;
  const partFields = Array.from({ length: slots }, (_, i): FieldSpec[] => [
    {
      name: `part${i}`,
      label: partLabel(i, judged?.asksCollet ?? null, parts),
      kind: 'search',
      wide: true,
      search: searches[i],
      onPick: pickPart(i),
    },
    ...(parts[i]?.part?.kind === 'extension'
      ? [
          {
            name: `out${i}`,
            label: `${parts[i].item} stands out`,
            kind: 'length' as const,
            optional: parts[i].part.LPR !== null,
            help: parts[i].part.LPR === null ? undefined : `${show(parts[i].part.LPR, 1)} when seated`,
          },
        ]
      : []),
  ]).flat();
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
          if (field instanceof HTMLInputElement && /^(stickout|out\d)$/.test(field.name))
            setTyped((before) => ({ ...before, [field.name]: { text: field.value, unit } }));
        }}
      >
        <VerbForm
          verb="buildAssembly"
          submit="Build"
          when
          put={put}
          fixed={job && t ? { for: { operation: job.operation.id, t } } : {}}
          fields={[
            {
              name: 'cutter',
              label: 'Cutter from',
              kind: 'search',
              wide: true,
              search: cutters,
              onPick: (found) => {
                const source = take(found);
                setCutter(source);
                const own = source?.details.cutter;
                // Nobody sets how far a shell mill or a screwed-in head stands out.
                if (own?.LPR && /^(arbor bore|threaded)$/.test(own.SHANK ?? '')) setStickout(own.LPR);
              },
            },
            {
              name: 'holder',
              label: 'Holder from',
              kind: 'search',
              wide: true,
              search: holders,
              onPick: (found) => setHolder(take(found)),
            },
            ...partFields,
            {
              name: 'stickout',
              label: parts.some((p) => p?.part?.kind === 'extension')
                ? 'Stickout, tip to the extension’s face'
                : 'Stickout, tip to holder face',
              kind: 'length',
              wide: true,
            },
            ...(why ? [{ name: 'despite', label: why, wide: true, optional: true }] : []),
          ]}
          shape={shaped}
          said={(d) => `${d.tag} built: measure it next`}
          onDone={(d) => router.push(linkTo('rack', { open: d.tag, do: 'measure' }), { scroll: false })}
        >
          {holder && slots < MOST_PARTS && (
            <Button variant="text" size="small" onClick={() => setAsked(slots + 1)}>
              one more part: extension, collet, pull stud, spare
            </Button>
          )}
          {[cutter, holder, ...parts].map(
            (s, i) =>
              s?.caution && (
                <Notice key={`${s.value} ${i}`}>
                  {s.item}: {s.caution}
                </Notice>
              ),
          )}
          {judged && (
            <>
              <BuildDrawing
                outline={judged.outline}
                stickout={judged.shown}
                longest={judged.longest}
                range={judged.range}
                wall={wall}
                reachMm={wanted?.reachMm ?? null}
                show={show}
                unit={unit}
                onStickout={seated ? null : setStickout}
              />
              {judged.outline.assumed.length > 0 && (
                <p className="soft small">{judged.outline.assumed.map((a) => a.words).join('; ')}.</p>
              )}
              <BuildFiguresRows
                expected={judged.expected}
                ratio={`${(judged.shown / judged.build.cutter.DC).toFixed(1)} × D out`}
                figures={judged.figures}
                onForce={setForce}
              />
              <Beside unit={unit} cutter={judged.build.cutter} onWall={setWall} />
              {judged.beside && <Judgements list={[judged.beside.judgement]} />}
              {judged.judgements ? (
                <Judged list={judged.judgements} />
              ) : (
                <p className="soft">Type the stickout, or take hold of the tip: it is judged as it is set.</p>
              )}
            </>
          )}
          <Caution>
            Hold by the shank. Shank and bore clean and dry, nut to its stated torque. A heated holder burns
            long after it looks cold: gloves and tongs, and measure it cold. Lift heavy ones with two or a
            hoist. Pull stud of this machine and to its torque: a wrong one lets the tool go.
            {judged?.judgements?.some((j) => j.code === 'RATIO' && j.grade === 'question') &&
              ' A long tool whips at speed: balance it, start slow, door shut.'}
          </Caution>
        </VerbForm>
      </div>
      <p className="soft small">
        Built again and again?{' '}
        <Link href={linkTo('sheets', job && t ? { operation: job.operation.id, t: Number(t) } : {})}>
          From a build sheet
        </Link>
        , step by step.
      </p>
      <p className="soft small">
        Not found? What lies in the crib can be taken:{' '}
        <Link href={linkTo('cutters', { new: 'cutter' })}>add it</Link> and receive it first.
      </p>
    </Tag>
  );
}

/** What is taken for a job, and for which cutter, says whose turn it is in a trial. */
function useSearches(cutter: string | undefined, material: string | undefined) {
  return useMemo(() => {
    const job = material === undefined ? {} : { material };
    return {
      cutters: takeables('cutter', job),
      holders: takeables('holder', { ...job, ...(cutter === undefined ? {} : { shank: cutter }) }),
    };
  }, [cutter, material]);
}

/** Each field finds what goes next onto those before it. */
function usePartSearches(
  holder: TakeSource | null,
  parts: readonly (TakeSource | null)[],
  cutter: TakeSource | null,
  slots: number,
) {
  const stack = [holder?.item ?? '', ...parts.map((p) => p?.item ?? '')].join('\n');
  const of = cutter?.item ?? null;
  return useMemo(() => {
    const [first = '', ...rest] = stack.split('\n');
    return Array.from({ length: slots }, (_, i) =>
      partsOnto([first, ...rest.slice(0, i)].filter(Boolean), of),
    );
  }, [stack, of, slots]);
}

function partLabel(i: number, asksCollet: string | null, parts: readonly (TakeSource | null)[]): string {
  const asked = asksCollet !== null && !parts[i] && parts.slice(0, i).every(Boolean);
  return asked ? `Collet ${asksCollet}, or what goes in` : `Part ${i + 1}, from the spindle down`;
}

/** Fields of the form as the verb takes them: parts in order, each from its place. */
function shaped(input: Record<string, unknown>): Record<string, unknown> {
  const { cutter, holder, ...rest } = input;
  const parts: Record<string, unknown>[] = [];
  for (let i = 0; i < MOST_PARTS; i++) {
    const source = rest[`part${i}`];
    const out = rest[`out${i}`];
    delete rest[`part${i}`];
    delete rest[`out${i}`];
    if (source) parts.push({ ...sourceOf(String(source)), ...(out === undefined ? {} : { out }) });
  }
  return {
    ...rest,
    ...(cutter ? { cutter: sourceOf(String(cutter)) } : {}),
    ...(holder ? { holder: sourceOf(String(holder)) } : {}),
    ...(parts.length ? { parts } : {}),
  };
}
