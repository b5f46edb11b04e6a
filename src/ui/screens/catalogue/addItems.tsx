'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  BODY_FAMILIES,
  factsOf,
  type FactSymbol,
  FAMILIES,
  FAMILY_NAMES,
  type ItemKind,
  KINDS,
  sizeFact,
  symbolSpec,
} from '@/core/cutters';
import { linkTo } from '@/core/links';
import { isOne } from '@/core/names';
import type { ShopView } from '@/crib/shop';
import { Choice, Field } from '@/ui/kit/field';
import { type FieldOf, type FieldSpec, VerbForm } from '@/ui/kit/form';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { SET_UP } from '@/ui/screens/common/setUp';
import { useLengths } from '@/ui/shell';
import { OutlineFields, outlineInput, type SegmentTexts } from './OutlineFields';
import { inUseOptions } from '@/ui/screens/common/options';

type FactField = `facts.${FactSymbol}.value`;
/** A field for each symbol with its origin beside it. */
export const factFields = (symbols: readonly FactSymbol[]): FieldSpec<FactField>[] =>
  symbols.map((symbol) => {
    const s = symbolSpec(symbol);
    const label = `${symbol} ${s.words}${s.kind === 'degree' ? ', degrees' : ''}`;
    const name: FactField = `facts.${symbol}.value`;
    const base = { name, label, origin: `facts.${symbol}.origin`, wide: true };
    if (s.kind === 'length') return { ...base, kind: 'length' };
    if (s.kind === 'choice')
      return { ...base, kind: 'choice', options: (s.options ?? []).map((o) => [o, o] as const) };
    return { ...base, kind: s.kind === 'words' ? 'text' : 'number' };
  });

/** Facts asked for at once; the others are behind 'more facts', since most cutters come without them. */
const SOON: readonly FactSymbol[] = [
  'DC',
  'LCF',
  'RE',
  'SIG',
  'TAPER',
  'KAPR',
  'CW',
  'TDZ',
  'TCHA',
  'TAPPING',
  'NOF',
  'DMM',
  'OAL',
  'SUBSTRATE',
  'CCC',
  'CICT',
  'MIID',
  'ISO1832',
  'GRADE',
  'EDGES',
  'CCMS',
  'LF',
  'CLAMPING',
  'COLLET',
  'CLAMP_MIN',
  'CLAMP_MAX',
  'GRIP_MIN',
  'DEPTH_MAX',
  'RPM_MAX',
  'LPR',
  'FITS',
  'TORQUE',
  'DCX',
];

/** One more item of a kind: its family decides what is asked. */
export function AddItemTag({ kind, shop }: { kind: ItemKind; shop: ShopView }) {
  const query = useQuery('cutters');
  const router = useRouter();
  const { unit } = useLengths();
  const [family, setFamily] = useState(query.get('family') ?? '');
  const [all, setAll] = useState(false);
  const [outline, setOutline] = useState<SegmentTexts[]>([{ length: '', upper: '', lower: '' }]);
  const hasFamily = kind === 'cutter' || kind === 'body';
  const chosen = hasFamily && isOne(FAMILY_NAMES, family) ? family : null;
  const ready = !hasFamily || chosen !== null;
  const asked = ready ? factsOf(kind, chosen) : [];
  const now = all ? asked : asked.filter((s) => SOON.includes(s));
  // A tap is named by its thread, which gives its diameter.
  const first = sizeFact(kind, chosen);
  return (
    <Tag
      over={`A ${KINDS[kind].words}`}
      number="new"
      closeHref={query.href({ new: null, like: null, family: null })}
    >
      <p className="soft small">
        Blank is ‘not known’: what leans on it says so. An inch fraction such as 1/4 is read as inches, #7 and
        F as drills.
      </p>
      {hasFamily && (
        <Field wide>
          <label htmlFor="family">Family</label>
          <Choice id="family" value={family} onChange={(e) => setFamily(e.target.value)}>
            <option value="">choose</option>
            {(kind === 'body' ? BODY_FAMILIES : FAMILY_NAMES).map((f) => (
              <option key={f} value={f}>
                {FAMILIES[f].words}
              </option>
            ))}
          </Choice>
          {chosen && (
            <div className="soft small">
              Length is measured to: {FAMILIES[chosen].lengthTo}. DC: {FAMILIES[chosen].diameterAt}.
            </div>
          )}
        </Field>
      )}
      {ready && (
        <VerbForm
          key={chosen ?? kind}
          verb="addItem"
          submit={`Add ${KINDS[kind].words}`}
          fixed={{ kind, ...(chosen ? { family: chosen } : {}) }}
          fields={[
            { name: 'code', label: 'Code here' },
            { name: 'maker', label: 'Maker', optional: true },
            {
              name: 'similarTo',
              label: 'Copy the rest from, by code',
              optional: true,
              wide: true,
              start: query.get('like') ?? '',
              help: 'What you leave blank is copied and marked as copied.',
            },
            { name: 'l1', label: 'Facts, each with where it came from', kind: 'legend' },
            ...factFields(now).map((f) => (f.name === `facts.${first}.value` ? f : { ...f, optional: true })),
            ...(hasFamily ? LIFE : []),
            ...supplyFields(shop),
          ]}
          shape={(input) => outlineInput(input, outline, unit)}
          said={(d) =>
            `${d.code} added: receive it next${d.questions.length ? `. In question: ${d.questions.join('; ')}` : ''}`
          }
          onDone={(d) => router.push(linkTo('cutters', { open: d.code, do: 'receive' }), { scroll: false })}
        >
          {!all && now.length < asked.length && (
            <Button variant="text" onClick={() => setAll(true)}>
              more facts:{' '}
              {asked
                .filter((s) => !now.includes(s))
                .map((s) => symbolSpec(s).words)
                .join(', ')}
            </Button>
          )}
          {kind === 'holder' && <OutlineFields segments={outline} onChange={setOutline} />}
        </VerbForm>
      )}
    </Tag>
  );
}

const LIFE: FieldSpec[] = [
  { name: 'l2', label: 'Life', kind: 'legend' },
  {
    name: 'assumedLife.minutes',
    label: 'Assumed life, minutes in the cut',
    kind: 'number',
    origin: 'assumedLife.origin',
    wide: true,
    optional: true,
  },
];

export const supplyFields = (shop: ShopView): FieldOf<'stateFacts'>[] => [
  { name: 'supply', label: 'Bought from', kind: 'legend' },
  {
    name: 'supply.supplier',
    label: 'Supplier',
    kind: 'choice',
    options: inUseOptions(shop.suppliers),
    optional: true,
    add: SET_UP.supplier,
  },
  { name: 'supply.orderCode', label: 'Order code', optional: true },
  { name: 'supply.priceCents', label: 'Price each', kind: 'money', optional: true },
  { name: 'supply.pack', label: 'Pack', kind: 'whole', optional: true },
];
