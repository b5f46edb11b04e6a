'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FAMILY_NAMES, familySpec } from '@/core/cutters';
import { linkTo } from '@/core/links';
import type { SheetView } from '@/crib/assemblies';
import type { AssemblyView } from '@/crib/rack';
import { type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Caution } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { items } from '@/ui/screens/common/found';
import { useLengths } from '@/ui/shell';

/** Parts that a sheet has room for: more than any stack has. */
const SLOTS = 8;

/** What a sheet's form begins with: the sheet it changes, the assembly it is made of, or nothing. */
function starts(sheet: SheetView | null, like: AssemblyView | null): Record<string, string | undefined> {
  const parts = (codes: readonly { code: string; out: string | null }[]) =>
    Object.fromEntries(
      codes.flatMap((p, i) => [
        [`part${i}`, p.code],
        [`out${i}`, p.out ?? ''],
      ]),
    );
  if (sheet)
    return {
      name: sheet.name,
      cutter: sheet.names.cutter ?? '',
      holder: sheet.names.holder,
      stickout: sheet.stickoutEntered,
      least: sheet.leastEntered,
      most: sheet.mostEntered,
      grip: sheet.gripEntered ?? '',
      torque: sheet.torque === null ? '' : String(sheet.torque),
      collar: sheet.collar ? 'yes' : '',
      steps: sheet.steps ?? '',
      ...(sheet.names.cutter === null
        ? {
            'must.family': sheet.shape.family,
            'must.DC': `${sheet.shape.DC} mm`,
            ...mustStarts(sheet),
          }
        : {}),
      ...parts(
        sheet.pieces.flatMap((p) =>
          p.what === 'part' && p.code ? [{ code: p.code, out: p.outEntered }] : [],
        ),
      ),
    };
  if (like)
    return {
      name: like.cutter.words.slice(0, 80),
      cutter: like.cutter.code,
      holder: like.holder.code,
      stickout: like.stickoutEntered,
      ...parts(like.parts.map((p) => ({ code: p.code, out: p.setOut === null ? null : `${p.setOut} mm` }))),
    };
  return {};
}

function mustStarts({ design: { must } }: SheetView): Record<string, string> {
  const mm = (n: number | null) => (n === null ? '' : `${n} mm`);
  return {
    'must.LCF': mm(must.LCF),
    'must.DMM': mm(must.DMM),
    'must.RE': mm(must.RE),
    'must.NOF': must.NOF === null ? '' : String(must.NOF),
  };
}

/** Writes a sheet, or the next version of one. */
export function WriteSheet({
  sheet,
  like,
  closeHref,
}: {
  sheet: SheetView | null;
  like: AssemblyView | null;
  closeHref: string;
}) {
  const router = useRouter();
  const { unit } = useLengths();
  const start = starts(sheet, like);
  const [slots, setSlots] = useState(1 + Object.keys(start).filter((n) => n.startsWith('part')).length);
  const field = (spec: FieldSpec): FieldSpec => {
    const begun = start[spec.name];
    return begun === undefined ? spec : { ...spec, start: begun };
  };
  const fields: FieldSpec[] = [
    ...(sheet ? [] : [{ name: 'code', label: 'Code' }]),
    { name: 'name', label: 'What it is for', wide: true },
    { name: 'cutter', label: 'Cutter', kind: 'search' as const, search: items, wide: true, optional: true },
    { name: 'm', label: 'or any cutter that has', kind: 'legend' as const },
    {
      name: 'must.family',
      label: 'Family',
      kind: 'choice' as const,
      optional: true,
      options: FAMILY_NAMES.map((f) => [f, familySpec(f).words] as const),
    },
    { name: 'must.DC', label: 'DC', kind: 'length' as const, optional: true },
    { name: 'must.LCF', label: 'Flute, at least', kind: 'length' as const, optional: true },
    { name: 'must.DMM', label: 'Shank DMM', kind: 'length' as const, optional: true },
    { name: 'must.RE', label: 'Corner RE', kind: 'length' as const, optional: true },
    { name: 'must.NOF', label: 'Flutes NOF', kind: 'whole' as const, optional: true },
    { name: 'h', label: 'held by', kind: 'legend' as const },
    { name: 'holder', label: 'Holder', kind: 'search' as const, search: items, wide: true },
    ...Array.from({ length: slots }, (_, i): FieldSpec[] => [
      {
        name: `part${i}`,
        label: i === 0 ? 'Parts, from the spindle down' : 'and',
        kind: 'search',
        search: items,
        optional: true,
      },
      {
        name: `out${i}`,
        label: 'set out, an extension',
        kind: 'length',
        optional: true,
      },
    ]).flat(),
    { name: 's', label: 'set', kind: 'legend' as const },
    { name: 'stickout', label: 'Stickout', kind: 'length' as const },
    { name: 'least', label: 'Shortest', kind: 'length' as const, optional: true },
    { name: 'most', label: 'Longest', kind: 'length' as const, optional: true },
    { name: 'grip', label: 'Least grip', kind: 'length' as const, optional: true },
    { name: 'torque', label: 'Torque, N m', kind: 'number' as const, optional: true },
    {
      name: 'collar',
      label: 'Stop collar',
      kind: 'choice' as const,
      optional: true,
      options: [['yes', 'keeps the stickout']],
    },
    {
      ...{ name: 'steps', label: 'What else to do or look at', kind: 'lines' as const },
      ...{ wide: true, optional: true },
    },
  ];
  return (
    <Tag
      over={
        sheet ? `Build sheet, from version ${sheet.version}` : like ? `A build sheet of ${like.tag}` : 'New'
      }
      number={sheet?.code ?? 'Build sheet'}
      words={sheet ? 'A new version: what was built from an earlier one stays as it was built.' : undefined}
      closeHref={closeHref}
    >
      <VerbForm
        key={unit}
        verb="writeBuildSheet"
        submit={sheet ? `Write version ${sheet.version + 1}` : 'Write the sheet'}
        fixed={sheet ? { code: sheet.code, replaces: sheet.version } : {}}
        fields={fields.map(field)}
        shape={shaped}
        said={(d) => `${d.code} is at version ${d.version}`}
        onDone={(d) => router.push(linkTo('sheets', { open: String(d.code) }), { scroll: false })}
      >
        {slots < SLOTS && (
          <Button variant="text" size="small" onClick={() => setSlots(slots + 1)}>
            one more part
          </Button>
        )}
        <Caution>
          Torque by the holder’s own plate or maker. The range is what clears the walls of the jobs it is for:
          whoever builds at its end still looks.
        </Caution>
      </VerbForm>
    </Tag>
  );
}

/** Fields as the verb takes them. */
function shaped(input: Record<string, unknown>): Record<string, unknown> {
  const { collar, ...rest } = input;
  const parts: Record<string, unknown>[] = [];
  for (let i = 0; i < SLOTS; i++) {
    const item = rest[`part${i}`];
    const out = rest[`out${i}`];
    delete rest[`part${i}`];
    delete rest[`out${i}`];
    if (item) parts.push({ item, ...(out === undefined ? {} : { out }) });
  }
  return { ...rest, ...(parts.length ? { parts } : {}), ...(collar === 'yes' ? { collar: true } : {}) };
}
