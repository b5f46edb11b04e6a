'use client';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
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
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Row</TableCell>
              <TableCell>Code</TableCell>
              <TableCell>Refused because</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {p.refused.slice(0, SHOWN).map((r) => (
              <TableRow key={r.row}>
                <TableCell className="fig">{r.row}</TableCell>
                <TableCell className="fig">{r.code || '—'}</TableCell>
                <TableCell>{r.reasons.join('; ')}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      <More n={p.refused.length} of="refused" />
      {p.changed.length > 0 && (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>Changed</TableCell>
              <TableCell>Value</TableCell>
              <TableCell>From</TableCell>
              <TableCell>To</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {p.changed.slice(0, SHOWN).flatMap((x) =>
              x.changes.map((ch, i) => (
                <TableRow key={`${x.item.code} ${ch.field} ${i}`}>
                  <TableCell className="fig">{i === 0 ? x.item.code : ''}</TableCell>
                  <TableCell className="fig">{ch.field}</TableCell>
                  <TableCell>{ch.from ?? <span className="soft">not known</span>}</TableCell>
                  <TableCell>{ch.to}</TableCell>
                </TableRow>
              )),
            )}
          </TableBody>
        </Table>
      )}
      <More n={p.changed.length} of="changed" />
      {p.added.length > 0 && (
        <Table>
          <TableHead>
            <TableRow>
              <TableCell>New</TableCell>
              <TableCell>Kind</TableCell>
              <TableCell>Facts</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {p.added.slice(0, SHOWN).map((a) => (
              <TableRow key={a.code}>
                <TableCell className="fig">{a.code}</TableCell>
                <TableCell>{a.family ?? a.kind}</TableCell>
                <TableCell className="small">
                  {a.facts.map((f) => `${f.symbol} ${f.text}${f.unit === 'inch' ? ' in' : ''}`).join(', ')}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
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
