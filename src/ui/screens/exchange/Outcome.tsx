'use client';
import type { Preview } from '@/crib/exchange';

const SHOWN = 60;

/** New, changed value by value, refused with row and reason. */
export function Outcome({ preview: p }: { preview: Preview }) {
  return (
    <>
      <p>
        <strong>{p.added.length} new</strong>, <strong>{p.changed.length} changed</strong>, {p.same} as they
        are,{' '}
        <strong style={p.refused.length ? { color: 'var(--rust)' } : undefined}>
          {p.refused.length} refused
        </strong>
        .{p.suppliers.length > 0 && ` Suppliers that come with it: ${p.suppliers.join(', ')}.`}
      </p>
      {p.refused.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th>Row</th>
              <th>Code</th>
              <th>Refused because</th>
            </tr>
          </thead>
          <tbody>
            {p.refused.slice(0, SHOWN).map((r) => (
              <tr key={r.row}>
                <td className="fig">{r.row}</td>
                <td className="fig">{r.code || '—'}</td>
                <td>{r.reasons.join('; ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <More n={p.refused.length} of="refused" />
      {p.changed.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th>Changed</th>
              <th>Value</th>
              <th>From</th>
              <th>To</th>
            </tr>
          </thead>
          <tbody>
            {p.changed.slice(0, SHOWN).flatMap((x) =>
              x.changes.map((ch, i) => (
                <tr key={`${x.item.code} ${ch.field} ${i}`}>
                  <td className="fig">{i === 0 ? x.item.code : ''}</td>
                  <td className="fig">{ch.field}</td>
                  <td>{ch.from ?? <span className="soft">not known</span>}</td>
                  <td>{ch.to}</td>
                </tr>
              )),
            )}
          </tbody>
        </table>
      )}
      <More n={p.changed.length} of="changed" />
      {p.added.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th>New</th>
              <th>Kind</th>
              <th>Facts</th>
            </tr>
          </thead>
          <tbody>
            {p.added.slice(0, SHOWN).map((a) => (
              <tr key={a.code}>
                <td className="fig">{a.code}</td>
                <td>{a.family ?? a.kind}</td>
                <td className="small">
                  {a.facts.map((f) => `${f.symbol} ${f.text}${f.unit === 'inch' ? ' in' : ''}`).join(', ')}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <More n={p.added.length} of="new" />
    </>
  );
}

const More = ({ n, of }: { n: number; of: string }) =>
  n > SHOWN ? (
    <p className="soft small">
      and {n - SHOWN} more {of}
    </p>
  ) : null;
