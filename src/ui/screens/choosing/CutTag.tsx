'use client';
import { Choice, Entry, Tick } from '@/ui/kit/form';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  CUT_FIELD_NAMES,
  CUT_FIELDS,
  type CutField,
  type Feature,
  FEATURE_NAMES,
  FEATURES,
  GROUP_WORDS,
  GROUPS,
} from '@/core/choosing';
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

/** The description of the cut; it stands in the address, so that it can be sent or kept. */
export function CutTag() {
  const query = useQuery('choose');
  const router = useRouter();
  const { unit, unitWord } = useLengths();
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(
      (['feature', 'group', 'plunge', ...CUT_FIELD_NAMES] as const).map((n) => [n, query.get(n) ?? '']),
    ),
  );
  const set = (name: string) => (e: React.ChangeEvent<HTMLInputElement | HTMLSelectElement>) =>
    setTexts({ ...texts, [name]: e.target.value });
  const feature = (texts.feature || 'pocket') as Feature;
  const fields = fieldsOf(feature);
  const find = (e: React.FormEvent) => {
    e.preventDefault();
    const address = new URLSearchParams({ feature });
    if (texts.group) address.set('group', texts.group);
    if (texts.plunge === 'yes') address.set('plunge', 'yes');
    for (const f of fields) {
      const text = texts[f.name]!.trim();
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
      <form onSubmit={find}>
        <div className="fields">
          <div className="field">
            <label htmlFor="feature">What is cut</label>
            <Choice id="feature" value={feature} onChange={set('feature')}>
              {FEATURE_NAMES.map((f) => (
                <option key={f} value={f}>
                  {FEATURES[f].words}
                </option>
              ))}
            </Choice>
          </div>
          <div className="field">
            <label htmlFor="group">Material, ISO 513</label>
            <Choice id="group" value={texts.group} onChange={set('group')}>
              <option value="">any</option>
              {GROUPS.map((g) => (
                <option key={g} value={g}>
                  {g} {GROUP_WORDS[g]}
                </option>
              ))}
            </Choice>
          </div>
          {fields.map((f) => (
            <div className="field" key={f.name}>
              <label htmlFor={f.name}>
                {f.label}
                {f.kind === 'length' ? `, ${unitWord}` : ''}
              </label>
              <Entry
                id={f.name}
                className="fig"
                style={{ width: '100%' }}
                inputMode={f.kind === 'text' ? undefined : 'decimal'}
                value={texts[f.name]}
                onChange={set(f.name)}
              />
            </div>
          ))}
          {FEATURES[feature].milled && (
            <div className="field">
              <label>
                <Tick
                  checked={texts.plunge === 'yes'}
                  onChange={(e) => setTexts({ ...texts, plunge: e.target.checked ? 'yes' : '' })}
                />{' '}
                must plunge
              </label>
            </div>
          )}
        </div>
        <div className="acts">
          <Button type="submit" variant="contained">
            Find cutters
          </Button>
        </div>
      </form>
      <p className="soft small">
        A field left blank bounds nothing. Reach, corner and clearance are judged by the cutter alone: look at
        the holder beside the wall yourself.
      </p>
    </Tag>
  );
}
