'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  BLANK_SHEET,
  changeWords,
  mergeSheets,
  SHEET_FIELDS,
  sheetChanges,
  type SheetTexts,
} from '@/core/jobs';
import { ALONG } from '@/core/measuring';
import { namesOf } from '@/core/names';
import { WORK_OFFSETS } from '@/core/registers';
import { parseLength } from '@/core/units';
import type { JobView } from '@/crib/jobs';
import { type FieldOf, VerbForm } from '@/ui/kit/form';
import { Acts, Notice } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';
import { StockSketch } from './StockSketch';

type Sheet = NonNullable<JobView['setup']['sheet']>;
/** Writes the sheet of an operation; who writes over somebody else's words sees them first. */
export function WriteSetup({ job }: { job: JobView }) {
  const query = useQuery('jobs');
  const router = useRouter();
  const { unit } = useLengths();
  const { operation: o, setup } = job;
  /** What the form was begun from: it is written over this, and over nothing that was not seen. */
  const [base, setBase] = useState({ sheet: setup.sheet, texts: setup.texts });
  const [put, setPut] = useState<Record<string, string> | null>(null);
  const start = base.sheet ? base.texts : { ...BLANK_SHEET, revision: o.revision || null };
  const length = (name: keyof SheetTexts, label: string, help?: string) => ({
    ...{ name, label, kind: 'length' as const, optional: true, start: start[name] ?? '' },
    ...(help ? { help } : {}),
  });
  const text = (name: keyof SheetTexts, label: string, help?: string) => ({
    ...{ name, label, optional: true, start: start[name] ?? '' },
    ...(help ? { help } : {}),
  });
  const choice = (name: 'against' | 'workOffset', label: string, options: readonly string[]) => ({
    ...{ name, label, kind: 'choice' as const, optional: true, start: start[name] ?? '' },
    options: options.map((x) => [x, x] as const),
  });
  const vises = setup.fixtures.map((f) => f.code).join(', ');
  const fields: FieldOf<'writeSetupSheet'>[] = [
    text('drawing', 'Drawing'),
    text('revision', 'Revision'),
    text('programNumber', 'Program number'),
    choice('workOffset', 'Work offset', WORK_OFFSETS),
    text('fixture', 'Fixture', vises ? `${vises}: its work offset follows` : 'a vise, a plate, clamps'),
    choice('against', 'Lies against', ALONG),
    length('stockX', 'Stock X'),
    length('stockY', 'Stock Y'),
    length('stockZ', 'Stock Z'),
    length('parallels', 'Parallels', '0: on the bed'),
    length('zeroX', 'Zero from the left'),
    length('zeroY', 'Zero from your side'),
    length('zeroZ', 'Zero above the bottom'),
    { ...text('notes', 'Notes'), kind: 'lines', wide: true },
  ];
  return (
    <Tag
      over={`${o.job}, operation ${o.number}`}
      number={base.sheet ? 'Write it anew' : 'Write the sheet'}
      words="What is not known stays blank."
      closeHref={query.href({ do: 'sheet' })}
    >
      <VerbForm
        verb="writeSetupSheet"
        fixed={{ operation: o.id, ...(base.sheet ? { over: base.sheet.entryId } : {}) }}
        submit="Write it"
        fields={fields}
        put={put}
        said={() => `${o.job}: setup sheet written`}
        onDone={() => router.push(query.href({ do: 'sheet' }), { scroll: false })}
        below={(texts) => {
          const mm = (name: string) => parseLength(texts[name] ?? '', unit)?.mm ?? null;
          const mine = { ...BLANK_SHEET };
          for (const name of namesOf(SHEET_FIELDS)) mine[name] = texts[name]?.trim() || null;
          return (
            <>
              <StockSketch
                box={{
                  stock: { x: mm('stockX'), y: mm('stockY'), z: mm('stockZ') },
                  zero: { x: mm('zeroX'), y: mm('zeroY'), z: mm('zeroZ') },
                  parallels: mm('parallels'),
                }}
                onPick={(zero) =>
                  setPut(
                    Object.fromEntries(
                      Object.entries(zero).map(([axis, at]) => [
                        `zero${axis.toUpperCase()}`,
                        `${round(at)} mm`,
                      ]),
                    ),
                  )
                }
              />
              {setup.sheet && setup.sheet.entryId !== base.sheet?.entryId && (
                <Meanwhile
                  sheet={setup.sheet}
                  base={base.texts}
                  theirs={setup.texts}
                  mine={mine}
                  onTake={(taken) => {
                    setBase({ sheet: setup.sheet, texts: setup.texts });
                    setPut(taken);
                  }}
                />
              )}
            </>
          );
        }}
      />
    </Tag>
  );
}
const round = (n: number) => Math.round(n * 1000) / 1000;

/** What somebody else wrote while this form was open, and the way to have both. */
function Meanwhile({
  sheet,
  base,
  theirs,
  mine,
  onTake,
}: {
  sheet: Sheet;
  base: SheetTexts;
  theirs: SheetTexts;
  mine: SheetTexts;
  onTake: (taken: Record<string, string>) => void;
}) {
  const { merged, clashes } = mergeSheets(base, theirs, mine);
  return (
    <Notice label="Written meanwhile">
      <strong>{sheet.who} wrote this sheet while you had it open.</strong>{' '}
      {sheetChanges(base, theirs).map(changeWords).join('; ')}.
      {clashes.length > 0 &&
        ` You both changed ${clashes.map((f) => SHEET_FIELDS[f]).join(', ')}: yours stays in the form until you change it.`}
      <Acts>
        <Button
          size="small"
          onClick={() => onTake(Object.fromEntries(namesOf(SHEET_FIELDS).map((f) => [f, merged[f] ?? ''])))}
        >
          Take what {sheet.who} wrote, keep mine
        </Button>
      </Acts>
    </Notice>
  );
}
