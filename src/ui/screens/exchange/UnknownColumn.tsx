'use client';
import { SYMBOLS } from '@/core/cutters';
import { Choice } from '@/ui/kit/field';
import { Notice } from '@/ui/kit/page';

/** Columns that are no facts, as docs/formats.md has them. */
const PLAIN = [
  'code',
  'kind',
  'family',
  'maker',
  'supplier',
  'order_code',
  'price',
  'pack',
  'minimum',
  'life_minutes',
];

export interface Chosen {
  name: string;
  content: string;
}

export function Unknown({
  headers,
  mapping,
  onSay,
}: {
  headers: string[];
  mapping: Record<string, string | null>;
  onSay: (header: string, meaning: string) => void;
}) {
  return (
    <Notice>
      <strong>
        {headers.length} column{headers.length === 1 ? '' : 's'} of unknown meaning: left out until you say
        what {headers.length === 1 ? 'it is' : 'they are'}.
      </strong>{' '}
      It is remembered for the next list.
      {headers.slice(0, 30).map((h) => (
        <div key={h} style={{ marginTop: 6 }}>
          <label>
            <span className="fig">{h}</span>{' '}
            <Choice
              value={mapping[h] === null ? '-' : (mapping[h] ?? '')}
              onChange={(e) => onSay(h, e.target.value)}
            >
              <option value="">what is it?</option>
              <option value="-">leave it out</option>
              {PLAIN.map((p) => (
                <option key={p} value={p}>
                  {p}
                </option>
              ))}
              {Object.entries(SYMBOLS).map(([s, spec]) => (
                <option key={s} value={s}>
                  {s} {spec.words}
                </option>
              ))}
            </Choice>
          </label>
        </div>
      ))}
    </Notice>
  );
}
