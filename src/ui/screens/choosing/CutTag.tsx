'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { Controller, useForm, useWatch } from 'react-hook-form';
import {
  ALLOY_NAMES,
  ALLOYS,
  BOTTOMS,
  CUT_FIELD_NAMES,
  CUT_FIELDS,
  type CutField,
  type Feature,
  FEATURE_NAMES,
  FEATURES,
  GROUP_WORDS,
  GROUPS,
} from '@/core/choosing';
import { Choice, Entry, Field, Fields, Tick } from '@/ui/kit/field';
import { Acts } from '@/ui/kit/page';
import { Tag } from '@/ui/kit/tag';
import { useQuery } from '@/ui/screens/common/query';
import { useLengths } from '@/ui/shell';

interface Field {
  name: CutField;
  label: string;
  kind: 'length' | 'text' | 'degrees';
}
/** What a feature is bound by, in the order of the drawing. */
const fieldsOf = (feature: Feature): Field[] =>
  FEATURES[feature].asks.map((name) => ({
    name,
    label: (name === 'width' ? FEATURES[feature].width : undefined) ?? CUT_FIELDS[name].words,
    kind: CUT_FIELDS[name].kind,
  }));
const featureOf = (text: string | null): Feature => FEATURE_NAMES.find((f) => f === text) ?? 'pocket';

type CutTexts = Record<CutField, string> & {
  feature: Feature;
  group: string;
  alloy: string;
  bottom: string;
  plunge: boolean;
};

/** The description of the cut; it stands in the address, so that it can be sent or kept. */
export function CutTag() {
  const query = useQuery('choose');
  const router = useRouter();
  const { unit, unitWord } = useLengths();
  const { register, control, handleSubmit } = useForm<CutTexts>({
    defaultValues: {
      ...Object.fromEntries(CUT_FIELD_NAMES.map((n) => [n, query.get(n) ?? ''])),
      feature: featureOf(query.get('feature')),
      group: query.get('group') ?? '',
      alloy: query.get('alloy') ?? '',
      bottom: query.get('bottom') ?? '',
      plunge: query.get('plunge') === 'yes',
    },
  });
  const [feature, group] = useWatch({ control, name: ['feature', 'group'] });
  const alloys = ALLOY_NAMES.filter((a) => ALLOYS[a].group === group);
  const fields = fieldsOf(feature);
  const find = (texts: CutTexts) => {
    const address = new URLSearchParams({ feature });
    if (texts.group) address.set('group', texts.group);
    if (alloys.some((a) => a === texts.alloy)) address.set('alloy', texts.alloy);
    if (texts.bottom && FEATURES[feature].bottom) address.set('bottom', texts.bottom);
    if (texts.plunge) address.set('plunge', 'yes');
    for (const f of fields) {
      const text = texts[f.name].trim();
      if (text)
        address.set(
          f.name,
          f.kind === 'length' && unit === 'inch' && !/[a-z"]/i.test(text) ? `${text} in` : text,
        );
    }
    router.push(`/choose?${address}`);
  };
  return (
    <Tag over="The cut" number={FEATURES[feature].words} closeHref="/cutters">
      <form onSubmit={handleSubmit(find)} noValidate>
        <Fields>
          <Field>
            <label htmlFor="feature">What is cut</label>
            <Choice id="feature" {...register('feature')}>
              {FEATURE_NAMES.map((f) => (
                <option key={f} value={f}>
                  {FEATURES[f].words}
                </option>
              ))}
            </Choice>
          </Field>
          <Field>
            <label htmlFor="group">Material, ISO 513</label>
            <Choice id="group" {...register('group')}>
              <option value="">any</option>
              {GROUPS.map((g) => (
                <option key={g} value={g}>
                  {g} {GROUP_WORDS[g]}
                </option>
              ))}
            </Choice>
          </Field>
          {alloys.length > 0 && (
            <Field>
              <label htmlFor="alloy">Which of {group}</label>
              <Choice id="alloy" {...register('alloy')}>
                <option value="">not said</option>
                {alloys.map((a) => (
                  <option key={a} value={a}>
                    {ALLOYS[a].words}
                  </option>
                ))}
              </Choice>
            </Field>
          )}
          {FEATURES[feature].bottom && (
            <Field>
              <label htmlFor="bottom">The hole is</label>
              <Choice id="bottom" {...register('bottom')}>
                <option value="">not said</option>
                {BOTTOMS.map((b) => (
                  <option key={b} value={b}>
                    {b}
                  </option>
                ))}
              </Choice>
            </Field>
          )}
          {fields.map((f) => (
            <Field key={f.name}>
              <label htmlFor={f.name}>
                {f.label}
                {f.kind === 'length' ? `, ${unitWord}` : ''}
              </label>
              <Entry
                id={f.name}
                className="fig"
                style={{ width: '100%' }}
                inputMode={f.kind === 'text' ? undefined : 'decimal'}
                {...register(f.name)}
              />
            </Field>
          ))}
          {FEATURES[feature].milled && (
            <Field>
              <label>
                <Controller
                  name="plunge"
                  control={control}
                  render={({ field }) => (
                    <Tick checked={field.value} onChange={(e) => field.onChange(e.target.checked)} />
                  )}
                />{' '}
                must plunge
              </label>
            </Field>
          )}
        </Fields>
        <Acts>
          <Button type="submit" variant="contained">
            Find cutters
          </Button>
        </Acts>
      </form>
      <p className="soft small">
        A field left blank bounds nothing. Reach, corner and clearance are judged by the cutter; of a build
        that stands, by how far it stands out of its holder too. A holder wider than its way beside the wall:
        look at it yourself.
      </p>
    </Tag>
  );
}
