'use client';
import Button from '@mui/material/Button';
import type { LengthUnit } from '@/core/units';
import { Entry, Together } from '@/ui/kit/field';

export interface SegmentTexts {
  length: string;
  upper: string;
  lower: string;
}

/** Adds a holder's outline to the input of a verb, in the unit that was shown; rows left blank are no segment. */
export function outlineInput(
  input: Record<string, unknown>,
  segments: readonly SegmentTexts[],
  unit: LengthUnit,
): Record<string, unknown> {
  const sent = (text: string) => (unit === 'inch' && !/[a-z"]/i.test(text) ? `${text} in` : text);
  const filled = segments.filter((s) => s.length || s.upper || s.lower);
  if (!filled.length) return input;
  return {
    ...input,
    segments: filled.map((s) => ({ length: sent(s.length), upper: sent(s.upper), lower: sent(s.lower) })),
  };
}

/** A holder's outline from the gauge line down, a segment a row. */
export function OutlineFields({
  segments,
  onChange,
}: {
  segments: SegmentTexts[];
  onChange: (segments: SegmentTexts[]) => void;
}) {
  const set = (i: number, key: keyof SegmentTexts, value: string) =>
    onChange(segments.map((x, k) => (k === i ? { ...x, [key]: value } : x)));
  return (
    <fieldset style={{ border: 0, padding: 0, margin: '12px 0' }}>
      <legend style={{ fontWeight: 650 }}>Outline from the gauge line down</legend>
      {segments.map((s, i) => (
        <Together key={i} style={{ display: 'flex', gap: 6, marginTop: 4 }}>
          {(['length', 'upper', 'lower'] as const).map((key) => (
            <Entry
              key={key}
              aria-label={`Segment ${i + 1}, ${key === 'length' ? 'length' : `${key} diameter`}`}
              placeholder={key === 'length' ? 'length' : `${key} Ø`}
              value={s[key]}
              onChange={(e) => set(i, key, e.target.value)}
              className="fig"
              style={{ width: '33%' }}
            />
          ))}
        </Together>
      ))}
      <Button variant="text" onClick={() => onChange([...segments, { length: '', upper: '', lower: '' }])}>
        one more segment
      </Button>
    </fieldset>
  );
}
